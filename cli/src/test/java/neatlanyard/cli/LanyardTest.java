package neatlanyard.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.RandomAccessFile;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.log.DepartureLog;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.record.Chain;
import neatlanyard.core.record.Seal;
import neatlanyard.formats.record.EntryJson;
import neatlanyard.formats.record.RecordFile;
import neatlanyard.store.db.Database;
import neatlanyard.store.departure.StoredDepartureLog;
import neatlanyard.store.fleet.StoredFlights;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Exit codes and words of the commands. */
public class LanyardTest {
  private static final Path DEMO = Path.of(System.getProperty("lanyard.root", ".."), "demo");

  private static final Seal.Key KEY = Seal.newKey(Instant.EPOCH);

  private record Ran(int exit, String said) {}

  private static Ran run(String... args) {
    StringWriter said = new StringWriter();
    PrintWriter out = new PrintWriter(said);
    int exit = Lanyard.commands().setOut(out).setErr(out).execute(args);
    return new Ran(exit, said.toString());
  }

  private static Path file(String text) throws IOException {
    Path file = Files.createTempFile("lanyard", ".txt");
    Files.writeString(file, text);
    return file;
  }

  private static String record() {
    CrewId marsk = new CrewId("marsk");
    EntryJson.HashedEntry first = EntryJson.write(
        new Entry(1, UUID.randomUUID(), Instant.EPOCH, Instant.EPOCH, marsk, Optional.empty(), "d",
        new Event.SeatTaken(Seat.LEFT)),
        Chain.GENESIS);
    EntryJson.HashedEntry last = EntryJson.write(
        new Entry(2, UUID.randomUUID(), Instant.EPOCH, Instant.EPOCH, marsk, Optional.of(Seat.LEFT), "d",
        new Event.TiedOff(List.of())),
        first.hash());
    return RecordFile.write(List.of(first.json(), last.json()), last.hash(), Seal.of(last.hash(), KEY));
  }

  @Test
  public void verify_says_whole_altered_or_no_record() throws IOException {
    String record = record();
    Ran whole = run("verify", file(record).toString());
    assertThat(whole.exit()).isZero();
    assertThat(whole.said()).contains("is whole: 2 entries, tied off by marsk");
    Ran altered = run("verify",
        file(record.replace("\"seat\":\"left\"},\"by\"", "\"seat\":\"right\"},\"by\"")
        .replace("\"left\"", "\"right\"")).toString());
    assertThat(altered.exit()).isOne();
    assertThat(altered.said()).contains("was altered. Entry 1: its content is not what was hashed");
    Ran otherHead = run("verify", file(record).toString(), "--head", "00".repeat(32));
    assertThat(otherHead.exit()).isOne();
    assertThat(run("verify", file("{}").toString()).exit()).isEqualTo(2);
    assertThat(run("verify", "no-such-file").exit()).isEqualTo(2);
    assertThat(run("verify").exit()).isEqualTo(2);
  }

  /**
   * Replaced as a whole, chain and signature and all, by somebody with a key of their own: the installation's key
   * shows it.
   */
  @Test
  public void verify_finds_out_a_record_that_was_replaced_as_a_whole() throws IOException {
    String record = record();
    Path pem = file(Seal.pem(KEY.publicKey()));
    assertThat(run("verify", file(record).toString(), "--key", pem.toString()).said())
        .contains("Signed with the key you gave");
    assertThat(run("verify", file(record).toString(), "--key", Seal.fingerprint(KEY.publicKey())).exit()).isZero();
    assertThat(run("verify", file(record).toString()).said()).contains("anybody can sign with a key of their own");
    String head = record.replaceAll("(?s).*\"head\":\"(\\w{64})\".*", "$1");
    Seal theirs = Seal.of(head, Seal.newKey(Instant.EPOCH));
    String replaced = record.replace(KEY.publicKey(), theirs.publicKey())
        .replace(Seal.of(head, KEY).signature(), theirs.signature());
    assertThat(run("verify", file(replaced).toString()).exit()).as("by itself it is whole").isZero();
    Ran found = run("verify", file(replaced).toString(), "--key", pem.toString());
    assertThat(found.exit()).isOne();
    assertThat(found.said()).contains("was replaced");
    String unsigned = record.replaceAll(",\"seal\":\\{[^}]*}", "").replace("record/2", "record/1");
    assertThat(run("verify", file(unsigned).toString()).said()).as("as written before")
        .contains("is whole", "not signed");
    assertThat(run("verify", file(unsigned).toString(), "--key", pem.toString()).exit()).isOne();
    assertThat(run("verify", file(unsigned.replace("record/1", "record/2")).toString()).said())
        .contains("its signature is missing");
  }

  /** A database in use is backed up whole, put back only while nobody uses it, and never when it is not whole. */
  @Test
  public void a_database_in_use_is_backed_up_and_put_back() throws Exception {
    Path folder = Files.createTempDirectory("lanyard-backup");
    Path database = folder.resolve("it's.db");
    Path backup = folder.resolve("backup.db");
    try (Database db = Database.open(database)) {
      new StoredFlights(db)
          .add(List.of(
          new Flight(new FlightId("f1"), "TL 1", new TailId("TL-DVA"), new AirfieldId("QTRN"), new AirfieldId("QVSK"),
          Instant.EPOCH, Optional.empty(), List.of())));
      try (StoredDepartureLog log = new StoredDepartureLog(db)) {
        EntryJson.HashedEntry first = EntryJson.write(
            new Entry(1, UUID.randomUUID(), Instant.EPOCH, Instant.EPOCH, new CrewId("marsk"), Optional.empty(), "d",
            new Event.SeatTaken(Seat.LEFT)), Chain.GENESIS);
        log.append(new FlightId("f1"), new DepartureLog.StoredEntry(1, UUID.randomUUID(), first.json(), first.hash()))
            .toCompletableFuture().join();
        Ran made = run("backup", backup.toString(), "--database", database.toString());
        assertThat(made.exit()).as(made.said()).isZero();
        assertThat(made.said()).contains("1 departures, 1 entries, every chain hangs together");
        assertThat(run("restore", backup.toString(), "--database", database.toString()).said())
            .contains("Another server uses the database");
      }
    }
    Files.writeString(database, "no database any more");
    Ran back = run("restore", backup.toString(), "--database", database.toString());
    assertThat(back.exit()).as(back.said()).isZero();
    assertThat(back.said()).contains("what stood there is in");
    try (Database db = Database.open(database)) {
      assertThat(new StoredFlights(db).all()).hasSize(1);
    }
    byte[] bytes = Files.readAllBytes(backup);
    int at = new String(bytes, java.nio.charset.StandardCharsets.ISO_8859_1).indexOf("\"seat\":\"left\"");
    System.arraycopy("\"seat\":\"rigt\"".getBytes(java.nio.charset.StandardCharsets.ISO_8859_1), 0, bytes, at, 13);
    Files.write(backup, bytes);
    Ran altered = run("restore", backup.toString(), "--database", database.toString());
    assertThat(altered.exit()).isOne();
    assertThat(altered.said()).contains("departure f1, entry 1").contains("nothing was changed");
    assertThat(run("restore", file("nothing").toString(), "--database", database.toString()).exit()).isEqualTo(2);
    assertThat(run("backup", backup.toString(), "--database", folder.resolve("none.db").toString()).exit())
        .isEqualTo(2);
  }

  @Test
  public void verify_takes_the_head_as_it_is_shown() throws IOException {
    String record = record();
    String head = record.replaceAll("(?s).*\"head\":\"(\\w{64})\".*", "$1");
    assertThat(run("verify", file(record).toString(), "--head", head.replaceAll("(.{8})", "$1 ").strip()).exit())
        .isZero();
  }

  @Test
  public void controls_says_passed_not_passed_or_cannot_be_judged() throws IOException {
    String packs = DEMO.resolve("packs").toString();
    Ran sound = run("controls", DEMO.resolve("traces/dovrin-46-sound.csv").toString(), "--type", "dovrin-46",
        "--packs", packs);
    assertThat(sound.exit()).as(sound.said()).isZero();
    Ran stays = run("controls", DEMO.resolve("traces/dovrin-46-spoiler-stays-out.csv").toString(), "--type",
        "dovrin-46", "--packs", packs);
    assertThat(stays.exit()).isOne();
    assertThat(stays.said()).contains("Right roll spoiler stayed out").contains("1 not as it should be.");
    Ran bad = run("controls", file("seconds\n1\n").toString(), "--type", "dovrin-46", "--packs", packs);
    assertThat(bad.exit()).isEqualTo(2);
    assertThat(bad.said()).contains("line 1: The column 'pitch-pct' is missing.");
    Ran all = run("controls", DEMO.resolve("traces").toString(), "--type", "dovrin-46", "--packs", packs, "--json");
    assertThat(all.exit()).isOne();
    assertThat(all.said().lines()).hasSize(3).element(1).asString().contains("\"verdict\":\"passed\"");
    String nothing = Files.createTempDirectory("lanyard").toString();
    assertThat(run("controls", nothing, "--type", "dovrin-46", "--packs", packs).exit()).isEqualTo(2);
    Path names = file("format: neat-lanyard/trace-names/1\ncolumns: [{theirs: T, ours: seconds}]\n");
    Path theirs = Files.writeString(names.resolveSibling("theirs.csv"),
        Files.readString(DEMO.resolve("traces/dovrin-46-sound.csv")).replaceFirst("seconds", "T"));
    assertThat(run("controls", theirs.toString(), "--type", "dovrin-46", "--packs", packs, "--names", names.toString())
        .exit()).isZero();
    Ran type = run("controls", DEMO.resolve("traces/dovrin-46-sound.csv").toString(), "--type", "dovrin-47",
        "--packs", packs);
    assertThat(type.exit()).isEqualTo(2);
    assertThat(type.said()).contains("is for the type 'dovrin-47'");
  }

  /** Recordings named by tail and time become a history; where it is going is told, and what is named otherwise is. */
  @Test
  public void control_trends_says_what_keeps_what_goes_and_what_cannot_be_read() throws IOException {
    Path folder = Files.createTempDirectory("lanyard");
    for (int day = 10; day < 18; day++) {
      Files.copy(DEMO.resolve("traces/dovrin-46-sound.csv"),
          folder.resolve("TL-DVA_2027-01-%dT06-00-00Z.csv".formatted(day)));
    }
    Files.copy(DEMO.resolve("traces/dovrin-46-sound.csv"), folder.resolve("somewhere.csv"));
    Path history = folder.resolve("history");
    Ran measured = run("controls", folder.toString(), "--type", "dovrin-46", "--packs",
        DEMO.resolve("packs").toString(), "--measured", history.toString());
    assertThat(measured.said()).contains("somewhere.csv: not measured, as it is not named by its tail and time.");
    Ran keeps = run("control-trends", history.toString(), "--all");
    assertThat(keeps.exit()).as(keeps.said()).isZero();
    assertThat(keeps.said()).contains("TL-DVA: Left aileron, travel up or right").contains("it keeps")
        .contains(" 0 near their limits, 0 that changed.");
    Ran goes = run("control-trends", DEMO.resolve("control-history.csv").toString(), "--json");
    assertThat(goes.exit()).isOne();
    assertThat(goes.said().lines().findFirst()).hasValueSatisfying(l ->
        assertThat(l).contains("\"tail\":\"TL-DVB\"").contains("\"weeks\":"));
    Ran soon = run("control-trends", DEMO.resolve("control-history.csv").toString(), "--weeks", "0");
    assertThat(soon.exit()).as("not this week").isZero();
    assertThat(run("control-trends", file("tail\nx\n").toString()).exit()).isEqualTo(2);
  }

  @Test
  public void check_says_clean_faults_or_unreadable() throws IOException {
    String pack = Files.readString(DEMO.resolve("packs/dovrin-46.yaml"));
    Ran clean = run("check", DEMO.resolve("packs/dovrin-46.yaml").toString());
    assertThat(clean.exit()).as(clean.said()).isZero();
    assertThat(clean.said()).contains("dovrin-46.yaml: clean.");
    Ran faults = run("check", file(pack.replace("closes: [loading], ", "").replace(", closes: [loading]", ""))
        .toString());
    assertThat(faults.exit()).isOne();
    assertThat(faults.said()).contains("(opened-never-closed)",
        "It opens 'loading', and no later step closes that: on any day.", "What would mend it");
    Ran unreadable = run("check", file(pack.replace("at: nose,", "at: nowhere,")).toString());
    assertThat(unreadable.exit()).isEqualTo(2);
    assertThat(unreadable.said()).contains("There is no station or panel 'nowhere'.");
    assertThat(run("check", "no-such-file").exit()).isEqualTo(2);
    assertThat(run("check").exit()).isEqualTo(2);
  }

  @Test
  public void check_as_json_carries_the_same() throws IOException {
    JsonMapper json = new JsonMapper();
    Ran waived = run("check", DEMO.resolve("packs/halyard-210.yaml").toString(), "--json");
    assertThat(waived.exit()).isZero();
    JsonNode finding = json.readTree(waived.said()).path("findings").get(0);
    assertThat(finding.path("rule").asString()).isEqualTo("alerting-catches-it");
    assertThat(finding.path("waived").asString()).isNotBlank();
    Ran bad = run("check", file("a: &a [x]\nb: *a\n").toString(), "--json");
    assertThat(bad.exit()).isEqualTo(2);
    assertThat(json.readTree(bad.said()).path("faults").get(0).path("line").asInt()).isEqualTo(2);
  }

  @Test
  public void check_refuses_a_file_of_50_megabytes_without_reading_it() throws IOException {
    Path large = Files.createTempFile("large", ".yaml");
    try (RandomAccessFile f = new RandomAccessFile(large.toFile(), "rw")) {
      f.setLength(50_000_000);
    }
    Ran ran = run("check", large.toString());
    assertThat(ran.exit()).isEqualTo(2);
    assertThat(ran.said()).contains("It has 50000000 bytes; 32000000 is the most.");
    Files.delete(large);
  }

  private static Ran figures(Path file, String... more) {
    List<String> all = new java.util.ArrayList<>(List.of("figures", file.toString(), "--fleet",
        DEMO.resolve("fleet.yaml").toString(), "--types", DEMO.resolve("figures").toString()));
    all.addAll(List.of(more));
    return run(all.toArray(String[]::new));
  }

  private static Ran figuresOf(String from, String to) throws IOException {
    String good = Files.readString(DEMO.resolve("figures/asked/flight-14.json"));
    assertThat(good).contains(from);
    return figures(file(good.replace(from, to)));
  }

  @Test
  public void figures_of_a_departure() {
    Ran good = figures(DEMO.resolve("figures/asked/flight-14.json"));
    assertThat(good.exit()).isEqualTo(Lanyard.GOOD);
    assertThat(good.said()).contains("Proposed: 25, flap 15", "Take-off weight: 17290 kg", "Icing conditions: yes",
        "Minimum altitude 1500 ft: 1600 ft", "Within all");
    Ran bad = figures(DEMO.resolve("figures/asked/flight-31.json"), "--arithmetic");
    assertThat(bad.exit()).isEqualTo(Lanyard.NOT_GOOD);
    assertThat(bad.said()).contains("The sheet states 56 780 kg; what is on it comes to 57 640 kg: 860 kg apart.",
        "TL-HYB as weighed: 42 640 kg at 17.285 m", "assumed 42 °C");
    JsonNode json = new JsonMapper().readTree(figures(DEMO.resolve("figures/asked/flight-31.json"), "--json").said());
    assertThat(json.path("held").asBoolean()).isFalse();
    JsonNode takeoff = json.path("take-off");
    assertThat(takeoff.path("v1-kt").path("value").asInt()).isLessThanOrEqualTo(
        takeoff.path("vr-kt").path("value").asInt());
    assertThat(takeoff.path("distances")).hasSize(4).allMatch(d -> !d.path("needed-m").path("arithmetic").isEmpty());
    Ran one = figures(DEMO.resolve("figures/asked/flight-41.json"));
    assertThat(one.exit()).isEqualTo(Lanyard.GOOD);
    assertThat(one.said()).contains("Take-off and 25 %: 642 m of 890 m TORA", "52 kt by 445 m").doesNotContain("V1");
  }

  @Test
  public void figures_that_cannot_be_worked_out_say_why() throws IOException {
    assertThat(figures(Path.of("nowhere.json")).exit()).isEqualTo(Lanyard.UNREADABLE);
    Ran many = figuresOf("\"day\": \"2027-01-14\", \"from\": \"QTRN\"", "\"day\": \"soon\", \"from\": \"QXYZ\"");
    assertThat(many.exit()).isEqualTo(Lanyard.UNREADABLE);
    assertThat(many.said()).contains("line 3, column", "The fleet has no airfield QXYZ", "'soon'");
    Ran other = figuresOf("\"flight\": \"Flight 14\", \"tail\": \"TL-DVA\", \"day\": \"2027-01-14\", \"edition\": 1",
        "\"flight\": \"Flight 15\", \"tail\": \"TL-DVB\", \"day\": \"2027-01-13\", \"edition\": 1");
    assertThat(other.exit()).isEqualTo(Lanyard.UNREADABLE);
    assertThat(other.said()).contains("The load sheet is for TL-DVB; this is TL-DVA.",
        "The load sheet is for Flight 15; this is Flight 14.",
        "The load sheet is of 2027-01-13; this flight is on 2027-01-14.");
    Ran place = figuresOf("\"anti-ice\": true",
        "\"choice\": {\"runway\": \"25\", \"intersection\": \"A\", \"flap\": \"27\"}, \"anti-ice\": true");
    assertThat(place.said()).contains("Runway 25 has no intersection A.", "There are no tables for flap 27");
    assertThat(figuresOf("\"taxi-fuel\": 60", "\"taxi-fuel\": \"60,5\"").said()).contains("not a number");
    assertThat(figuresOf("24012KT", "/////KT").said()).contains("The report gives no wind; ask the tower.");
    Ran ice = figuresOf("\"thirds\": [", "\"braking\": \"poor\", \"thirds\": [");
    assertThat(ice.exit()).as("nothing is within limits on ice").isEqualTo(Lanyard.NOT_GOOD);
    assertThat(ice.said()).contains("No runway, flap and thrust holds all limits. No take-off on ice is allowed for. ",
        "The type has no tables for a runway that is ice.");
  }

  @Test
  public void entered_figures_and_how_they_came_about() throws IOException {
    Path slips = DEMO.resolve("figures/entered/slips.csv");
    Ran ran = run("entry", slips.toString());
    assertThat(ran.exit()).isEqualTo(Lanyard.NOT_GOOD);
    assertThat(ran.said()).contains("1, take-off weight: entered 17.2, expected 71.2 t: digits swapped",
        "the zero-fuel weight entered as take-off weight", "7 of 8 are not as expected.");
    JsonNode json = new JsonMapper().readTree(run("entry", slips.toString(), "--json").said());
    assertThat(json.get(3).path("causes").get(0).path("slip").asString()).isEqualTo("parallel-runway");
    assertThat(json.get(7).path("right").asBoolean()).isTrue();
    String head = "figure,unit,expected,entered,last-flight,others,rows\n";
    assertThat(run("entry", file(head + "v1,kt,134,134,,,\n").toString()).exit()).isEqualTo(Lanyard.GOOD);
    Ran bad = run("entry", file(head + "v9,kt,134,134,,,\nv1,lb,,134,,vr,\n").toString());
    assertThat(bad.exit()).isEqualTo(Lanyard.UNREADABLE);
    assertThat(bad.said()).contains("line 2: 'figure' is 'v9'", "line 3: 'unit' is 'lb'", "line 3: 'expected' is ''",
        "line 3: 'others' is 'vr'");
  }
}
