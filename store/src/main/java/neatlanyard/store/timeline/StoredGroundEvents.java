package neatlanyard.store.timeline;

import static neatlanyard.store.generated.Tables.GROUND_EVENT;

import java.time.Instant;
import java.util.List;
import java.util.concurrent.atomic.AtomicBoolean;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.ahead.GroundEvents;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.GroundEventRecord;

/** What is said of events on the ground, in the database. */
public final class StoredGroundEvents implements GroundEvents {
  private final Database db;

  public StoredGroundEvents(Database db) {
    this.db = db;
  }

  @Override
  public List<GroundEvent> of(FlightId flight) {
    return db.rows(sql -> sql.selectFrom(GROUND_EVENT).where(GROUND_EVENT.FLIGHT_ID.eq(flight.value()))
        .orderBy(GROUND_EVENT.KIND), StoredGroundEvents::event);
  }

  private static GroundEvent event(GroundEventRecord r) {
    return new GroundEvent(GroundEvent.Kind.valueOf(r.getKind()), Instant.ofEpochMilli(r.getBeginsAt()),
        Instant.ofEpochMilli(r.getEndsAt()), r.getSource(), false);
  }

  @Override
  public boolean callOff(FlightId flight, GroundEvent.Kind kind) {
    AtomicBoolean gone = new AtomicBoolean();
    db.write(sql -> gone.set(sql.deleteFrom(GROUND_EVENT).where(GROUND_EVENT.FLIGHT_ID.eq(flight.value()))
        .and(GROUND_EVENT.KIND.eq(kind.name())).execute() > 0));
    return gone.get();
  }

  @Override
  public List<OfFlight> all() {
    return db.rows(sql -> sql.selectFrom(GROUND_EVENT).orderBy(GROUND_EVENT.FLIGHT_ID, GROUND_EVENT.BEGINS_AT,
        GROUND_EVENT.KIND), r -> new OfFlight(new FlightId(r.getFlightId()), event(r)));
  }

  @Override
  public void say(List<OfFlight> events, CrewId by, Instant at) {
    db.write(sql -> events.forEach(e -> sql.insertInto(GROUND_EVENT).set(record(e, by, at))
        .onDuplicateKeyUpdate().setAllToExcluded().execute()));
  }

  private static GroundEventRecord record(OfFlight of, CrewId by, Instant at) {
    GroundEvent e = of.event();
    return new GroundEventRecord(of.flight().value(), e.kind().name(), e.begins().toEpochMilli(),
        e.ends().toEpochMilli(), e.source(), by.value(), at.toEpochMilli());
  }
}
