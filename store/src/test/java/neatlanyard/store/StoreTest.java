package neatlanyard.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.entry;
import static org.assertj.core.api.Assertions.tuple;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import neatlanyard.core.controls.recording.HeadNames;
import neatlanyard.core.controls.recording.KeptRecordings;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.controls.trend.ControlTrend.Checked;
import neatlanyard.core.controls.trend.Measure;
import neatlanyard.core.dispatch.DispatchLists;
import neatlanyard.core.dispatch.EntryId;
import neatlanyard.core.dispatch.Imports.Import;
import neatlanyard.core.dispatch.Imports.Standing;
import neatlanyard.core.dispatch.Imports.What;
import neatlanyard.core.dispatch.ReadingHistory.Reading;
import neatlanyard.core.dispatch.TechAct;
import neatlanyard.core.dispatch.TechEntry;
import neatlanyard.core.drill.Drills;
import neatlanyard.core.drill.Hidden;
import neatlanyard.core.drill.Staircase;
import neatlanyard.core.drill.Task;
import neatlanyard.core.drill.Trial;
import neatlanyard.core.fleet.Accounts.Account;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Arrival;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FleetTexts.FleetText;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Role;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.log.DepartureLog.StoredEntry;
import neatlanyard.core.sop.FeedbackAnswers.Answer;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.sop.Revision;
import neatlanyard.core.sop.Revision.Signed;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.ahead.GroundEvents.OfFlight;
import neatlanyard.core.timeline.ahead.OtherEnds.Told;
import neatlanyard.core.timeline.learned.Foretold;
import neatlanyard.core.walkaround.Photos;
import neatlanyard.store.controls.StoredHeadNames;
import neatlanyard.store.controls.StoredRecordings;
import neatlanyard.store.db.Database;
import neatlanyard.store.db.NotKept;
import neatlanyard.store.db.OwnSettings;
import neatlanyard.store.departure.StoredDepartureLog;
import neatlanyard.store.dispatch.StoredCheckHistory;
import neatlanyard.store.dispatch.StoredDispatchLists;
import neatlanyard.store.dispatch.StoredImports;
import neatlanyard.store.dispatch.StoredReadingHistory;
import neatlanyard.store.dispatch.StoredTechLogs;
import neatlanyard.store.drill.StoredDrills;
import neatlanyard.store.fleet.StoredAccounts;
import neatlanyard.store.fleet.StoredFleetTexts;
import neatlanyard.store.fleet.StoredFlights;
import neatlanyard.store.sop.StoredFeedbackAnswers;
import neatlanyard.store.sop.StoredRevisions;
import neatlanyard.store.timeline.StoredForetold;
import neatlanyard.store.timeline.StoredGroundEvents;
import neatlanyard.store.timeline.StoredOtherEnds;
import neatlanyard.store.walkaround.StoredPhotos;
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
        Optional.of(170),
        List.of(new Rostered(new CrewId("marsk"), Seat.LEFT, true, true),
        new Rostered(new CrewId("adeyo"), Seat.RIGHT, false, false)), "A remark.",
        Optional.of(new Arrival(Duration.ofMinutes(35), Optional.of(AT.plusSeconds(3_600)))));
  }

  private static StoredEntry kept(long number, UUID event) {
    return new StoredEntry(number, event, "{\"number\":%d,\"what\":\"°ü\"}".formatted(number), "hash" + number);
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
  public void a_second_server_on_the_same_file_is_told_so() {
    assertThatThrownBy(() -> Database.open(file)).isInstanceOf(NotKept.class)
        .hasMessageContaining("Another server uses the database");
    again();
  }

  /**
   * A full disk, as SQLite meets it: no page more. What failed is told, what was there stays, and it goes on once
   * there is room.
   */
  @Test
  public void a_full_disk_says_so_and_it_goes_on_once_there_is_room() {
    db.write(sql -> sql.execute("pragma max_page_count = " + sql.fetchValue("pragma page_count")));
    Flight large = new Flight(new FlightId("a"), "x".repeat(100_000), new TailId("TL-DVA"), new AirfieldId("QTRN"),
        new AirfieldId("QVSK"), AT, Optional.empty(), List.of());
    assertThatThrownBy(() -> new StoredFlights(db).add(List.of(large))).isInstanceOf(NotKept.class)
        .hasMessageContaining("the disk is full");
    assertThat(db.trouble()).isPresent();
    assertThat(new StoredFlights(db).all()).isEmpty();
    db.write(sql -> sql.execute("pragma max_page_count = 1000000"));
    new StoredFlights(db).add(List.of(large));
    assertThat(new StoredFlights(db).all()).hasSize(1);
    assertThat(db.trouble()).isEmpty();
  }

  @Test
  public void a_database_that_may_only_be_read_says_so() {
    db.write(sql -> sql.execute("pragma query_only = 1"));
    assertThatThrownBy(() -> new StoredFlights(db).add(List.of(flight("a")))).isInstanceOf(NotKept.class)
        .hasMessageContaining("it may only be read");
    assertThatThrownBy(() -> Database.open(Path.of("/proc/no-such-folder/test.db"))).isInstanceOf(NotKept.class);
  }

  @Test
  public void flights_come_back_with_their_crews_all_or_none() {
    new StoredFlights(db).add(List.of(flight("a"), flight("b")));
    again();
    StoredFlights flights = new StoredFlights(db);
    assertThat(flights.all()).containsExactly(flight("a"), flight("b"));
    assertThatThrownBy(() -> flights.add(List.of(flight("c"), flight("b"))))
        .hasMessageContaining("'b' is there already");
    assertThatThrownBy(() -> flights.add(List.of(flight("d"), flight("d")))).isNotNull();
    assertThat(flights.all()).hasSize(2);
    assertThat(flights.find(new FlightId("c"))).isEmpty();
  }

  @Test
  public void accounts_are_added_and_changed() {
    StoredAccounts accounts = new StoredAccounts(db);
    Account first = new Account(new CrewId("adeyo"), "Wren Adeyo", Role.FIRST_OFFICER, "hash", true, false);
    accounts.save(first);
    Account changed = new Account(new CrewId("adeyo"), "Wren Adeyo", Role.CAPTAIN, "other", false, true);
    accounts.save(changed);
    again();
    assertThat(new StoredAccounts(db).all()).containsExactly(changed);
    assertThat(new StoredAccounts(db).find(new CrewId("nobody"))).isEmpty();
  }

  private static Signed by(String who) {
    return new Signed(new CrewId(who), AT);
  }

  private static Revision draft(String name) {
    return Revision.draft(new PackId("pack"), name, "text", "sha", by("orrin"));
  }

  @Test
  public void a_draft_is_saved_over_only_from_the_edition_that_is_there() {
    StoredRevisions revisions = new StoredRevisions(db);
    assertThat(revisions.keep(draft("1"), 0)).isTrue();
    assertThat(revisions.keep(draft("1"), 0)).as("another who did not know of it").isFalse();
    Revision second = draft("1").saved("text2", "sha2", by("orrin"));
    assertThat(revisions.keep(second, 1)).isTrue();
    assertThat(revisions.keep(draft("1").saved("text3", "sha3", by("rand")), 1)).as("made from the first edition")
        .isFalse();
    again();
    assertThat(new StoredRevisions(db).find(new PackId("pack"), "1")).contains(second);
  }

  @Test
  public void what_is_published_stays_whoever_asks() {
    StoredRevisions revisions = new StoredRevisions(db);
    Revision published = draft("1").checked(by("rand")).published(by("orrin"), LocalDate.of(2027, 1, 14));
    revisions.keep(draft("1"), 0);
    assertThat(revisions.keep(published, 1)).isTrue();
    assertThat(revisions.keep(published.saved("x", "y", by("orrin")), 1)).isFalse();
    assertThat(revisions.discard(new PackId("pack"), "1", 1)).isFalse();
    assertThatThrownBy(() -> db.write(sql -> sql.execute("update revision set content = 'x'")))
        .hasMessageContaining("never changed");
    assertThatThrownBy(() -> db.write(sql -> sql.execute("delete from revision")))
        .hasMessageContaining("never deleted");
    revisions.acknowledge(new PackId("pack"), "1", by("adeyo"));
    revisions.acknowledge(new PackId("pack"), "1", new Signed(new CrewId("adeyo"), AT.plusSeconds(9)));
    again();
    StoredRevisions later = new StoredRevisions(db);
    assertThat(later.all()).containsExactly(published);
    assertThat(later.readers(new PackId("pack"), "1")).as("the first time counts").containsExactly(by("adeyo"));
    assertThat(later.acknowledged(new PackId("pack"), new CrewId("adeyo"))).containsExactly("1");
    assertThat(later.keep(draft("2"), 0) && later.discard(new PackId("pack"), "2", 1)).isTrue();
  }

  @Test
  public void what_does_not_fit_is_found_among_all_logs_and_its_answer_kept() throws Exception {
    new StoredFlights(db).add(List.of(flight("a"), flight("b")));
    try (StoredDepartureLog log = new StoredDepartureLog(db)) {
      UUID said = new UUID(0x7001L, 1);
      StoredEntry kept = new StoredEntry(2, said, "{\"kind\":\"does-not-fit\"}", "hash");
      log.append(new FlightId("a"), new StoredEntry(1, new UUID(0x7000L, 1), "{\"kind\":\"step-done\"}", "h"))
          .toCompletableFuture().join();
      log.append(new FlightId("b"), kept).toCompletableFuture().join();
      assertThat(log.doesNotFit()).extracting(f -> f.departure().value(), f -> f.entry())
          .containsExactly(tuple("b", kept));
      StoredFeedbackAnswers answers = new StoredFeedbackAnswers(db);
      answers.keep(said, new Answer("Thank you", by("orrin")));
      answers.keep(said, new Answer("Mended in the next revision", by("orrin")));
      assertThat(answers.all()).containsExactly(entry(said, new Answer("Mended in the next revision", by("orrin"))));
    }
  }

  @Test
  public void the_fleet_brought_in_last_holds() {
    StoredFleetTexts texts = new StoredFleetTexts(db);
    assertThat(texts.inForce()).isEmpty();
    texts.keep(new FleetText("Ternholm Air Link", "sha", "one", new CrewId("orrin"), AT));
    texts.keep(new FleetText("Ternholm Air Link", "sha2", "two", new CrewId("orrin"), AT));
    again();
    assertThat(new StoredFleetTexts(db).inForce()).get().extracting(FleetText::text).isEqualTo("two");
    assertThat(new StoredFleetTexts(db).before()).get().extracting(FleetText::text).isEqualTo("one");
    new StoredFleetTexts(db).withdraw(AT);
    assertThat(new StoredFleetTexts(db).inForce()).get().extracting(FleetText::text).isEqualTo("one");
    assertThat(new StoredFleetTexts(db).before()).isEmpty();
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
      CompletableFuture<Void> unknown = log.append(new FlightId("c"), kept(1, UUID.randomUUID()))
          .toCompletableFuture();
      CompletableFuture<Void> good = log.append(new FlightId("b"), kept(41, UUID.randomUUID())).toCompletableFuture();
      together.forEach(CompletableFuture::join);
      good.join();
      assertThatThrownBy(bad::join).hasMessageContaining("UNIQUE");
      assertThatThrownBy(unknown::join).hasMessageContaining("FOREIGN KEY");
    }
    again();
    try (StoredDepartureLog log = new StoredDepartureLog(db)) {
      assertThat(log.read(new FlightId("a"))).hasSize(40).extracting(StoredEntry::number).isSorted();
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
    assertThatThrownBy(() -> db.write(sql -> sql.execute("update entry set json = 'x'")))
        .hasMessageContaining("never changed");
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

  @Test
  public void a_technical_log_comes_back_as_it_went_in_and_cannot_be_changed() {
    TailId tail = new TailId("TL-DVA");
    UUID defect = new UUID(7, 1);
    List<TechAct> acts = List.of(
        new TechAct.Raised(defect, Optional.of(new FlightId("f1")), Optional.of(new PlaceId("tip")),
        Optional.of(new StepId("wa-tip-l")), "bulb, \"one\" of two"),
        new TechAct.Deferred(defect, new EntryId("33-1"), 1, LocalDate.of(2027, 1, 17), "no bulb"),
        new TechAct.Extended(defect, LocalDate.of(2027, 1, 20), "still none"),
        new TechAct.Cleared(defect, "changed"));
    List<TechEntry> lines = acts.stream().map(a -> new TechEntry(tail, AT, new CrewId("varga"), "Lio Varga", a))
        .toList();
    new StoredTechLogs(db).add(lines);
    again();
    assertThat(new StoredTechLogs(db).of(tail)).isEqualTo(lines);
    assertThat(new StoredTechLogs(db).of(new TailId("TL-DVB"))).isEmpty();
    assertThatThrownBy(() -> new StoredTechLogs(db).add(lines.subList(0, 1))).as("raised once")
        .isInstanceOf(RuntimeException.class);
    db.write(sql ->
        sql.execute("insert into tech_line (tail, defect, at, who, name, act, entry, count, last_day, words) values "
        + "('TL-HYB', '00000000-0000-0001-0000-000000000009', 0, 'varga', 'V', 'deferred', '33-1', 1, "
        + "'+999999999-12-31', 'old')"));
    assertThat(new StoredTechLogs(db).of(new TailId("TL-HYB"))).as("kept before days had a range").singleElement()
        .extracting(e -> ((TechAct.Deferred) e.act()).words())
        .isEqualTo("old [last day as it was written: +999999999-12-31]");
    assertThatThrownBy(() -> db.write(sql -> sql.execute("update tech_line set words = 'x'")))
        .hasMessageContaining("never changed");
    assertThatThrownBy(() -> db.write(sql -> sql.execute("delete from tech_line")))
        .hasMessageContaining("never deleted");
  }

  /**
   * A file counts whole or not at all: one that a killed server left half way, and one that was withdrawn, are not
   * there.
   */
  @Test
  public void a_file_counts_whole_and_until_it_is_withdrawn() {
    TailId tail = new TailId("TL-DVA");
    CrewId varga = new CrewId("varga");
    List<Reading> readings = IntStream.range(0, 250)
        .mapToObj(n -> new Reading(tail, new QuantityId("oil"), AT.plusSeconds(n), n, n, 12)).toList();
    StoredImports imports = new StoredImports(db);
    imports.bringInReadings(readings, varga, AT);
    assertThat(new StoredReadingHistory(db).of(tail, 1_000)).isEqualTo(readings);
    assertThat(imports.latest(5)).singleElement().isEqualTo(
        new Import(1, What.READINGS, varga, AT, List.of(tail), 250, Standing.MAY_BE_WITHDRAWN));
    db.write(sql -> sql.execute("update brought_in set whole = false"));
    assertThat(new StoredReadingHistory(db).of(tail, 1_000)).isEmpty();
    assertThat(imports.latest(5)).isEmpty();
    assertThat(imports.withdraw(1, AT)).isFalse();

    UUID defect = new UUID(7, 2);
    List<TechEntry> lines = List.of(new TechEntry(tail, AT, varga, "Lio Varga",
        new TechAct.Raised(defect, Optional.empty(), Optional.empty(), Optional.empty(), "bulb")));
    imports.bringInLog(lines, varga, AT);
    assertThat(imports.withdraw(2, AT)).isTrue();
    assertThat(imports.withdraw(2, AT)).isFalse();
    assertThat(new StoredTechLogs(db).of(tail)).isEmpty();
    // Corrected, it comes in again; a line about it puts it in use.
    imports.bringInLog(lines, varga, AT);
    again();
    assertThat(new StoredTechLogs(db).of(tail)).isEqualTo(lines);
    new StoredTechLogs(db)
        .add(List.of(new TechEntry(tail, AT, varga, "Lio Varga", new TechAct.Cleared(defect, "changed"))));
    assertThat(new StoredImports(db).withdraw(3, AT)).isFalse();
    assertThat(new StoredImports(db).latest(5)).extracting(Import::standing)
        .containsExactly(Standing.IN_USE, Standing.WITHDRAWN);
  }

  /** A drill comes back as it was answered first; drills that were only begun push out none that was answered. */
  @Test
  public void drills_come_back_to_whom_they_belong() {
    StoredDrills drills = new StoredDrills(db);
    CrewId wren = new CrewId("adeyo");
    Drills.Begun begun = new Drills.Begun(new UUID(1, 1), wren, new TypeId("dovrin-46"), Task.BOTH, 44, AT);
    drills.begin(begun, "{}");
    Hidden hidden = new Hidden(Fault.Kind.LATE, "rudder");
    var found = new neatlanyard.core.drill.Answer(Optional.of(4.5), Optional.of(3.9), 1, 2, 0, false, 4.5);
    var passed = new neatlanyard.core.drill.Answer(Optional.empty(), Optional.empty(), 3, 6, 0, true, 12);
    Drills.Answered answered = new Drills.Answered(begun, AT.plusSeconds(60), List.of(found, passed), List.of(
        new Trial(0, Optional.of(hidden), 1.2, 4, Trial.Outcome.FOUND, Optional.of(0.6)),
        new Trial(1, Optional.empty(), 0, 0, Trial.Outcome.LET_PASS, Optional.empty())), new Staircase(3.2, 1));
    assertThat(drills.answer(answered)).isTrue();
    assertThat(drills.answer(new Drills.Answered(begun, AT, List.of(passed), List.of(), Staircase.FRESH))).isFalse();
    for (int i = 0; i < 60; i++) {
      drills.begin(new Drills.Begun(new UUID(2, i), wren, new TypeId("dovrin-46"), Task.WATCH, i, AT.plusSeconds(i)),
          "{}");
    }
    again();
    assertThat(new StoredDrills(db).of(wren)).containsExactly(answered);
    assertThat(new StoredDrills(db).of(new CrewId("marsk"))).isEmpty();
    assertThat(new StoredDrills(db).find(new UUID(2, 59))).isPresent();
    assertThat(new StoredDrills(db).find(new UUID(2, 0))).as("begun long ago, and left").isEmpty();
    assertThat(new StoredDrills(db).plan(begun.id())).contains("{}");
  }

  /** What was said first of a departure stands, and counts once it is over; what crews said may be taken back. */
  @Test
  public void what_was_foretold_stands_as_it_was_said_first() {
    StoredForetold foretold = new StoredForetold(db);
    Foretold first = new Foretold(new FlightId("a"), new TypeId("dovrin-46"), AT, AT.plusSeconds(900), 0.8, true,
        Optional.empty());
    foretold.keep(List.of(first));
    foretold.keep(List.of(new Foretold(first.flight(), first.type(), AT, AT, 0.1, false, Optional.of(AT))));
    assertThat(foretold.over(5)).isEmpty();
    foretold.over(first.flight(), AT.plusSeconds(890));
    foretold.over(new FlightId("nobody-said"), AT);
    again();
    assertThat(new StoredForetold(db).over(5)).containsExactly(new Foretold(first.flight(), first.type(), AT,
        AT.plusSeconds(900), 0.8, true, Optional.of(AT.plusSeconds(890))));
    StoredOtherEnds ends = new StoredOtherEnds(db);
    Told told = new Told(Optional.of(AT), Optional.of("TAF"));
    ends.say(first.flight(), Told.NOTHING, new CrewId("marsk"), AT);
    ends.say(first.flight(), told, new CrewId("adeyo"), AT);
    assertThat(ends.of(first.flight())).isEqualTo(told);
    assertThat(ends.of(new FlightId("b"))).isEqualTo(Told.NOTHING);
    StoredGroundEvents ground = new StoredGroundEvents(db);
    OfFlight slot = new OfFlight(first.flight(),
        new GroundEvent(GroundEvent.Kind.SLOT, AT, AT.plusSeconds(600), "operations", false));
    ground.say(List.of(slot), new CrewId("marsk"), AT);
    assertThat(ground.all()).containsExactly(slot);
    assertThat(ground.callOff(first.flight(), GroundEvent.Kind.SLOT)).isTrue();
    assertThat(ground.callOff(first.flight(), GroundEvent.Kind.SLOT)).isFalse();
    assertThat(ground.all()).isEmpty();
  }

  /** Heads of a recorder are kept by one name once; a tail's recordings are found by it. */
  @Test
  public void recordings_are_found_by_tail_and_heads_by_name() throws InterruptedException {
    StoredHeadNames heads = new StoredHeadNames(db);
    heads.keep(new HeadNames.Kept("Box B", "old", new CrewId("varga"), AT));
    HeadNames.Kept kept = new HeadNames.Kept("Box B", "new", new CrewId("orrin"), AT.plusSeconds(1));
    heads.keep(kept);
    again();
    assertThat(new StoredHeadNames(db).all()).containsExactly(kept);
    assertThat(new StoredHeadNames(db).find("box b")).isEmpty();
    assertThat(new StoredHeadNames(db).drop("Box B")).isTrue();
    assertThat(new StoredHeadNames(db).drop("Box B")).isFalse();

    Flight flight = flight("a");
    new StoredFlights(db).add(List.of(flight));
    try (StoredDepartureLog log = new StoredDepartureLog(db)) {
      log.keepTrace(flight.id(), "aa", "seconds\n");
      log.keepTrace(flight.id(), "bb", "seconds\n0\n");
    }
    StoredRecordings recordings = new StoredRecordings(db);
    assertThat(recordings.byTail(9)).containsOnlyKeys(flight.tail());
    assertThat(recordings.byTail(9).get(flight.tail())).extracting(KeptRecordings.Kept::sha256)
        .containsExactly("aa", "bb");
    assertThat(recordings.byTail(1).get(flight.tail())).extracting(KeptRecordings.Kept::sha256)
        .containsExactly("aa");
    assertThat(recordings.csv(flight.id(), "bb")).contains("seconds\n0\n");
  }

  /** What checks measured comes back as it was, and a file of it counts until it is withdrawn. */
  @Test
  public void control_checks_come_back_by_age_and_a_file_of_them_may_be_withdrawn() {
    TailId tail = new TailId("TL-DVB");
    StoredCheckHistory history = new StoredCheckHistory(db);
    assertThat(history.none()).isTrue();
    List<Checked> checks = IntStream.range(0, 130).mapToObj(n -> new Checked(tail, AT.plusSeconds(n), List.of(
        new Measure("Left aileron", Measure.Quantity.TRAVEL_NEGATIVE, 15.25 - n / 100.0, 13.5),
        new Measure("Rudder", Measure.Quantity.LAG, 0.08, 0.5)))).toList();
    StoredImports imports = new StoredImports(db);
    imports.bringInChecks(checks.reversed(), new CrewId("varga"), AT);
    Checked today = new Checked(tail, AT.plusSeconds(500), checks.getFirst().measures());
    history.add(today);
    again();
    assertThat(new StoredCheckHistory(db).of(tail)).startsWith(checks.toArray(Checked[]::new)).endsWith(today)
        .hasSize(131);
    assertThat(new StoredImports(db).withdraw(1, AT)).isTrue();
    assertThat(new StoredCheckHistory(db).of(tail)).containsExactly(today);
    assertThat(new StoredCheckHistory(db).of(new TailId("TL-DVA"))).isEmpty();
    assertThat(new StoredCheckHistory(db).none()).isFalse();
  }

  @Test
  public void readings_come_back_by_age_and_at_most_so_many_of_each() {
    StoredReadingHistory history = new StoredReadingHistory(db);
    assertThat(history.none()).isTrue();
    TailId tail = new TailId("TL-DVA");
    List<Reading> readings = IntStream.range(0, 30)
        .mapToObj(n -> new Reading(tail, new QuantityId(n % 2 == 0 ? "oil" : "pin"), AT.plusSeconds(n), n, n * 0.7,
        12.5 - n)).toList();
    history.add(readings.reversed());
    again();
    assertThat(new StoredReadingHistory(db).of(tail, 5)).isEqualTo(readings.subList(20, 30));
    assertThat(new StoredReadingHistory(db).none()).isFalse();
  }

  @Test
  public void the_list_brought_in_last_holds_and_a_photo_is_put_together_from_its_parts() {
    StoredDispatchLists lists = new StoredDispatchLists(db);
    TypeId type = new TypeId("dovrin-46");
    for (String revision : List.of("6", "7")) {
      lists.add(new DispatchLists.Text(type, revision, "sha" + revision, "text " + revision, new CrewId("varga"), AT));
    }
    assertThat(lists.inForce(type)).get().extracting(DispatchLists.Text::revision).isEqualTo("7");
    assertThat(lists.all()).hasSize(1);
    new StoredFlights(db).add(List.of(flight("f1")));
    UUID id = new UUID(9, 9);
    StoredPhotos photos = new StoredPhotos(db);
    photos.begin(new Photos.Pending(id, new FlightId("f1"), "sha", 5, 0, new CrewId("adeyo"), AT));
    photos.add(id, 0, new byte[] {1, 2});
    again();
    photos = new StoredPhotos(db);
    photos.add(id, 2, new byte[] {3, 4, 5});
    assertThat(photos.pending(id)).get().extracting(Photos.Pending::received).isEqualTo(5);
    assertThat(photos.bytes(id)).containsExactly(1, 2, 3, 4, 5);
    photos.keep(new Photos.Photo(id, new FlightId("f1"), "sha", new byte[] {9}));
    assertThat(photos.find(id)).get().extracting(Photos.Photo::jpeg).isEqualTo(new byte[] {9});
    assertThat(photos.pending(id)).isEmpty();
    photos.drop(id);
    assertThat(photos.find(id)).as("what is kept is not dropped").isPresent();
  }
}
