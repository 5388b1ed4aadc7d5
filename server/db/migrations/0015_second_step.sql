-- A second step at the sign-in: a secret shared with a person's own device, sealed by the house's; the last time-step that was
-- used, so that none is used twice; and codes for the day the device is lost, by their hashes.
ALTER TABLE accounts ADD COLUMN IF NOT EXISTS step_secret VARBINARY(120) NULL;
ALTER TABLE accounts ADD COLUMN IF NOT EXISTS step_pending VARBINARY(120) NULL;
ALTER TABLE accounts ADD COLUMN IF NOT EXISTS step_used BIGINT UNSIGNED NOT NULL DEFAULT 0;
CREATE TABLE IF NOT EXISTS recovery_codes (
  account_id INT UNSIGNED NOT NULL,
  code_hash BINARY(32) NOT NULL,
  PRIMARY KEY (account_id, code_hash),
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);
