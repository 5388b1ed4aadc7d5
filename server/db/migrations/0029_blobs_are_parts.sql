-- The bytes are in their parts by now.
ALTER TABLE blobs DROP COLUMN IF EXISTS bytes
