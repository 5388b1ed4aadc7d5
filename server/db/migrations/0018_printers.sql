-- What a printer's greys really are: light of the paper's, three channels each, from the darkest. Whoever prints.
CREATE TABLE IF NOT EXISTS printers (
  account_id INT UNSIGNED NOT NULL PRIMARY KEY,
  greys JSON NOT NULL,
  furthest DOUBLE NOT NULL,
  measured_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
)
