-- A change whose answer was lost is sent again with the same key: it is answered as it was, and not made once more.
CREATE TABLE IF NOT EXISTS answered_requests (
  account_id INT UNSIGNED NOT NULL,
  request_key BINARY(32) NOT NULL,
  answer JSON NOT NULL,
  made_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  PRIMARY KEY (account_id, request_key),
  INDEX answered_requests_made_at (made_at),
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
)
