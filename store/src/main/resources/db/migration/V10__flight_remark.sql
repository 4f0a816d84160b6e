-- What operations say of a flight to its crew, such as that passengers are late.
ALTER TABLE flight ADD COLUMN remark TEXT NOT NULL DEFAULT '';
