package neatlanyard.store.db;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteConnection;

/** Copies of a database, made while a server uses it, and put back while none does. */
public final class Backup {
  /** All pages in one step, from one snapshot: a writer at work meanwhile does not make it begin again. */
  private static final int ALL_PAGES = -1;
  private static final int RETRY_AFTER_MS = 100;
  private static final int RETRIES = 100;

  private Backup() {}

  private static SQLiteConnection open(Path file, boolean readOnly) throws SQLException {
    SQLiteConfig config = new SQLiteConfig();
    config.setReadOnly(readOnly);
    config.setBusyTimeout(5_000);
    Connection connection = config.createConnection("jdbc:sqlite:" + file);
    return connection.unwrap(SQLiteConnection.class);
  }

  /**
   * Copies a database by SQLite's own online backup, whether a server uses it or not. The copy stands under its name
   * only once it is whole and on the disk.
   *
   * @throws NotKept saying why it could not be made
   */
  public static void make(Path database, Path to) {
    if (!Files.isRegularFile(database)) {
      throw new NotKept("There is no database %s.".formatted(database),
          "Give the one the server uses: --database=FILE.", new IOException("not there"));
    }
    Path part = to.resolveSibling(to.getFileName() + ".part");
    try {
      Files.deleteIfExists(part);
      try (SQLiteConnection from = open(database, false)) {
        from.getDatabase().backup("main", part.toString(), null, RETRY_AFTER_MS, RETRIES, ALL_PAGES);
      }
      try (SQLiteConnection copy = open(part, false); Statement s = copy.createStatement()) {
        // One file, without a log beside it.
        s.execute("pragma journal_mode=delete");
      }
      settle(part, to);
    } catch (SQLException | IOException e) {
      throw new NotKept("The backup could not be made: %s.".formatted(e.getMessage()), "Look at the disk it goes to.",
          e);
    }
  }

  /**
   * Puts a backup in the place of a database that no server uses. What stood there is kept beside it.
   *
   * @return where what stood there is now; empty when nothing did
   * @throws NotKept when a server uses it, or it could not be done; then nothing was changed
   */
  public static Optional<Path> restore(Path backup, Path database) {
    try (OneOwner owner = OneOwner.of(database.toAbsolutePath())) {
      Path part = database.resolveSibling(database.getFileName() + ".part");
      Files.copy(backup, part, StandardCopyOption.REPLACE_EXISTING);
      Optional<Path> before = Optional.empty();
      if (Files.exists(database)) {
        try (SQLiteConnection old = open(database, false); Statement s = old.createStatement()) {
          s.execute("pragma wal_checkpoint(truncate)");
        } catch (SQLException damaged) {
          // That may be why it is replaced; its log is kept with it below.
        }
        Path kept = database.resolveSibling(database.getFileName() + ".before-restore");
        Files.move(database, kept, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        for (String log : List.of("-wal", "-shm")) {
          Path beside = database.resolveSibling(database.getFileName() + log);
          if (Files.exists(beside)) {
            Files.move(beside, kept.resolveSibling(kept.getFileName() + log), StandardCopyOption.REPLACE_EXISTING);
          }
        }
        before = Optional.of(kept);
      }
      settle(part, database);
      return before;
    } catch (IOException e) {
      throw new NotKept("The backup could not be put back: %s.".formatted(e), "Look at the disk.", e);
    }
  }

  /** On the disk first, then under its name. */
  private static void settle(Path part, Path to) throws IOException {
    try (FileChannel channel = FileChannel.open(part, StandardOpenOption.WRITE)) {
      channel.force(true);
    }
    Files.move(part, to, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    Path folder = to.toAbsolutePath().getParent();
    if (folder != null) {
      try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
        channel.force(true);
      }
    }
  }

  /**
   * What SQLite finds wrong with a database by itself; empty when nothing is.
   *
   * @throws NotKept if it is no database of this product
   */
  public static List<String> faults(Path file) {
    try (SQLiteConnection c = open(file, true); Statement s = c.createStatement()) {
      List<String> faults = new ArrayList<>();
      try (ResultSet r = s.executeQuery("pragma integrity_check(20)")) {
        while (r.next()) {
          faults.add(r.getString(1));
        }
      }
      return faults.equals(List.of("ok")) ? List.of() : faults;
    } catch (SQLException e) {
      throw notOne(file, e);
    }
  }

  /**
   * The logs of all departures as they are kept, by flight, each in order.
   *
   * @throws NotKept if it is no database of this product
   */
  public static Map<String, List<String>> logs(Path file) {
    try (SQLiteConnection c = open(file, true); Statement s = c.createStatement();
        ResultSet r = s.executeQuery("select flight_id, json from entry order by flight_id, number")) {
      Map<String, List<String>> logs = new LinkedHashMap<>();
      while (r.next()) {
        logs.computeIfAbsent(r.getString(1), f -> new ArrayList<>()).add(r.getString(2));
      }
      return logs;
    } catch (SQLException e) {
      throw notOne(file, e);
    }
  }

  private static NotKept notOne(Path file, SQLException e) {
    return new NotKept(
        "%s is not a database of this product, or it is damaged: %s.".formatted(file, Trouble.words(e)),
        "Take an earlier backup.", e);
  }
}
