-- Mail is about a piece of a class: its instructor sees it, another instructor of the same learner does not.
ALTER TABLE outbox ADD COLUMN IF NOT EXISTS class_id INT UNSIGNED NULL;
-- Of mail from before, what is to somebody of one class only.
UPDATE outbox o SET class_id = (SELECT MIN(e.class_id) FROM enrolments e WHERE e.learner_id = o.account_id HAVING COUNT(*) = 1)
WHERE class_id IS NULL;
