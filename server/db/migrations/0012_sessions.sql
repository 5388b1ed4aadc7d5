-- A session can be seen and ended by whose it is: named, with the browser that began it, and when it was used last.
ALTER TABLE sessions ADD COLUMN IF NOT EXISTS id INT UNSIGNED NOT NULL AUTO_INCREMENT UNIQUE;
ALTER TABLE sessions ADD COLUMN IF NOT EXISTS seen_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3);
ALTER TABLE sessions ADD COLUMN IF NOT EXISTS browser VARCHAR(80) NOT NULL DEFAULT '';
