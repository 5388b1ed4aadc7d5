-- A call's pieces worked through in front of others. Of a call one at most is open. A piece that hangs before the room since some
-- moment: its time runs from there; NULL while there is a pause.
CREATE TABLE IF NOT EXISTS sittings (
  id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
  call_id INT UNSIGNED NOT NULL,
  begun_at DATETIME(3) NOT NULL,
  ended_at DATETIME(3) NULL,
  up_id INT UNSIGNED NULL,
  since DATETIME(3) NULL,
  FOREIGN KEY (call_id) REFERENCES calls (id) ON DELETE CASCADE,
  FOREIGN KEY (up_id) REFERENCES submissions (id) ON DELETE SET NULL
);

-- What was said on which piece, for how long.
CREATE TABLE IF NOT EXISTS sitting_pieces (
  sitting_id INT UNSIGNED NOT NULL,
  submission_id INT UNSIGNED NOT NULL,
  place SMALLINT UNSIGNED NOT NULL,
  standing ENUM('waiting', 'said', 'parked') NOT NULL DEFAULT 'waiting',
  seconds INT UNSIGNED NOT NULL DEFAULT 0,
  said TEXT NOT NULL,
  PRIMARY KEY (sitting_id, submission_id),
  FOREIGN KEY (sitting_id) REFERENCES sittings (id) ON DELETE CASCADE,
  FOREIGN KEY (submission_id) REFERENCES submissions (id) ON DELETE CASCADE
);
