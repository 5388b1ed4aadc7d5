-- Exports that are made, and what was made: any server makes them, any gives them. Their bytes lie where pictures' do.
CREATE TABLE IF NOT EXISTS exports (
  id CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  account_id INT UNSIGNED NOT NULL,
  submission_id INT UNSIGNED NOT NULL,
  name VARCHAR(40) CHARACTER SET ascii NOT NULL,
  state ENUM('making', 'done', 'failed') NOT NULL DEFAULT 'making',
  share FLOAT NOT NULL DEFAULT 0,
  asked_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  claimed_by CHAR(36) CHARACTER SET ascii NULL,
  leased_until DATETIME(3) NULL,
  attempts TINYINT UNSIGNED NOT NULL DEFAULT 0,
  size INT UNSIGNED NULL,
  stored CHAR(32) CHARACTER SET ascii NULL,
  place ENUM('database', 'bucket') NULL,
  ended_at DATETIME(3) NULL,
  KEY exports_waiting (state, asked_at),
  KEY exports_of_account (account_id),
  KEY exports_of_piece (submission_id)
)
