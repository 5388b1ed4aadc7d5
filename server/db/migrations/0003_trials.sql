-- What a correction shows: a trial on its area, never on the picture itself.
ALTER TABLE corrections ADD COLUMN IF NOT EXISTS trial JSON NULL;
