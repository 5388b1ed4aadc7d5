-- Which of several servers measures a piece, and how often one has begun: what stops every one of them is left at last.
ALTER TABLE measurements ADD COLUMN IF NOT EXISTS claimed_by CHAR(36) CHARACTER SET ascii NULL;
ALTER TABLE measurements ADD COLUMN IF NOT EXISTS attempts TINYINT UNSIGNED NOT NULL DEFAULT 0
