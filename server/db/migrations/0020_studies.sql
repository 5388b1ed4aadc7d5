-- Small versions before a piece: a learner's own until they hand in what it led to; with an exercise, as before. What is read of one is its learner's alone.
ALTER TABLE studies MODIFY COLUMN assignment_id INT UNSIGNED NULL;
ALTER TABLE studies ADD COLUMN IF NOT EXISTS learner_id INT UNSIGNED NULL;
ALTER TABLE studies ADD COLUMN IF NOT EXISTS submission_id INT UNSIGNED NULL;
ALTER TABLE studies ADD COLUMN IF NOT EXISTS minutes SMALLINT UNSIGNED NULL;
ALTER TABLE studies ADD COLUMN IF NOT EXISTS facts JSON NULL;
ALTER TABLE studies ADD CONSTRAINT study_learner FOREIGN KEY IF NOT EXISTS (learner_id) REFERENCES accounts (id) ON DELETE CASCADE;
ALTER TABLE studies ADD CONSTRAINT study_piece FOREIGN KEY IF NOT EXISTS (submission_id) REFERENCES submissions (id) ON DELETE CASCADE
