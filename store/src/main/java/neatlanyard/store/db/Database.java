package neatlanyard.store.db;

import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Consumer;
import java.util.function.Function;
import org.flywaydb.core.Flyway;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.ResultQuery;
import org.jooq.SQLDialect;
import org.jooq.TableRecord;
import org.jooq.exception.DataAccessException;
import org.jooq.impl.DSL;
import org.sqlite.SQLiteConfig.JournalMode;
import org.sqlite.SQLiteConfig.SynchronousMode;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;

/**
 * The SQLite file, in write-ahead mode with {@code synchronous=FULL}: a transaction that was committed is on the disk.
 *
 * <p>One connection writes, one transaction at a time; another reads, and sees the last committed state. Both stay
 * open for the life of the process, which keeps the page cache warm and the file's locks simple.
 */
public final class Database implements AutoCloseable {
  private static final int MOST_NOTED = 100;

  private final OneOwner owner;
  private final Connection writing;
  private final Connection reading;
  private final DSLContext write;
  private final DSLContext read;
  private final ReentrantLock writer = new ReentrantLock(true);
  private final ReentrantLock turnstile = new ReentrantLock(true);
  private final ReentrantLock reader = new ReentrantLock();
  private final Map<String, String> unreadable = new ConcurrentHashMap<>();
  private volatile Optional<String> trouble = Optional.empty();

  private Database(OneOwner owner, Connection writing, Connection reading) {
    this.owner = owner;
    this.writing = writing;
    this.reading = reading;
    this.write = DSL.using(writing, SQLDialect.SQLITE);
    this.read = DSL.using(reading, SQLDialect.SQLITE);
  }

  /**
   * Opens the file, makes it where there is none, and brings its tables up to date.
   *
   * @throws NotKept when another server uses it, or it cannot be read or written
   */
  public static Database open(Path file) {
    OneOwner owner = OneOwner.of(file.toAbsolutePath());
    try {
      SQLiteDataSource source = new SQLiteDataSource(config());
      source.setUrl("jdbc:sqlite:" + file);
      Flyway.configure().dataSource(source).locations("classpath:db/migration").load().migrate();
      Database opened = new Database(owner, source.getConnection(), source.getConnection());
      // A file that may only be read migrates to nothing and opens; it is found out by writing.
      opened.write(sql -> sql.execute("create table if not exists may_be_written (yes integer)"));
      opened.write(sql -> sql.execute("drop table may_be_written"));
      return opened;
    } catch (SQLException | RuntimeException e) {
      closeQuietly(owner);
      throw e instanceof NotKept already ? already : new NotKept(
          "The database %s cannot be opened: %s.".formatted(file, Trouble.words(e)), Trouble.tryThis(e), e);
    }
  }

  private static SQLiteConfig config() {
    SQLiteConfig config = new SQLiteConfig();
    config.enforceForeignKeys(true);
    config.setJournalMode(JournalMode.WAL);
    config.setSynchronous(SynchronousMode.FULL);
    config.setBusyTimeout(5_000);
    return config;
  }

  private static void closeQuietly(OneOwner owner) {
    try {
      owner.close();
    } catch (IOException e) {
      // The process that could not open it ends, and its lock with it.
    }
  }

  /** Does all of it in one transaction, or nothing of it. @throws NotKept when the disk does not take it */
  public void write(Consumer<DSLContext> work) {
    // One of these at a time stands before the writer, so that whoever goes first waits for one of them, not for all.
    turnstile.lock();
    try {
      writeFirst(work);
    } finally {
      turnstile.unlock();
    }
  }

  /** As {@link #write}, past all who wait there: for what crews say. */
  public void writeFirst(Consumer<DSLContext> work) {
    writer.lock();
    try {
      write.transaction(c -> work.accept(c.dsl()));
      trouble = Optional.empty();
    } catch (DataAccessException e) {
      RuntimeException why = Trouble.of(e);
      trouble = why instanceof NotKept n ? Optional.of(String.valueOf(n.getMessage())) : trouble;
      throw why;
    } finally {
      writer.unlock();
    }
  }

  /** Why the last writing failed; empty when it did not. */
  public Optional<String> trouble() {
    return trouble;
  }

  public <T> T read(Function<DSLContext, T> query) {
    reader.lock();
    try {
      return query.apply(read);
    } catch (DataAccessException e) {
      throw Trouble.of(e);
    } finally {
      reader.unlock();
    }
  }

  /**
   * Rows as what they stand for. One that cannot be read, as another tool or another version may have written it, is
   * left out and noted: the others are shown.
   */
  public <R extends Record, T> List<T> rows(Function<DSLContext, ResultQuery<R>> query, Function<R, T> reads) {
    List<T> read = new ArrayList<>();
    for (R row : read(sql -> query.apply(sql).fetch())) {
      try {
        read.add(reads.apply(row));
      } catch (NotKept disk) {
        throw disk; // Of the file, not of the row.
      } catch (RuntimeException e) {
        note(row, e);
      }
    }
    return read;
  }

  /** Notes a row that cannot be read. */
  public void note(Record row, RuntimeException why) {
    String which = row.get(0) + (row instanceof TableRecord<?> t ? " of " + t.getTable().getName() : "");
    if (unreadable.size() < MOST_NOTED && unreadable.putIfAbsent(which, String.valueOf(why.getMessage())) == null) {
      System.getLogger(Database.class.getName())
          .log(System.Logger.Level.WARNING, "Row {0} cannot be read: {1}", which, why.getMessage());
    }
  }

  /** Rows that could not be read since the start, and why. */
  public Map<String, String> unreadable() {
    return Map.copyOf(unreadable);
  }

  /** Waits for what is being written and closes the file. */
  @Override
  public void close() {
    writer.lock();
    reader.lock();
    try {
      reading.close();
      writing.close();
      owner.close();
    } catch (SQLException | IOException e) {
      throw new IllegalStateException("The database cannot be closed: " + e.getMessage(), e);
    } finally {
      reader.unlock();
      writer.unlock();
    }
  }
}
