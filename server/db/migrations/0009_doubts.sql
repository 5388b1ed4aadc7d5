-- What a file says of itself that shakes what is read in it: how much it left out, and whether a camera took it.
ALTER TABLE pictures ADD COLUMN IF NOT EXISTS bits_per_pixel FLOAT NULL;
ALTER TABLE pictures ADD COLUMN IF NOT EXISTS photograph BOOLEAN NOT NULL DEFAULT FALSE;
