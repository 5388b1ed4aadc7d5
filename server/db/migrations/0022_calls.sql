-- An open call: people without an account hand in, each one piece or a few. Its pieces lie in a class of its own, which no list of
-- classes shows. What its link says is made from its row and the house's secret.
CREATE TABLE IF NOT EXISTS calls (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  class_id INT UNSIGNED NOT NULL UNIQUE,
  nonce BINARY(16) NOT NULL,
  asked TEXT NOT NULL,
  opens_at DATETIME(3) NOT NULL,
  closes_at DATETIME(3) NOT NULL,
  per_person TINYINT UNSIGNED NOT NULL,
  most SMALLINT UNSIGNED NOT NULL,
  ordered ENUM('first', 'lot', 'chosen') NOT NULL,
  seed INT UNSIGNED NOT NULL,
  returned ENUM('critique', 'session', 'both') NOT NULL,
  drawn_at DATETIME(3) NULL,
  FOREIGN KEY (class_id) REFERENCES classes (id) ON DELETE CASCADE
);

-- What a guest handed in. Their account has no password and no address: the link alone opens it. Until the address is confirmed
-- nobody sees the piece; once it is taken, it is a submission.
CREATE TABLE IF NOT EXISTS call_entries (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  call_id INT UNSIGNED NOT NULL,
  account_id INT UNSIGNED NOT NULL UNIQUE,
  email VARCHAR(200) NOT NULL,
  guardian_email VARCHAR(200) NULL,
  named BOOLEAN NOT NULL,
  words JSON NOT NULL,
  picture_id INT UNSIGNED NOT NULL,
  -- Of the proof that came with it: the same form sent twice is kept once.
  proof BINARY(32) NOT NULL UNIQUE,
  sent_at DATETIME(3) NOT NULL,
  confirmed_at DATETIME(3) NULL,
  submission_id INT UNSIGNED NULL,
  state ENUM('sent', 'waiting', 'taken', 'passed') NOT NULL DEFAULT 'sent',
  FOREIGN KEY (call_id) REFERENCES calls (id) ON DELETE CASCADE,
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE,
  FOREIGN KEY (picture_id) REFERENCES pictures (id) ON DELETE CASCADE,
  FOREIGN KEY (submission_id) REFERENCES submissions (id) ON DELETE SET NULL,
  KEY (call_id, email)
);
ALTER TABLE links MODIFY COLUMN kind ENUM('owner', 'invitation', 'reset', 'address', 'entry') NOT NULL
