-- What the bench keeps: notes of the route, house standards of a class, a full-size picture and a reference.
ALTER TABLE classes ADD COLUMN IF NOT EXISTS standards JSON NULL;
ALTER TABLE critiques ADD COLUMN IF NOT EXISTS notes JSON NULL;
-- Made from the original when someone first looks closer: upright, without metadata.
ALTER TABLE pictures ADD COLUMN IF NOT EXISTS full_sha CHAR(64) CHARACTER SET ascii NULL;
ALTER TABLE pictures ADD CONSTRAINT picture_full FOREIGN KEY IF NOT EXISTS (full_sha) REFERENCES blobs (sha256);
-- For a study made from one.
ALTER TABLE submissions ADD COLUMN IF NOT EXISTS reference_id INT UNSIGNED NULL;
ALTER TABLE submissions ADD CONSTRAINT submission_reference FOREIGN KEY IF NOT EXISTS (reference_id) REFERENCES pictures (id);
