-- On which shelf a piece hangs is kept with it, so that a desk of thousands is opened by an index.
ALTER TABLE submissions
  ADD COLUMN IF NOT EXISTS waits ENUM('review', 'exercises') NULL,
  ADD COLUMN IF NOT EXISTS released BOOLEAN NOT NULL DEFAULT FALSE;
UPDATE submissions s LEFT JOIN critiques k ON k.submission_id = s.id
SET s.released = COALESCE(k.state, 'draft') = 'released',
  s.waits = IF(s.assignment_id IS NULL AND COALESCE(k.state, 'draft') = 'draft', 'review', NULL);
UPDATE submissions s JOIN (
  SELECT MAX(t.id) AS id FROM submissions t JOIN assignments x ON x.id = t.assignment_id
  WHERE x.confirmed_at IS NULL AND x.returned_at IS NULL AND x.withdrawn_at IS NULL GROUP BY t.assignment_id
) l ON l.id = s.id SET s.waits = 'exercises';
ALTER TABLE submissions
  ADD INDEX IF NOT EXISTS submissions_waiting (class_id, waits, handed_in_at, id),
  ADD INDEX IF NOT EXISTS submissions_released (class_id, released, handed_in_at, id);
-- What a review has taken so far, of those that are being reviewed.
ALTER TABLE critiques ADD INDEX IF NOT EXISTS critiques_begun (state, seconds)
