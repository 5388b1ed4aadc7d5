-- Mail that came in. Of one that was refused nothing is kept but from whom it was, its subject and why.
CREATE TABLE IF NOT EXISTS letters (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  -- The same mail, brought twice by a mailbox or by a server that was stopped meanwhile, is taken once.
  mark BINARY(32) NOT NULL UNIQUE,
  -- Whose address it is from; NULL of a stranger's.
  account_id INT UNSIGNED NULL,
  address VARCHAR(320) NOT NULL,
  name VARCHAR(200) NOT NULL,
  message_id VARCHAR(998) NOT NULL,
  thread TEXT NOT NULL,
  subject VARCHAR(300) NOT NULL,
  body TEXT NOT NULL,
  proven BOOLEAN NOT NULL,
  left_out JSON NOT NULL,
  state ENUM('waiting', 'done', 'refused') NOT NULL,
  reason VARCHAR(400) NOT NULL DEFAULT '',
  received_at DATETIME(3) NOT NULL,
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE,
  KEY (state, received_at)
);

-- Its pictures, each a hand-in that waits for the instructor's yes.
CREATE TABLE IF NOT EXISTS letter_pictures (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  letter_id INT UNSIGNED NOT NULL,
  place TINYINT UNSIGNED NOT NULL,
  name VARCHAR(200) NOT NULL,
  picture_id INT UNSIGNED NULL,
  submission_id INT UNSIGNED NULL,
  state ENUM('waiting', 'taken', 'declined') NOT NULL DEFAULT 'waiting',
  FOREIGN KEY (letter_id) REFERENCES letters (id) ON DELETE CASCADE,
  FOREIGN KEY (picture_id) REFERENCES pictures (id) ON DELETE SET NULL,
  FOREIGN KEY (submission_id) REFERENCES submissions (id) ON DELETE SET NULL
);

-- What is answered goes back into the thread it answers; a stranger has no account.
ALTER TABLE outbox MODIFY COLUMN account_id INT UNSIGNED NULL;
ALTER TABLE outbox ADD COLUMN IF NOT EXISTS in_reply_to VARCHAR(998) NULL;
ALTER TABLE outbox ADD COLUMN IF NOT EXISTS thread TEXT NULL
