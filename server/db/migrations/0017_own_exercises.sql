-- Exercises of an instructor's own: one of the shelf changed, its checks put together anew.
CREATE TABLE IF NOT EXISTS own_exercises (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  account_id INT UNSIGNED NOT NULL,
  definition JSON NOT NULL,
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);
-- As it stood when it was set: changing it later changes nothing that is under way.
ALTER TABLE assignments ADD COLUMN IF NOT EXISTS own JSON NULL
