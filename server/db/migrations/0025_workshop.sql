-- Paints and pencils that a person owns, or that a class has on its list.
CREATE TABLE IF NOT EXISTS paints (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  account_id INT UNSIGNED NULL,
  class_id INT UNSIGNED NULL,
  name VARCHAR(80) NOT NULL,
  medium VARCHAR(16) NOT NULL,
  pigment VARCHAR(60) NOT NULL,
  masstone CHAR(7) NOT NULL,
  tint CHAR(7) NULL,
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE,
  FOREIGN KEY (class_id) REFERENCES classes (id) ON DELETE CASCADE,
  CHECK ((account_id IS NULL) <> (class_id IS NULL))
);

-- What a person keeps: a colour, a mixture with its parts, a palette; and what it gave on paper, once it was painted
-- and read.
CREATE TABLE IF NOT EXISTS swatches (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  account_id INT UNSIGNED NOT NULL,
  kind ENUM('colour', 'mixture', 'palette') NOT NULL,
  hexes JSON NOT NULL,
  parts JSON NOT NULL,
  note VARCHAR(400) NOT NULL,
  kept_at DATETIME(3) NOT NULL,
  read_hex CHAR(7) NULL,
  read_at DATETIME(3) NULL,
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE
);

-- Drills for the eye that were gone through: every answer, so that a threshold can be reckoned again, and on what it
-- was seen.
CREATE TABLE IF NOT EXISTS drill_runs (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  account_id INT UNSIGNED NOT NULL,
  drill VARCHAR(16) NOT NULL,
  setting VARCHAR(24) NOT NULL,
  wheel VARCHAR(16) NOT NULL,
  answers JSON NOT NULL,
  conditions JSON NOT NULL,
  done_at DATETIME(3) NOT NULL,
  FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE,
  KEY (account_id, drill, done_at)
)
