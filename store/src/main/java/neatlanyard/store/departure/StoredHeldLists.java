package neatlanyard.store.departure;

import static neatlanyard.store.generated.Tables.HELD_LIST;

import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.log.HeldLists;
import neatlanyard.core.sop.LaterList;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.State;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.HeldListRecord;

/** Lists held after the tie-off in the database. */
public final class StoredHeldLists implements HeldLists {
  private final Database db;

  public StoredHeldLists(Database db) {
    this.db = db;
  }

  @Override
  public void keep(Held held) {
    String leaves = held.left().stream().map(s -> s.point().value() + "=" + s.value())
        .collect(Collectors.joining("\n"));
    db.write(sql -> sql.insertInto(HELD_LIST)
        .set(HELD_LIST.FLIGHT_ID, held.flight().value())
        .set(HELD_LIST.PHASE, held.phase().name())
        .set(HELD_LIST.TAIL_ID, held.tail().value())
        .set(HELD_LIST.HELD_BY, held.by().value())
        .set(HELD_LIST.HELD_AT, held.at().toEpochMilli())
        .set(HELD_LIST.ANSWERED, held.answered())
        .set(HELD_LIST.ITEMS, held.all())
        .set(HELD_LIST.LEAVES, leaves)
        .onConflict(HELD_LIST.FLIGHT_ID, HELD_LIST.PHASE).doUpdate()
        .set(HELD_LIST.HELD_BY, held.by().value())
        .set(HELD_LIST.HELD_AT, held.at().toEpochMilli())
        .set(HELD_LIST.ANSWERED, held.answered())
        .set(HELD_LIST.ITEMS, held.all())
        .set(HELD_LIST.LEAVES, leaves)
        .execute());
  }

  @Override
  public List<Held> of(FlightId flight) {
    return db.rows(sql -> sql.selectFrom(HELD_LIST).where(HELD_LIST.FLIGHT_ID.eq(flight.value()))
        .orderBy(HELD_LIST.HELD_AT), StoredHeldLists::held);
  }

  private static Held held(HeldListRecord r) {
    return new Held(new FlightId(r.getFlightId()), new TailId(r.getTailId()), LaterList.Phase.valueOf(r.getPhase()),
        new CrewId(r.getHeldBy()), Instant.ofEpochMilli(r.getHeldAt()), r.getAnswered(),
        r.getItems(), r.getLeaves().lines().map(l -> new State(
        new PointId(l.substring(0, l.indexOf('='))), l.substring(l.indexOf('=') + 1))).toList());
  }
}
