package neatlanyard.store.timeline;

import static neatlanyard.store.generated.Tables.TASK_TIME;

import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.timeline.learned.Took;
import neatlanyard.core.timeline.learned.TookTimes;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.TaskTimeRecord;

/** What crews took, in the database. */
public final class StoredTookTimes implements TookTimes {
  private final Database db;

  public StoredTookTimes(Database db) {
    this.db = db;
  }

  @Override
  public List<Took> of(TypeId type, int most) {
    return db.rows(sql -> sql.selectFrom(TASK_TIME).where(TASK_TIME.TYPE_ID.eq(type.value()))
        .orderBy(TASK_TIME.AT.desc(), TASK_TIME.FLIGHT_ID, TASK_TIME.PROCEDURE_ID).limit(most), StoredTookTimes::took);
  }

  @Override
  public Map<FlightId, List<Took>> all() {
    return db.rows(sql -> sql.selectFrom(TASK_TIME).orderBy(TASK_TIME.AT, TASK_TIME.FLIGHT_ID,
        TASK_TIME.PROCEDURE_ID), r -> Map.entry(new FlightId(r.getFlightId()), took(r))).stream()
        .collect(Collectors.groupingBy(Map.Entry::getKey, LinkedHashMap::new,
        Collectors.mapping(Map.Entry::getValue, Collectors.toList())));
  }

  private static Took took(TaskTimeRecord r) {
    return new Took(new TypeId(r.getTypeId()), new ProcedureId(r.getProcedureId()), Instant.ofEpochMilli(r.getAt()),
        r.getDark() == 1, r.getCold() == 1, Duration.ofMillis(r.getEstimatedMs()), Duration.ofMillis(r.getTookMs()));
  }

  @Override
  public void keep(Map<FlightId, List<Took>> took) {
    db.write(sql -> took.forEach((flight, all) -> {
      sql.deleteFrom(TASK_TIME).where(TASK_TIME.FLIGHT_ID.eq(flight.value())).execute();
      if (!all.isEmpty()) {
        sql.batchInsert(all.stream().map(t -> row(flight, t)).toList()).execute();
      }
    }));
  }

  private static TaskTimeRecord row(FlightId flight, Took t) {
    return new TaskTimeRecord(flight.value(), t.procedure().value(), t.type().value(), t.at().toEpochMilli(),
        t.dark() ? 1 : 0, t.cold() ? 1 : 0, t.estimated().toMillis(), t.took().toMillis());
  }
}
