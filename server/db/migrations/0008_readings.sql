-- What is known of a piece changes while it is worked on: how often it was asked for anew, and which of it is measured.
ALTER TABLE measurements ADD COLUMN IF NOT EXISTS asked INT UNSIGNED NOT NULL DEFAULT 0;
ALTER TABLE measurements ADD COLUMN IF NOT EXISTS answered INT UNSIGNED NOT NULL DEFAULT 0;
ALTER TABLE measurements ADD COLUMN IF NOT EXISTS asked_at DATETIME(3) NULL;
-- What is measured of a piece beside its report.
ALTER TABLE measurements ADD COLUMN IF NOT EXISTS extras JSON NULL;
UPDATE measurements SET asked = answered + 1 WHERE state = 'done' AND extras IS NULL AND asked = answered;
-- The sentences that a critique was released with.
ALTER TABLE critiques ADD COLUMN IF NOT EXISTS readings JSON NULL;
-- The wheel is its class's.
ALTER TABLE measurements DROP COLUMN IF EXISTS wheel;
