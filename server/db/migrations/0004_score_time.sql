-- Scores by a rubric whose versions are kept, and the time a critique took.
CREATE TABLE IF NOT EXISTS rubrics (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  class_id INT UNSIGNED NOT NULL,
  qualities JSON NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  FOREIGN KEY (class_id) REFERENCES classes (id)
);
ALTER TABLE critiques ADD COLUMN IF NOT EXISTS seconds INT UNSIGNED NOT NULL DEFAULT 0;
-- The qualities scored, as they were worded then, with their scores: a later rubric changes nothing of it.
ALTER TABLE critiques ADD COLUMN IF NOT EXISTS score JSON NULL;
