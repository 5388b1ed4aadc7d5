-- Corrections marked by a point, a stroke or an arrow; what an annotation read in carried that is not ours.
ALTER TABLE corrections ADD COLUMN IF NOT EXISTS mark JSON NULL;
ALTER TABLE corrections ADD COLUMN IF NOT EXISTS annotation JSON NULL;
-- An instructor's own phrases, learnt from use.
CREATE TABLE IF NOT EXISTS phrases (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  account_id INT UNSIGNED NOT NULL,
  field ENUM('what', 'todo') NOT NULL,
  station VARCHAR(20) CHARACTER SET ascii NOT NULL,
  words VARCHAR(500) NOT NULL,
  uses INT UNSIGNED NOT NULL DEFAULT 1,
  used_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  UNIQUE KEY phrase (account_id, field, station, words),
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);
-- When a mail left by a real server, or why it did not; both empty while mail only lies here.
ALTER TABLE outbox ADD COLUMN IF NOT EXISTS delivered_at DATETIME(3) NULL;
ALTER TABLE outbox ADD COLUMN IF NOT EXISTS tries INT UNSIGNED NOT NULL DEFAULT 0;
ALTER TABLE outbox ADD COLUMN IF NOT EXISTS tried_at DATETIME(3) NULL;
ALTER TABLE outbox ADD COLUMN IF NOT EXISTS failure VARCHAR(300) NOT NULL DEFAULT '';
