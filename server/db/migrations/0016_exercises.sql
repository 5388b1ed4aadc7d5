-- Exercises are set to a class as well as with a critique. What was set at once, to several, is one set.
CREATE TABLE IF NOT EXISTS exercise_sets (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  class_id INT UNSIGNED NOT NULL,
  exercise VARCHAR(40) NOT NULL,
  -- Each with a key colour of their own.
  each_hue BOOLEAN NOT NULL DEFAULT FALSE,
  set_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  FOREIGN KEY (class_id) REFERENCES classes (id) ON DELETE CASCADE
);
ALTER TABLE assignments MODIFY COLUMN submission_id INT UNSIGNED NULL;
ALTER TABLE assignments ADD COLUMN IF NOT EXISTS set_id INT UNSIGNED NULL;
ALTER TABLE assignments ADD COLUMN IF NOT EXISTS learner_id INT UNSIGNED NULL;
ALTER TABLE assignments ADD COLUMN IF NOT EXISTS class_id INT UNSIGNED NULL;
UPDATE assignments x JOIN submissions s ON s.id = x.submission_id SET x.learner_id = s.learner_id, x.class_id = s.class_id WHERE x.learner_id IS NULL;
ALTER TABLE assignments MODIFY COLUMN learner_id INT UNSIGNED NOT NULL;
ALTER TABLE assignments MODIFY COLUMN class_id INT UNSIGNED NOT NULL;
ALTER TABLE assignments ADD CONSTRAINT assignment_set FOREIGN KEY IF NOT EXISTS (set_id) REFERENCES exercise_sets (id) ON DELETE CASCADE;
ALTER TABLE assignments ADD CONSTRAINT assignment_learner FOREIGN KEY IF NOT EXISTS (learner_id) REFERENCES accounts (id) ON DELETE CASCADE;
ALTER TABLE assignments ADD CONSTRAINT assignment_class FOREIGN KEY IF NOT EXISTS (class_id) REFERENCES classes (id) ON DELETE CASCADE;
-- The wheel, a key colour, how closely it is held to, in what it is done; none as exercises were before: the painter wheel, a colour of choice.
ALTER TABLE assignments ADD COLUMN IF NOT EXISTS settings JSON NULL;
-- A word with it: when it is set, changed or withdrawn.
ALTER TABLE assignments ADD COLUMN IF NOT EXISTS note VARCHAR(500) NOT NULL DEFAULT '';
ALTER TABLE assignments ADD COLUMN IF NOT EXISTS plan JSON NULL;
ALTER TABLE assignments ADD COLUMN IF NOT EXISTS withdrawn_at DATETIME(3) NULL;
ALTER TABLE assignments ADD COLUMN IF NOT EXISTS reminded_at DATETIME(3) NULL;
-- The instructor's word on what came back: confirmed_at with it, or back to be done again.
ALTER TABLE assignments ADD COLUMN IF NOT EXISTS returned_at DATETIME(3) NULL;
ALTER TABLE assignments ADD COLUMN IF NOT EXISTS answer_word VARCHAR(500) NOT NULL DEFAULT '';

-- Work in progress that a learner checked privately: a study. Nobody else sees it; how many there are is counted.
CREATE TABLE IF NOT EXISTS studies (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  assignment_id INT UNSIGNED NOT NULL,
  picture_id INT UNSIGNED NOT NULL,
  checks JSON NOT NULL,
  checked_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  FOREIGN KEY (assignment_id) REFERENCES assignments (id) ON DELETE CASCADE,
  FOREIGN KEY (picture_id) REFERENCES pictures (id)
);

-- Filled worksheets, as read off a photograph; one photograph may hold several. What was disputed stands by the box.
CREATE TABLE IF NOT EXISTS read_sheets (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  assignment_id INT UNSIGNED NOT NULL,
  picture_id INT UNSIGNED NOT NULL,
  sheet JSON NOT NULL,
  disputes JSON NOT NULL,
  read_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  confirmed_at DATETIME(3) NULL,
  FOREIGN KEY (assignment_id) REFERENCES assignments (id) ON DELETE CASCADE,
  FOREIGN KEY (picture_id) REFERENCES pictures (id)
)
