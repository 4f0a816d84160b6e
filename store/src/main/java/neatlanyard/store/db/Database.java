package neatlanyard.store.db;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Consumer;
import java.util.function.Function;
import org.flywaydb.core.Flyway;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.impl.DSL;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteConfig.JournalMode;
import org.sqlite.SQLiteConfig.SynchronousMode;
import org.sqlite.SQLiteDataSource;

/**
 * The SQLite file, in write-ahead mode with {@code synchronous=FULL}: a transaction that was committed is on the disk.
 *
 * <p>One connection writes, one transaction at a time; another reads, and sees the last committed state. Both stay open
 * for the life of the process, which keeps the page cache warm and the file's locks simple.
 */
public final class Database implements AutoCloseable {
  private final Connection writing;
  private final Connection reading;
  private final DSLContext write;
  private final DSLContext read;
  private final ReentrantLock writer = new ReentrantLock(true);
  private final ReentrantLock reader = new ReentrantLock();

  private Database(Connection writing, Connection reading) {
    this.writing = writing;
    this.reading = reading;
    this.write = DSL.using(writing, SQLDialect.SQLITE);
    this.read = DSL.using(reading, SQLDialect.SQLITE);
  }

  /** Opens the file, makes it where there is none, and brings its tables up to date. */
  public static Database open(Path file) {
    SQLiteConfig config = new SQLiteConfig();
    config.enforceForeignKeys(true);
    config.setJournalMode(JournalMode.WAL);
    config.setSynchronous(SynchronousMode.FULL);
    config.setBusyTimeout(5_000);
    SQLiteDataSource source = new SQLiteDataSource(config);
    source.setUrl("jdbc:sqlite:" + file);
    Flyway.configure().dataSource(source).locations("classpath:db/migration").load().migrate();
    try {
      return new Database(source.getConnection(), source.getConnection());
    } catch (SQLException e) {
      throw new IllegalStateException("The database %s cannot be opened: %s".formatted(file, e.getMessage()), e);
    }
  }

  /** Does all of it in one transaction, or nothing of it. */
  public void write(Consumer<DSLContext> work) {
    writer.lock();
    try {
      write.transaction(c -> work.accept(c.dsl()));
    } finally {
      writer.unlock();
    }
  }

  public <T> T read(Function<DSLContext, T> query) {
    reader.lock();
    try {
      return query.apply(read);
    } finally {
      reader.unlock();
    }
  }

  /** Waits for what is being written and closes the file. */
  @Override
  public void close() {
    writer.lock();
    reader.lock();
    try {
      reading.close();
      writing.close();
    } catch (SQLException e) {
      throw new IllegalStateException("The database cannot be closed: " + e.getMessage(), e);
    } finally {
      reader.unlock();
      writer.unlock();
    }
  }
}
