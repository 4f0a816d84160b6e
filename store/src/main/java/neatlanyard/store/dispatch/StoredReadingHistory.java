package neatlanyard.store.dispatch;

import static neatlanyard.store.generated.Tables.READING;

import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import neatlanyard.core.dispatch.ReadingHistory;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.ReadingRecord;

/** Readings in the database. */
public final class StoredReadingHistory implements ReadingHistory {
  private final Database db;

  public StoredReadingHistory(Database db) {
    this.db = db;
  }

  @Override
  public List<Reading> of(TailId tail, int most) {
    Map<QuantityId, Deque<Reading>> last = new LinkedHashMap<>();
    db.rows(
        sql -> sql.selectFrom(READING)
            .where(READING.TAIL.eq(tail.value()), StoredImports.counts(READING.BROUGHT_IN))
            .orderBy(READING.AT, READING.ID),
        StoredReadingHistory::reading)
        .forEach(r -> {
          Deque<Reading> of = last.computeIfAbsent(r.quantity(), q -> new ArrayDeque<>());
          of.add(r);
          if (of.size() > most) {
            of.removeFirst();
          }
        });
    return last.values().stream().flatMap(Collection::stream).sorted(Comparator.comparing(Reading::at)).toList();
  }

  @Override
  public void add(List<Reading> readings) {
    db.write(sql -> sql.batchInsert(readings.stream().map(StoredReadingHistory::row).toList()).execute());
  }

  @Override
  public boolean none() {
    return db.read(sql -> !sql.fetchExists(READING, StoredImports.counts(READING.BROUGHT_IN)));
  }

  static ReadingRecord row(Reading x) {
    ReadingRecord r = new ReadingRecord();
    r.setTail(x.tail().value());
    r.setQuantity(x.quantity().value());
    r.setAt(x.at().toEpochMilli());
    r.setLandings(x.landings());
    r.setHours(x.hours());
    r.setValue(x.value());
    return r;
  }

  private static Reading reading(ReadingRecord r) {
    return new Reading(
        new TailId(r.getTail()), new QuantityId(r.getQuantity()), Instant.ofEpochMilli(r.getAt()), r.getLandings(),
        r.getHours(), r.getValue());
  }
}
