package neatlanyard.store.dispatch;

import static neatlanyard.store.generated.Tables.CONTROL_MEASURE;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import neatlanyard.core.controls.trend.CheckHistory;
import neatlanyard.core.controls.trend.ControlTrend.Checked;
import neatlanyard.core.controls.trend.Measure;
import neatlanyard.core.fleet.TailId;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.ControlMeasureRecord;

/** What control checks measured, in the database. */
public final class StoredCheckHistory implements CheckHistory {
  private final Database db;

  public StoredCheckHistory(Database db) {
    this.db = db;
  }

  @Override
  public List<Checked> of(TailId tail) {
    Map<Long, List<Measure>> checks = new LinkedHashMap<>();
    db.rows(
        sql -> sql.selectFrom(CONTROL_MEASURE)
            .where(CONTROL_MEASURE.TAIL.eq(tail.value()), StoredImports.counts(CONTROL_MEASURE.BROUGHT_IN))
            .orderBy(CONTROL_MEASURE.AT, CONTROL_MEASURE.ID),
        r -> r)
        .forEach(r -> checks.computeIfAbsent(r.getAt(), at -> new ArrayList<>()).add(measure(r)));
    return checks.entrySet().stream().map(e -> new Checked(tail, Instant.ofEpochMilli(e.getKey()), e.getValue()))
        .toList();
  }

  @Override
  public void add(Checked check) {
    db.write(sql -> sql.batchInsert(rows(check).toList()).execute());
  }

  @Override
  public boolean none() {
    return db.read(sql -> !sql.fetchExists(CONTROL_MEASURE, StoredImports.counts(CONTROL_MEASURE.BROUGHT_IN)));
  }

  static Stream<ControlMeasureRecord> rows(Checked check) {
    return check.measures().stream().map(m -> {
      ControlMeasureRecord r = new ControlMeasureRecord();
      r.setTail(check.tail().value());
      r.setAt(check.at().toEpochMilli());
      r.setOfWhat(m.of());
      r.setQuantity(m.quantity().name());
      r.setValue(m.value());
      r.setMost(m.limit());
      return r;
    });
  }

  private static Measure measure(ControlMeasureRecord r) {
    return new Measure(r.getOfWhat(), Measure.Quantity.valueOf(r.getQuantity()), r.getValue(), r.getMost());
  }
}
