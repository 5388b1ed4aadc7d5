-- Accounts and classes. Learners may be minors: a name and an address, no birthday, no gallery.
CREATE TABLE IF NOT EXISTS accounts (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  email VARCHAR(200) NOT NULL UNIQUE,
  name VARCHAR(120) NOT NULL,
  role ENUM('instructor', 'learner') NOT NULL,
  password_hash VARCHAR(255) NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3)
);

CREATE TABLE IF NOT EXISTS sessions (
  -- SHA-256 of the token in the sealed cookie: a stolen table opens no session.
  token_hash BINARY(32) NOT NULL PRIMARY KEY,
  account_id INT UNSIGNED NOT NULL,
  created_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  expires_at DATETIME(3) NOT NULL,
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE,
  KEY (expires_at)
);

CREATE TABLE IF NOT EXISTS classes (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  name VARCHAR(120) NOT NULL,
  instructor_id INT UNSIGNED NOT NULL,
  budget_minutes SMALLINT UNSIGNED NOT NULL DEFAULT 25,
  FOREIGN KEY (instructor_id) REFERENCES accounts (id)
);

CREATE TABLE IF NOT EXISTS enrolments (
  class_id INT UNSIGNED NOT NULL,
  learner_id INT UNSIGNED NOT NULL,
  PRIMARY KEY (class_id, learner_id),
  FOREIGN KEY (class_id) REFERENCES classes (id),
  FOREIGN KEY (learner_id) REFERENCES accounts (id)
);

-- Pictures, kept once by what they hold.
CREATE TABLE IF NOT EXISTS blobs (
  sha256 CHAR(64) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  media_type VARCHAR(40) NOT NULL,
  bytes LONGBLOB NOT NULL
);

CREATE TABLE IF NOT EXISTS pictures (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  original_sha CHAR(64) CHARACTER SET ascii NOT NULL,
  display_sha CHAR(64) CHARACTER SET ascii NOT NULL,
  thumb_sha CHAR(64) CHARACTER SET ascii NOT NULL,
  format VARCHAR(10) NOT NULL,
  -- Size of the upload after orientation.
  width INT UNSIGNED NOT NULL,
  height INT UNSIGNED NOT NULL,
  FOREIGN KEY (original_sha) REFERENCES blobs (sha256),
  FOREIGN KEY (display_sha) REFERENCES blobs (sha256),
  FOREIGN KEY (thumb_sha) REFERENCES blobs (sha256)
);

CREATE TABLE IF NOT EXISTS submissions (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  class_id INT UNSIGNED NOT NULL,
  learner_id INT UNSIGNED NOT NULL,
  picture_id INT UNSIGNED NOT NULL,
  title VARCHAR(120) NOT NULL,
  stage ENUM('study', 'in-progress', 'finished') NOT NULL,
  medium VARCHAR(80) NOT NULL DEFAULT '',
  question VARCHAR(500) NOT NULL DEFAULT '',
  about VARCHAR(500) NOT NULL DEFAULT '',
  planned_scheme VARCHAR(30) NULL,
  assignment_id INT UNSIGNED NULL,
  handed_in_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  FOREIGN KEY (class_id) REFERENCES classes (id),
  FOREIGN KEY (learner_id) REFERENCES accounts (id),
  FOREIGN KEY (picture_id) REFERENCES pictures (id),
  KEY (class_id, handed_in_at)
);

-- One measurement a submission: queued with it, taken up by a worker, stored with its version.
CREATE TABLE IF NOT EXISTS measurements (
  submission_id INT UNSIGNED NOT NULL PRIMARY KEY,
  state ENUM('queued', 'measuring', 'done', 'failed') NOT NULL DEFAULT 'queued',
  wheel VARCHAR(12) NOT NULL DEFAULT 'painter',
  report_version SMALLINT UNSIGNED NULL,
  report JSON NULL,
  checks JSON NULL,
  reason VARCHAR(500) NULL,
  updated_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  FOREIGN KEY (submission_id) REFERENCES submissions (id) ON DELETE CASCADE,
  KEY (state)
);

CREATE TABLE IF NOT EXISTS areas (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  submission_id INT UNSIGNED NOT NULL,
  name VARCHAR(60) NOT NULL,
  shape JSON NOT NULL,
  FOREIGN KEY (submission_id) REFERENCES submissions (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS critiques (
  submission_id INT UNSIGNED NOT NULL PRIMARY KEY,
  state ENUM('draft', 'released') NOT NULL DEFAULT 'draft',
  revision INT UNSIGNED NOT NULL DEFAULT 0,
  works TEXT NOT NULL,
  verdict TEXT NOT NULL,
  released_at DATETIME(3) NULL,
  FOREIGN KEY (submission_id) REFERENCES submissions (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS corrections (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  submission_id INT UNSIGNED NOT NULL,
  position SMALLINT UNSIGNED NOT NULL,
  station VARCHAR(12) NOT NULL,
  area JSON NULL,
  reading_id VARCHAR(80) NULL,
  reason TEXT NOT NULL,
  what TEXT NOT NULL,
  todo TEXT NOT NULL,
  target JSON NULL,
  FOREIGN KEY (submission_id) REFERENCES submissions (id) ON DELETE CASCADE
);

CREATE TABLE IF NOT EXISTS assignments (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  -- The critique it was set with; one a critique.
  submission_id INT UNSIGNED NOT NULL UNIQUE,
  exercise VARCHAR(40) NOT NULL,
  due_on DATE NOT NULL,
  assigned_at DATETIME(3) NOT NULL DEFAULT UTC_TIMESTAMP(3),
  confirmed_at DATETIME(3) NULL,
  FOREIGN KEY (submission_id) REFERENCES submissions (id) ON DELETE CASCADE
);

ALTER TABLE submissions ADD CONSTRAINT submission_answers FOREIGN KEY IF NOT EXISTS (assignment_id) REFERENCES assignments (id);
