-- The desk is narrowed to what was handed in for one exercise, or by one learner of those whose pieces hang on a shelf.
ALTER TABLE assignments ADD INDEX IF NOT EXISTS assignments_exercise (class_id, exercise);
ALTER TABLE submissions
  ADD INDEX IF NOT EXISTS submissions_whose (class_id, waits, learner_id),
  ADD INDEX IF NOT EXISTS submissions_whose_released (class_id, released, learner_id)
