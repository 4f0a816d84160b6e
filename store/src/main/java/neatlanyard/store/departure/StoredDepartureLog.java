package neatlanyard.store.departure;

import static neatlanyard.store.generated.Tables.ENTRY;
import static neatlanyard.store.generated.Tables.FLIGHT;
import static neatlanyard.store.generated.Tables.TRACE;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.log.DepartureLog;
import neatlanyard.store.db.Database;
import neatlanyard.store.generated.tables.records.EntryRecord;
import neatlanyard.store.generated.tables.records.TraceRecord;
import org.jooq.Field;
import org.jooq.Record2;
import org.jooq.impl.DSL;

/**
 * Logs in the database. Entries that arrive while the disk is busy are written together in the next transaction, so
 * that many crews share one disk sync; each is acknowledged only after it.
 */
public final class StoredDepartureLog implements DepartureLog, AutoCloseable {
  private static final int MOST_AT_ONCE = 512;

  private record Waiting(EntryRecord row, CompletableFuture<Void> done) {}

  private final Database db;
  private final BlockingQueue<Waiting> queue = new LinkedBlockingQueue<>();
  private final Thread writer;

  public StoredDepartureLog(Database db) {
    this.db = db;
    this.writer = Thread.ofPlatform().name("log-writer").daemon().start(this::writeAsTheyCome);
  }

  @Override
  public CompletionStage<Void> append(FlightId departure, StoredEntry entry) {
    CompletableFuture<Void> done = new CompletableFuture<>();
    queue.add(new Waiting(
        new EntryRecord(departure.value(), entry.number(), entry.event().toString(), entry.hash(), entry.json()),
        done));
    return done;
  }

  private void writeAsTheyCome() {
    List<Waiting> batch = new ArrayList<>();
    try {
      while (true) {
        batch.add(queue.take());
        queue.drainTo(batch, MOST_AT_ONCE - 1);
        write(batch);
        batch.clear();
      }
    } catch (InterruptedException e) {
      queue.drainTo(batch);
      batch.forEach(w -> w.done.completeExceptionally(new IllegalStateException("The application is stopping")));
    }
  }

  /** All in one transaction; if that fails, one by one, so that one bad entry does not take the others with it. */
  private void write(List<Waiting> batch) {
    try {
      db.writeFirst(sql -> sql.batchInsert(batch.stream().map(Waiting::row).toList()).execute());
      batch.forEach(w -> w.done.complete(null));
    } catch (RuntimeException together) {
      for (Waiting w : batch) {
        try {
          db.writeFirst(sql -> sql.insertInto(ENTRY).set(w.row).execute());
          w.done.complete(null);
        } catch (RuntimeException alone) {
          w.done.completeExceptionally(alone);
        }
      }
    }
  }

  @Override
  public List<StoredEntry> read(FlightId departure) {
    return db.read(sql -> sql.selectFrom(ENTRY)
        .where(ENTRY.FLIGHT_ID.eq(departure.value()))
        .orderBy(ENTRY.NUMBER)
        .fetch(StoredDepartureLog::kept));
  }

  /** One look into the index a flight, however long the logs. */
  @Override
  public Map<FlightId, Long> lastNumbers() {
    Field<Long> last = DSL.field(DSL.select(DSL.max(ENTRY.NUMBER)).from(ENTRY).where(ENTRY.FLIGHT_ID.eq(FLIGHT.ID)));
    return db.read(sql -> sql.select(FLIGHT.ID, last).from(FLIGHT).fetch().stream()
        .filter(r -> r.value2() != null).collect(Collectors.toMap(r -> new FlightId(r.value1()), Record2::value2)));
  }

  /** The condition is written as in the index that answers it. */
  @Override
  public List<StoredIn> doesNotFit() {
    return db.rows(
            sql -> sql.selectFrom(ENTRY).where(DSL.condition("json_extract(json, '$.kind') = 'does-not-fit'")),
            r -> new StoredIn(new FlightId(r.getFlightId()), kept(r)))
        .stream().sorted(Comparator.comparing((StoredIn f) -> f.entry().event()).reversed()).toList();
  }

  private static StoredEntry kept(EntryRecord r) {
    return new StoredEntry(r.getNumber(), UUID.fromString(r.getEventId()), r.getJson(), r.getHash());
  }

  @Override
  public void keepTrace(FlightId departure, String sha256, String csv) {
    db.write(sql -> sql.insertInto(TRACE)
        .set(new TraceRecord(departure.value(), sha256, csv))
        .onDuplicateKeyIgnore()
        .execute());
  }

  @Override
  public Optional<String> trace(FlightId departure, String sha256) {
    return db.read(sql -> sql.selectFrom(TRACE)
        .where(TRACE.FLIGHT_ID.eq(departure.value()), TRACE.SHA256.eq(sha256))
        .fetchOptional(TRACE.CSV));
  }

  @Override
  public void close() throws InterruptedException {
    writer.interrupt();
    writer.join();
  }
}
