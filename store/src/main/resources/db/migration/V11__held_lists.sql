-- The lists that crews held after they had tied off, and how the last of them left the tail.
CREATE TABLE held_list (
  flight_id TEXT NOT NULL,
  phase TEXT NOT NULL,
  tail_id TEXT NOT NULL,
  held_by TEXT NOT NULL,
  held_at BIGINT NOT NULL,
  answered INTEGER NOT NULL,
  items INTEGER NOT NULL,
  -- One control a line, as point=position.
  leaves TEXT NOT NULL,
  PRIMARY KEY (flight_id, phase)
);

CREATE INDEX held_list_by_tail ON held_list (tail_id, phase, held_at);
