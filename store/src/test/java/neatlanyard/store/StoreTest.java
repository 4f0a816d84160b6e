package neatlanyard.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import neatlanyard.core.departure.DepartureLog.Kept;
import neatlanyard.core.fleet.Accounts.Account;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.Library;
import neatlanyard.store.db.Database;
import neatlanyard.store.db.OwnSettings;
import neatlanyard.store.departure.StoredDepartureLog;
import neatlanyard.store.fleet.StoredAccounts;
import neatlanyard.store.fleet.StoredFlights;
import neatlanyard.store.sop.StoredLibrary;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** What was kept comes back as it went in, also from a file opened anew; what must not change does not. */
@SuppressWarnings("NullAway.Init") // The set-up fills the fields.
public class StoreTest {
  private static final Instant AT = Instant.parse("2027-01-14T08:05:00.123Z");

  private Path file;
  private Database db;

  @BeforeMethod
  void open() throws IOException {
    file = Files.createTempDirectory("lanyard-store").resolve("test.db");
    db = Database.open(file);
  }

  @AfterMethod(alwaysRun = true)
  void close() {
    db.close();
  }

  private void again() {
    db.close();
    db = Database.open(file);
  }

  private static Flight flight(String id) {
    return new Flight(
        new FlightId(id), "Flight 14", new TailId("TL-DVA"), new AirfieldId("QTRN"), new AirfieldId("QVSK"), AT,
        List.of(new Rostered(new CrewId("marsk"), Seat.LEFT, true, true), new Rostered(new CrewId("adeyo"), Seat.RIGHT, false, false)));
  }

  private static Kept kept(long number, UUID event) {
    return new Kept(number, event, "{\"number\":%d,\"what\":\"°ü\"}".formatted(number), "hash" + number);
  }

  @Test
  public void it_writes_ahead_and_syncs_fully() throws Exception {
    db.write(sql -> assertThat(sql.fetchValue("pragma synchronous")).isEqualTo(2));
    try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + file); Statement s = c.createStatement();
        ResultSet mode = s.executeQuery("pragma journal_mode")) {
      assertThat(mode.getString(1)).isEqualTo("wal");
    }
  }

  @Test
  public void flights_come_back_with_their_crews_all_or_none() {
    new StoredFlights(db).add(List.of(flight("a"), flight("b")));
    again();
    StoredFlights flights = new StoredFlights(db);
    assertThat(flights.all()).containsExactly(flight("a"), flight("b"));
    assertThatThrownBy(() -> flights.add(List.of(flight("c"), flight("b")))).hasMessageContaining("'b' is there already");
    assertThatThrownBy(() -> flights.add(List.of(flight("d"), flight("d")))).isNotNull();
    assertThat(flights.all()).hasSize(2);
    assertThat(flights.find(new FlightId("c"))).isEmpty();
  }

  @Test
  public void accounts_are_added_and_changed() {
    StoredAccounts accounts = new StoredAccounts(db);
    Account first = new Account(new CrewId("adeyo"), "Wren Adeyo", Role.FIRST_OFFICER, "hash", true);
    accounts.save(first);
    Account changed = new Account(new CrewId("adeyo"), "Wren Adeyo", Role.CAPTAIN, "other", false);
    accounts.save(changed);
    again();
    assertThat(new StoredAccounts(db).all()).containsExactly(changed);
    assertThat(new StoredAccounts(db).find(new CrewId("nobody"))).isEmpty();
  }

  @Test
  public void a_revision_is_never_edited() {
    StoredLibrary library = new StoredLibrary(db);
    Library.Document one = new Library.Document(Library.Kind.PACK, "p", "1", "sha", "text", new CrewId("orrin"), AT);
    library.keep(one);
    library.keep(one);
    assertThatThrownBy(() -> library.keep(
        new Library.Document(Library.Kind.PACK, "p", "1", "other", "other text", new CrewId("orrin"), AT)))
        .hasMessageContaining("a revision is never edited");
    library.keep(new Library.Document(Library.Kind.PACK, "p", "2", "sha2", "text2", new CrewId("orrin"), AT.plusSeconds(1)));
    again();
    assertThat(new StoredLibrary(db).all(Library.Kind.PACK)).extracting(Library.Document::revision).containsExactly("2", "1");
    assertThat(new StoredLibrary(db).find(Library.Kind.PACK, "p", "1")).contains(one);
    assertThat(new StoredLibrary(db).all(Library.Kind.FLEET)).isEmpty();
  }

  @Test
  public void a_log_keeps_its_order_and_one_bad_entry_takes_no_other_with_it() throws Exception {
    new StoredFlights(db).add(List.of(flight("a"), flight("b")));
    UUID twice = UUID.randomUUID();
    try (StoredDepartureLog log = new StoredDepartureLog(db)) {
      log.append(new FlightId("a"), kept(1, twice)).toCompletableFuture().join();
      List<CompletableFuture<Void>> together = new ArrayList<>();
      for (long n = 2; n <= 40; n++) {
        together.add(log.append(new FlightId("a"), kept(n, UUID.randomUUID())).toCompletableFuture());
        together.add(log.append(new FlightId("b"), kept(n, UUID.randomUUID())).toCompletableFuture());
      }
      CompletableFuture<Void> bad = log.append(new FlightId("a"), kept(41, twice)).toCompletableFuture();
      CompletableFuture<Void> unknown = log.append(new FlightId("c"), kept(1, UUID.randomUUID())).toCompletableFuture();
      CompletableFuture<Void> good = log.append(new FlightId("b"), kept(41, UUID.randomUUID())).toCompletableFuture();
      together.forEach(CompletableFuture::join);
      good.join();
      assertThatThrownBy(bad::join).hasMessageContaining("UNIQUE");
      assertThatThrownBy(unknown::join).hasMessageContaining("FOREIGN KEY");
    }
    again();
    try (StoredDepartureLog log = new StoredDepartureLog(db)) {
      assertThat(log.read(new FlightId("a"))).hasSize(40).extracting(Kept::number).isSorted();
      assertThat(log.read(new FlightId("a")).getFirst()).isEqualTo(kept(1, twice));
      assertThat(log.read(new FlightId("c"))).isEmpty();
    }
  }

  @Test
  public void an_entry_is_neither_changed_nor_deleted() throws Exception {
    new StoredFlights(db).add(List.of(flight("a")));
    try (StoredDepartureLog log = new StoredDepartureLog(db)) {
      log.append(new FlightId("a"), kept(1, UUID.randomUUID())).toCompletableFuture().join();
    }
    assertThatThrownBy(() -> db.write(sql -> sql.execute("update entry set json = 'x'"))).hasMessageContaining("never changed");
    assertThatThrownBy(() -> db.write(sql -> sql.execute("delete from entry"))).hasMessageContaining("never deleted");
  }

  @Test
  public void traces_and_own_settings_are_kept_once() throws Exception {
    new StoredFlights(db).add(List.of(flight("a")));
    try (StoredDepartureLog log = new StoredDepartureLog(db)) {
      log.keepTrace(new FlightId("a"), "sha", "seconds\n0\n");
      log.keepTrace(new FlightId("a"), "sha", "something else");
      assertThat(log.trace(new FlightId("a"), "sha")).isEqualTo(Optional.of("seconds\n0\n"));
      assertThat(log.trace(new FlightId("a"), "other")).isEmpty();
    }
    String made = new OwnSettings(db).of("key", () -> "made once");
    again();
    assertThat(new OwnSettings(db).of("key", () -> "made twice")).isEqualTo(made);
  }
}
