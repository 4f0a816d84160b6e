-- The other end of a flight as operations plan it, and what its crew says of it since.
ALTER TABLE flight ADD COLUMN flies_ms BIGINT;
ALTER TABLE flight ADD COLUMN arrive_by BIGINT;

CREATE TABLE other_end (
  flight_id TEXT PRIMARY KEY,
  arrive_by BIGINT,
  forecast TEXT,
  said_by TEXT NOT NULL,
  said_at BIGINT NOT NULL
);

-- What a plan and the plain clock said of a departure, and when everything was over.
CREATE TABLE foretold (
  flight_id TEXT PRIMARY KEY,
  type_id TEXT NOT NULL,
  at BIGINT NOT NULL,
  wanted BIGINT NOT NULL,
  likely DOUBLE NOT NULL,
  by_clock INTEGER NOT NULL,
  over BIGINT
);
