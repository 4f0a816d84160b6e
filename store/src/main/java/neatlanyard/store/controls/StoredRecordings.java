package neatlanyard.store.controls;

import static neatlanyard.store.generated.Tables.FLIGHT;
import static neatlanyard.store.generated.Tables.TRACE;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.recording.KeptRecordings;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TailId;
import neatlanyard.store.db.Database;

/** The recordings that departures kept, in the database. */
public final class StoredRecordings implements KeptRecordings {
  private final Database db;

  public StoredRecordings(Database db) {
    this.db = db;
  }

  @Override
  public List<Kept> of(TailId tail, int most) {
    return db.rows(sql -> sql.select(FLIGHT.ID, FLIGHT.NUMBER, FLIGHT.DEPARTS_AT, TRACE.SHA256).from(TRACE)
        .join(FLIGHT).on(FLIGHT.ID.eq(TRACE.FLIGHT_ID)).where(FLIGHT.TAIL.eq(tail.value()))
        .orderBy(FLIGHT.DEPARTS_AT.desc(), FLIGHT.ID, TRACE.SHA256).limit(most), r -> new Kept(
        new FlightId(r.value1()), r.value2(), Instant.ofEpochMilli(r.value3()), r.value4()));
  }

  @Override
  public Optional<String> csv(FlightId departure, String sha256) {
    return db.read(sql -> sql.select(TRACE.CSV).from(TRACE)
        .where(TRACE.FLIGHT_ID.eq(departure.value()), TRACE.SHA256.eq(sha256)).fetchOptional(TRACE.CSV));
  }
}
