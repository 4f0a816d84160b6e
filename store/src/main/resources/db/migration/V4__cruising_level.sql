-- The level a flight is planned to cruise at, in hundreds of feet; a crew sets it, so it is shown and asked back.
ALTER TABLE flight ADD COLUMN level INTEGER;
