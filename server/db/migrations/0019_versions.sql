-- A piece handed in again: its first version, which those after it point at. Their order is that of handing in.
ALTER TABLE submissions ADD COLUMN IF NOT EXISTS first_id INT UNSIGNED NULL;
ALTER TABLE submissions ADD CONSTRAINT submission_first FOREIGN KEY IF NOT EXISTS (first_id) REFERENCES submissions (id) ON DELETE SET NULL;

-- A version laid on an older one. Corners where somebody set them; what was measured, and of what (basis): measured anew when that is another.
CREATE TABLE IF NOT EXISTS comparisons (
  old_id INT UNSIGNED NOT NULL,
  new_id INT UNSIGNED NOT NULL,
  corners JSON NULL,
  basis CHAR(64) CHARACTER SET ascii NULL,
  result JSON NULL,
  PRIMARY KEY (old_id, new_id),
  FOREIGN KEY (old_id) REFERENCES submissions (id) ON DELETE CASCADE,
  FOREIGN KEY (new_id) REFERENCES submissions (id) ON DELETE CASCADE
);

-- The instructor's own word on whether a correction landed, over what was measured.
CREATE TABLE IF NOT EXISTS landings (
  correction_id INT UNSIGNED NOT NULL,
  new_id INT UNSIGNED NOT NULL,
  word VARCHAR(12) NOT NULL,
  PRIMARY KEY (correction_id, new_id),
  FOREIGN KEY (correction_id) REFERENCES corrections (id) ON DELETE CASCADE,
  FOREIGN KEY (new_id) REFERENCES submissions (id) ON DELETE CASCADE
);

-- What is still open is carried into the next critique: which it was, and how many times it is marked by now.
ALTER TABLE corrections ADD COLUMN IF NOT EXISTS carried_from INT UNSIGNED NULL;
ALTER TABLE corrections ADD COLUMN IF NOT EXISTS marked SMALLINT UNSIGNED NOT NULL DEFAULT 1;
ALTER TABLE corrections ADD CONSTRAINT correction_carried FOREIGN KEY IF NOT EXISTS (carried_from) REFERENCES corrections (id) ON DELETE SET NULL
