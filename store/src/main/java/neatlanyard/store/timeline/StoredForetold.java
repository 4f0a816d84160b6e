package neatlanyard.store.timeline;

import static neatlanyard.store.generated.Tables.FORETOLD;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.timeline.learned.Foretold;
import neatlanyard.core.timeline.learned.ForetoldPlans;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.ForetoldRecord;
import org.jspecify.annotations.Nullable;

/** What was said of departures, in the database. */
public final class StoredForetold implements ForetoldPlans {
  private final Database db;

  public StoredForetold(Database db) {
    this.db = db;
  }

  @Override
  public void keep(List<Foretold> said) {
    db.write(sql -> said.forEach(f -> sql.insertInto(FORETOLD).set(row(f)).onDuplicateKeyIgnore().execute()));
  }

  private static ForetoldRecord row(Foretold f) {
    return new ForetoldRecord(f.flight().value(), f.type().value(), f.at().toEpochMilli(), f.wanted().toEpochMilli(),
        f.likely(), f.byClock() ? 1 : 0, f.over().map(Instant::toEpochMilli).orElse(null));
  }

  @Override
  public void over(FlightId flight, Instant at) {
    db.write(sql -> sql.update(FORETOLD).set(FORETOLD.OVER, at.toEpochMilli())
        .where(FORETOLD.FLIGHT_ID.eq(flight.value())).execute());
  }

  @Override
  public List<Foretold> over(int most) {
    return db.rows(sql -> sql.selectFrom(FORETOLD).where(FORETOLD.OVER.isNotNull())
        .orderBy(FORETOLD.AT.desc(), FORETOLD.FLIGHT_ID).limit(most), StoredForetold::foretold);
  }

  private static Foretold foretold(ForetoldRecord r) {
    return new Foretold(new FlightId(r.getFlightId()), new TypeId(r.getTypeId()), Instant.ofEpochMilli(r.getAt()),
        Instant.ofEpochMilli(r.getWanted()), r.getLikely(), r.getByClock() == 1, moment(r.getOver()));
  }

  private static Optional<Instant> moment(@Nullable Long ms) {
    return Optional.ofNullable(ms).map(Instant::ofEpochMilli);
  }
}
