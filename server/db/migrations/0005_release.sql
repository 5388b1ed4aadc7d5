-- After the release: withdrawn or amended with a note, one question back and its answer, and the mail that was sent.
ALTER TABLE critiques ADD COLUMN IF NOT EXISTS amended_note VARCHAR(500) NOT NULL DEFAULT '';
ALTER TABLE critiques ADD COLUMN IF NOT EXISTS question_back VARCHAR(1000) NOT NULL DEFAULT '';
ALTER TABLE critiques ADD COLUMN IF NOT EXISTS answer VARCHAR(2000) NOT NULL DEFAULT '';
CREATE TABLE IF NOT EXISTS outbox (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  account_id INT UNSIGNED NOT NULL,
  subject VARCHAR(200) NOT NULL,
  body TEXT NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);
