-- What crews took for steps of a procedure in a departure, and what was estimated for the same steps.
CREATE TABLE task_time (
  flight_id TEXT NOT NULL,
  procedure_id TEXT NOT NULL,
  type_id TEXT NOT NULL,
  at BIGINT NOT NULL,
  dark INTEGER NOT NULL,
  cold INTEGER NOT NULL,
  estimated_ms BIGINT NOT NULL,
  took_ms BIGINT NOT NULL,
  PRIMARY KEY (flight_id, procedure_id)
);

CREATE INDEX task_time_by_type ON task_time (type_id, at);
