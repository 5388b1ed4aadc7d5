-- A measurement is worked on under a lease: one whose worker is gone is taken up again when it runs out.
ALTER TABLE measurements ADD COLUMN IF NOT EXISTS leased_until DATETIME(3) NULL;
-- What a list shows of a report, so that no report is read for a list.
ALTER TABLE measurements ADD COLUMN IF NOT EXISTS fingerprint JSON NULL;
UPDATE measurements SET fingerprint = JSON_OBJECT(
    'wheel', JSON_VALUE(report, '$.wheel'),
    'darkest', JSON_EXTRACT(report, '$.value.darkest'),
    'lightest', JSON_EXTRACT(report, '$.value.lightest'),
    'range', JSON_EXTRACT(report, '$.value.range'),
    'families', IF(JSON_TYPE(JSON_EXTRACT(report, '$.harmony.families')) = 'ARRAY', JSON_EXTRACT(report, '$.harmony.families'), JSON_ARRAY()))
  WHERE state = 'done' AND fingerprint IS NULL AND JSON_TYPE(JSON_EXTRACT(report, '$.value.darkest')) IN ('DOUBLE', 'INTEGER', 'DECIMAL');
-- Guesses at passwords, counted by account and by address under a hash of either.
CREATE TABLE IF NOT EXISTS sign_in_tries (
  `key` VARCHAR(255) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  points INT NOT NULL DEFAULT 0,
  expire BIGINT UNSIGNED NULL,
  KEY (expire)
);
-- Room for a long name with a long title.
ALTER TABLE outbox MODIFY COLUMN subject VARCHAR(400) NOT NULL;
