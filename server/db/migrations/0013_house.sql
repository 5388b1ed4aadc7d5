-- Who is what in which class. It stands for the one instructor of a class and for its enrolments.
CREATE TABLE IF NOT EXISTS memberships (
  class_id INT UNSIGNED NOT NULL,
  account_id INT UNSIGNED NOT NULL,
  role ENUM('instructor', 'assistant', 'learner') NOT NULL,
  joined_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  PRIMARY KEY (class_id, account_id),
  FOREIGN KEY (class_id) REFERENCES classes (id) ON DELETE CASCADE,
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);
ALTER TABLE classes ADD COLUMN IF NOT EXISTS instructor_id INT UNSIGNED NULL;
INSERT IGNORE INTO memberships (class_id, account_id, role) SELECT id, instructor_id, 'instructor' FROM classes WHERE instructor_id IS NOT NULL;
ALTER TABLE classes DROP FOREIGN KEY IF EXISTS classes_ibfk_1;
ALTER TABLE classes DROP COLUMN IF EXISTS instructor_id;
CREATE TABLE IF NOT EXISTS enrolments (class_id INT UNSIGNED NOT NULL, learner_id INT UNSIGNED NOT NULL);
INSERT IGNORE INTO memberships (class_id, account_id, role) SELECT class_id, learner_id, 'learner' FROM enrolments;
DROP TABLE IF EXISTS enrolments;

-- What an account is in the house, beside its classes. Learners without an address enter by a name; one who never entered has no password.
ALTER TABLE accounts ADD COLUMN IF NOT EXISTS house ENUM('owner', 'instructor', 'member') NOT NULL DEFAULT 'member';
ALTER TABLE accounts ADD COLUMN IF NOT EXISTS role ENUM('instructor', 'learner') NOT NULL DEFAULT 'learner';
UPDATE accounts SET house = 'instructor' WHERE role = 'instructor' AND house = 'member';
ALTER TABLE accounts DROP COLUMN IF EXISTS role;
ALTER TABLE accounts MODIFY COLUMN email VARCHAR(200) NULL;
ALTER TABLE accounts MODIFY COLUMN password_hash VARCHAR(255) NULL;
ALTER TABLE accounts ADD COLUMN IF NOT EXISTS sign_in_name VARCHAR(60) NULL UNIQUE;
ALTER TABLE accounts ADD COLUMN IF NOT EXISTS seen_at DATETIME(3) NULL;
-- A demo's account: its password is published, and it goes with the demo.
ALTER TABLE accounts ADD COLUMN IF NOT EXISTS shown_password VARCHAR(60) NULL;

ALTER TABLE classes ADD COLUMN IF NOT EXISTS starts_on DATE NULL;
ALTER TABLE classes ADD COLUMN IF NOT EXISTS ends_on DATE NULL;
-- Archived: all of it can be read, and nothing of it changed.
ALTER TABLE classes ADD COLUMN IF NOT EXISTS archived_at DATETIME(3) NULL;
-- Whoever knows it may join; none when joining by code is turned off.
ALTER TABLE classes ADD COLUMN IF NOT EXISTS join_code VARCHAR(12) CHARACTER SET ascii NULL UNIQUE;
ALTER TABLE classes ADD COLUMN IF NOT EXISTS demo BOOLEAN NOT NULL DEFAULT FALSE;
-- Counts of what was erased: they hold no person.
ALTER TABLE classes ADD COLUMN IF NOT EXISTS erased_learners INT UNSIGNED NOT NULL DEFAULT 0;
ALTER TABLE classes ADD COLUMN IF NOT EXISTS erased_pieces INT UNSIGNED NOT NULL DEFAULT 0;

-- Links that are used once: to become the owner, to set a password, to confirm an address. What a link says is made from its
-- row and the house's secret, so that the table alone opens nothing.
CREATE TABLE IF NOT EXISTS links (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  kind ENUM('owner', 'invitation', 'reset', 'address') NOT NULL,
  nonce BINARY(16) NOT NULL,
  account_id INT UNSIGNED NULL,
  email VARCHAR(200) NULL,
  created_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  expires_at DATETIME(3) NOT NULL,
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE,
  KEY (expires_at)
);

-- Mail that carries a link is its receiver's alone; whom mail is about goes with them.
ALTER TABLE outbox ADD COLUMN IF NOT EXISTS link_id INT UNSIGNED NULL;
ALTER TABLE outbox ADD COLUMN IF NOT EXISTS email VARCHAR(200) NULL;
ALTER TABLE outbox ADD COLUMN IF NOT EXISTS about_id INT UNSIGNED NULL;

-- Who did what, when: numbers and kinds, no names, no picture, no words of a critique. Nothing points at it, and it outlives whom it names.
CREATE TABLE IF NOT EXISTS audit (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  action VARCHAR(40) CHARACTER SET ascii NOT NULL,
  actor_id INT UNSIGNED NULL,
  account_id INT UNSIGNED NULL,
  class_id INT UNSIGNED NULL,
  submission_id INT UNSIGNED NULL,
  detail VARCHAR(60) CHARACTER SET ascii NOT NULL DEFAULT ''
);

-- A session whose rights changed gets another token with its next request; the one before answers for half a minute more,
-- for what was under way.
ALTER TABLE sessions ADD COLUMN IF NOT EXISTS rotate BOOLEAN NOT NULL DEFAULT FALSE;
ALTER TABLE sessions ADD COLUMN IF NOT EXISTS previous_hash BINARY(32) NULL UNIQUE;
ALTER TABLE sessions ADD COLUMN IF NOT EXISTS rotated_at DATETIME(3) NULL;
