-- Whether the original is kept without what its file said beside the picture (place, camera, names). Older ones are rewritten after the start.
ALTER TABLE pictures ADD COLUMN IF NOT EXISTS bare BOOLEAN NOT NULL DEFAULT FALSE;
