-- What is done to a photograph of work, from its original every time, and what came of it;
-- the sizes that are kept are of the corrected picture.
ALTER TABLE pictures ADD COLUMN IF NOT EXISTS steps JSON NULL;
ALTER TABLE pictures ADD COLUMN IF NOT EXISTS told JSON NULL
