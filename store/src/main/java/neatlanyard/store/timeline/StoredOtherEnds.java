package neatlanyard.store.timeline;

import static neatlanyard.store.generated.Tables.OTHER_END;

import java.time.Instant;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.timeline.ahead.OtherEnds;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.OtherEndRecord;

/** What crews say of the other end of their flights, in the database. */
public final class StoredOtherEnds implements OtherEnds {
  private final Database db;

  public StoredOtherEnds(Database db) {
    this.db = db;
  }

  @Override
  public Told of(FlightId flight) {
    return db.rows(sql -> sql.selectFrom(OTHER_END).where(OTHER_END.FLIGHT_ID.eq(flight.value())),
        r -> new Told(Optional.ofNullable(r.getArriveBy()).map(Instant::ofEpochMilli),
        Optional.ofNullable(r.getForecast()))).stream().findFirst().orElse(Told.NOTHING);
  }

  @Override
  public void say(FlightId flight, Told told, CrewId by, Instant at) {
    OtherEndRecord row = new OtherEndRecord(flight.value(), told.wanted().map(Instant::toEpochMilli).orElse(null),
        told.forecast().orElse(null), by.value(), at.toEpochMilli());
    db.write(sql -> sql.insertInto(OTHER_END).set(row).onDuplicateKeyUpdate().setAllToExcluded().execute());
  }
}
