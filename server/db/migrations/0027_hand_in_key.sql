-- A hand-in whose answer was lost is sent again with the same key, and is no second piece.
ALTER TABLE submissions ADD COLUMN IF NOT EXISTS hand_in_key CHAR(32) CHARACTER SET ascii NULL;
ALTER TABLE submissions ADD UNIQUE INDEX IF NOT EXISTS submissions_hand_in_key (learner_id, hand_in_key)
