package neatlanyard.store.controls;

import static neatlanyard.store.generated.Tables.FLIGHT;
import static neatlanyard.store.generated.Tables.TRACE;
import static org.jooq.impl.DSL.field;
import static org.jooq.impl.DSL.name;
import static org.jooq.impl.DSL.partitionBy;
import static org.jooq.impl.DSL.rowNumber;
import static org.jooq.impl.DSL.select;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.controls.recording.KeptRecordings;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TailId;
import neatlanyard.store.db.Database;
import org.jooq.Field;

/** The recordings that departures kept, in the database. */
public final class StoredRecordings implements KeptRecordings {
  private final Database db;

  public StoredRecordings(Database db) {
    this.db = db;
  }

  @Override
  public Map<TailId, List<Kept>> byTail(int most) {
    Field<Integer> nth = field(name("nth"), Integer.class);
    Map<TailId, List<Kept>> all = new LinkedHashMap<>();
    db.rows(sql -> sql.selectFrom(select(FLIGHT.TAIL, FLIGHT.ID, FLIGHT.NUMBER, FLIGHT.DEPARTS_AT, TRACE.SHA256,
        rowNumber().over(partitionBy(FLIGHT.TAIL).orderBy(FLIGHT.DEPARTS_AT.desc(), FLIGHT.ID, TRACE.SHA256)).as(nth))
        .from(TRACE).join(FLIGHT).on(FLIGHT.ID.eq(TRACE.FLIGHT_ID))).where(nth.le(most)).orderBy(nth),
        r -> Map.entry(new TailId(r.get(FLIGHT.TAIL)), new Kept(new FlightId(r.get(FLIGHT.ID)),
        r.get(FLIGHT.NUMBER), Instant.ofEpochMilli(r.get(FLIGHT.DEPARTS_AT)), r.get(TRACE.SHA256))))
        .forEach(e -> all.computeIfAbsent(e.getKey(), t -> new ArrayList<>()).add(e.getValue()));
    return all;
  }

  @Override
  public Optional<String> csv(FlightId departure, String sha256) {
    return db.read(sql -> sql.select(TRACE.CSV).from(TRACE)
        .where(TRACE.FLIGHT_ID.eq(departure.value()), TRACE.SHA256.eq(sha256)).fetchOptional(TRACE.CSV));
  }
}
