-- What came later has the later moment, not the higher number: the servers of a cluster number each for themselves.
ALTER TABLE submissions ADD INDEX IF NOT EXISTS submissions_own (learner_id, handed_in_at, id);
ALTER TABLE audit ADD INDEX IF NOT EXISTS audit_in_time (at, id)
