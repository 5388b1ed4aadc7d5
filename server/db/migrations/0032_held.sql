-- What is held by a change is written by it: of two servers of a cluster, whose locks are each their own, one gives way.
ALTER TABLE critiques ADD COLUMN IF NOT EXISTS held INT UNSIGNED NOT NULL DEFAULT 0;
ALTER TABLE calls ADD COLUMN IF NOT EXISTS held INT UNSIGNED NOT NULL DEFAULT 0;
ALTER TABLE sittings ADD COLUMN IF NOT EXISTS held INT UNSIGNED NOT NULL DEFAULT 0;
ALTER TABLE accounts ADD COLUMN IF NOT EXISTS held INT UNSIGNED NOT NULL DEFAULT 0
