package neatlanyard.store.dispatch;

import static neatlanyard.store.generated.Tables.BROUGHT_IN;
import static neatlanyard.store.generated.Tables.CONTROL_MEASURE;
import static neatlanyard.store.generated.Tables.ENTRY;
import static neatlanyard.store.generated.Tables.FLIGHT;
import static neatlanyard.store.generated.Tables.READING;
import static neatlanyard.store.generated.Tables.TECH_LINE;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.Stream;
import neatlanyard.core.controls.trend.ControlTrend.Checked;
import neatlanyard.core.dispatch.Imports;
import neatlanyard.core.dispatch.ReadingHistory.Reading;
import neatlanyard.core.dispatch.TechEntry;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.TailId;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.TechLine;
import neatlanyard.store.generated.tables.records.BroughtInRecord;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.TableRecord;
import org.jooq.impl.DSL;

/** Files that were brought in, in the database: their rows stand among the others of their kind. */
public final class StoredImports implements Imports {
  private static final int ROWS_AT_ONCE = 100;

  private final Database db;

  public StoredImports(Database db) {
    this.db = db;
  }

  /** Whether a row counts, by which file it came in with: whole and not withdrawn, or with none. */
  static Condition counts(Field<Integer> broughtIn) {
    return broughtIn.isNull().or(broughtIn.in(
        DSL.select(BROUGHT_IN.NUMBER).from(BROUGHT_IN)
        .where(BROUGHT_IN.WHOLE.isTrue(), BROUGHT_IN.WITHDRAWN_AT.isNull())));
  }

  @Override
  public void bringInLog(List<TechEntry> lines, CrewId by, Instant at) {
    take(What.LOG_LINES, lines.stream().map(TechEntry::tail), lines.stream().map(StoredTechLogs::row).toList(),
        TECH_LINE.BROUGHT_IN, by, at);
  }

  @Override
  public void bringInReadings(List<Reading> readings, CrewId by, Instant at) {
    take(What.READINGS, readings.stream().map(Reading::tail), readings.stream().map(StoredReadingHistory::row)
        .toList(), READING.BROUGHT_IN,
        by, at);
  }

  @Override
  public void bringInChecks(List<Checked> checks, CrewId by, Instant at) {
    take(What.CONTROL_CHECKS, checks.stream().map(Checked::tail),
        checks.stream().flatMap(StoredCheckHistory::rows).toList(), CONTROL_MEASURE.BROUGHT_IN, by, at);
  }

  private <R extends TableRecord<R>> void take(
      What what, Stream<TailId> of, List<R> rows, Field<Integer> broughtIn, CrewId by, Instant at) {
    List<String> tails = of.map(TailId::value).distinct().toList();
    AtomicInteger number = new AtomicInteger();
    db.write(sql -> number.set(Objects.requireNonNull(sql.insertInto(BROUGHT_IN)
        .set(BROUGHT_IN.WHAT, what.name()).set(BROUGHT_IN.WHO, by.value()).set(BROUGHT_IN.AT, at.toEpochMilli())
        .set(BROUGHT_IN.TAILS, String.join(" ", tails)).set(BROUGHT_IN.ROWS, rows.size())
        .set(BROUGHT_IN.ENTRIES, entries(sql, tails))
        .returning(BROUGHT_IN.NUMBER).fetchSingle(BROUGHT_IN.NUMBER))));
    for (int from = 0; from < rows.size(); from += ROWS_AT_ONCE) {
      List<R> few = rows.subList(from, Math.min(rows.size(), from + ROWS_AT_ONCE));
      few.forEach(r -> r.set(broughtIn, number.get()));
      db.write(sql -> sql.batchInsert(few).execute());
    }
    db.write(sql -> sql.update(BROUGHT_IN).set(BROUGHT_IN.WHOLE, true).where(BROUGHT_IN.NUMBER.eq(number.get()))
        .execute());
  }

  /** How many entries there are of all departures of these tails; numbers of a log have no holes. */
  private static long entries(DSLContext sql, List<String> tails) {
    Field<Long> last = DSL.field(DSL.select(DSL.max(ENTRY.NUMBER)).from(ENTRY).where(ENTRY.FLIGHT_ID.eq(FLIGHT.ID)));
    return sql.select(last).from(FLIGHT).where(FLIGHT.TAIL.in(tails)).fetch(last).stream().filter(Objects::nonNull)
        .mapToLong(n -> n + 1).sum();
  }

  @Override
  public List<Import> latest(int most) {
    return db.rows(
        sql -> sql.selectFrom(BROUGHT_IN).where(BROUGHT_IN.WHOLE.isTrue()).orderBy(BROUGHT_IN.NUMBER.desc())
        .limit(most),
        r -> db.read(sql -> read(sql, r)));
  }

  @Override
  public Optional<Import> find(int number) {
    return db.read(sql -> whole(sql, number).map(r -> read(sql, r)));
  }

  private static Optional<BroughtInRecord> whole(DSLContext sql, int number) {
    return sql.selectFrom(BROUGHT_IN).where(BROUGHT_IN.NUMBER.eq(number), BROUGHT_IN.WHOLE.isTrue()).fetchOptional();
  }

  @Override
  public boolean withdraw(int number, Instant at) {
    AtomicBoolean gone = new AtomicBoolean();
    db.write(sql -> gone.set(whole(sql, number)
        .filter(r -> read(sql, r).standing() == Standing.MAY_BE_WITHDRAWN)
        .map(r -> sql.update(BROUGHT_IN).set(BROUGHT_IN.WITHDRAWN_AT, at.toEpochMilli())
        .where(BROUGHT_IN.NUMBER.eq(number)).execute())
        .isPresent()));
    return gone.get();
  }

  private static Import read(DSLContext sql, BroughtInRecord r) {
    List<String> tails = List.of(r.getTails().split(" "));
    Standing standing = r.getWithdrawnAt() != null ? Standing.WITHDRAWN
        : entries(sql, tails) != r.getEntries() || wentOn(sql, r.getNumber(), tails) ? Standing.IN_USE
        : Standing.MAY_BE_WITHDRAWN;
    return new Import(
        r.getNumber(), What.valueOf(r.getWhat()), new CrewId(r.getWho()), Instant.ofEpochMilli(r.getAt()),
        tails.stream().filter(t -> !t.isEmpty()).map(TailId::new).toList(), r.getRows(), standing);
  }

  /** Whether a later line that counts is about one of its defects. */
  private static boolean wentOn(DSLContext sql, int number, List<String> tails) {
    TechLine later = TECH_LINE.as("later");
    return sql.fetchExists(DSL.selectOne().from(TECH_LINE).join(later).on(later.DEFECT.eq(TECH_LINE.DEFECT))
        .where(TECH_LINE.TAIL.in(tails), TECH_LINE.BROUGHT_IN.eq(number), later.BROUGHT_IN.isDistinctFrom(number),
        counts(later.BROUGHT_IN)));
  }
}
