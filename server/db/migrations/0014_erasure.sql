-- When a person and everything of theirs goes, and on whose wish; until then it can be undone.
ALTER TABLE accounts ADD COLUMN IF NOT EXISTS erase_at DATETIME(3) NULL;
ALTER TABLE accounts ADD COLUMN IF NOT EXISTS erase_wish ENUM('own', 'guardian', 'house', 'retention') NULL;
-- The standing orders of the house: one row. Months after which an unused learner's record goes by itself; none keeps it.
CREATE TABLE IF NOT EXISTS house (
  id TINYINT UNSIGNED NOT NULL PRIMARY KEY,
  retention_months SMALLINT UNSIGNED NULL
);
INSERT IGNORE INTO house (id) VALUES (1);
-- Questions mailed to instructors before mail said whom it is about.
UPDATE outbox o JOIN submissions s JOIN accounts a ON a.id = s.learner_id AND o.subject = CONCAT(a.name, ' asks about “', s.title, '”')
  SET o.about_id = a.id WHERE o.about_id IS NULL AND o.account_id <> a.id;
