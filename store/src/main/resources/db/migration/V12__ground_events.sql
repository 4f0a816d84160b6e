-- What people or files say of fuelling, boarding and the like; of each kind what was said last of a flight.
CREATE TABLE ground_event (
  flight_id TEXT NOT NULL,
  kind TEXT NOT NULL,
  begins_at BIGINT NOT NULL,
  ends_at BIGINT NOT NULL,
  source TEXT NOT NULL,
  said_by TEXT NOT NULL,
  said_at BIGINT NOT NULL,
  PRIMARY KEY (flight_id, kind)
);
