-- Pictures lie in parts of at most 1 MB, each written and read by itself, under a key of their own; or in a bucket.
CREATE TABLE IF NOT EXISTS blob_parts (
  stored CHAR(32) CHARACTER SET ascii NOT NULL,
  part SMALLINT UNSIGNED NOT NULL,
  bytes MEDIUMBLOB NOT NULL,
  PRIMARY KEY (stored, part)
);
-- Bytes that nothing points at: being written since then, or (without a time) to be taken away.
CREATE TABLE IF NOT EXISTS loose_bytes (
  stored CHAR(32) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  place ENUM('database', 'bucket') NOT NULL,
  since DATETIME(3) NULL,
  KEY loose_since (since)
);
ALTER TABLE blobs
  ADD COLUMN IF NOT EXISTS size INT UNSIGNED NOT NULL DEFAULT 0,
  ADD COLUMN IF NOT EXISTS stored CHAR(32) CHARACTER SET ascii NOT NULL DEFAULT '',
  ADD COLUMN IF NOT EXISTS place ENUM('database', 'bucket') NOT NULL DEFAULT 'database',
  ADD COLUMN IF NOT EXISTS kept_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3);
UPDATE blobs SET stored = LEFT(sha256, 32), size = LENGTH(bytes) WHERE stored = '';
/* until nothing changes */
INSERT INTO blob_parts (stored, part, bytes)
SELECT b.stored, s.seq, SUBSTRING(b.bytes, s.seq * 1000000 + 1, 1000000)
FROM (SELECT stored, size, bytes FROM blobs
  WHERE NOT EXISTS (SELECT 1 FROM blob_parts p WHERE p.stored = blobs.stored) LIMIT 20) b
JOIN seq_0_to_999 s ON s.seq * 1000000 < b.size
