-- Machines that only measure, while they are there: servers leave pieces to them.
CREATE TABLE IF NOT EXISTS measuring_nodes (
  holder CHAR(36) CHARACTER SET ascii NOT NULL PRIMARY KEY,
  seen_at DATETIME(3) NOT NULL
)
