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
import neatlanyard.core.departure.Entry;
import neatlanyard.core.departure.Event;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.record.Chain;
import neatlanyard.formats.record.EntryJson;
import neatlanyard.formats.record.RecordFile;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Exit codes and words of the commands. */
public class LanyardTest {
  private static final Path DEMO = Path.of(System.getProperty("lanyard.root", ".."), "demo");

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
    EntryJson.Kept first = EntryJson.write(
        new Entry(1, UUID.randomUUID(), Instant.EPOCH, Instant.EPOCH, marsk, Optional.empty(), "d", new Event.SeatTaken(Seat.LEFT)),
        Chain.GENESIS);
    EntryJson.Kept last = EntryJson.write(
        new Entry(2, UUID.randomUUID(), Instant.EPOCH, Instant.EPOCH, marsk, Optional.of(Seat.LEFT), "d", new Event.TiedOff(List.of())),
        first.hash());
    return RecordFile.write(List.of(first.json(), last.json()), last.hash());
  }

  @Test
  public void verify_says_whole_altered_or_no_record() throws IOException {
    String record = record();
    Ran whole = run("verify", file(record).toString());
    assertThat(whole.exit()).isZero();
    assertThat(whole.said()).contains("is whole: 2 entries, tied off by marsk");
    Ran altered = run("verify", file(record.replace("\"seat\":\"left\"},\"by\"", "\"seat\":\"right\"},\"by\"").replace("\"left\"", "\"right\"")).toString());
    assertThat(altered.exit()).isOne();
    assertThat(altered.said()).contains("was altered. Entry 1: its content is not what was hashed");
    Ran otherHead = run("verify", file(record).toString(), "--head", "00".repeat(32));
    assertThat(otherHead.exit()).isOne();
    assertThat(run("verify", file("{}").toString()).exit()).isEqualTo(2);
    assertThat(run("verify", "no-such-file").exit()).isEqualTo(2);
    assertThat(run("verify").exit()).isEqualTo(2);
  }

  @Test
  public void verify_takes_the_head_as_it_is_shown() throws IOException {
    String record = record();
    String head = record.replaceAll("(?s).*\"head\":\"(\\w{64})\".*", "$1");
    assertThat(run("verify", file(record).toString(), "--head", head.replaceAll("(.{8})", "$1 ").strip()).exit()).isZero();
  }

  @Test
  public void controls_says_passed_not_passed_or_cannot_be_judged() throws IOException {
    String packs = DEMO.resolve("packs").toString();
    Ran sound = run("controls", DEMO.resolve("traces/dovrin-46-sound.csv").toString(), "--type", "dovrin-46", "--packs", packs);
    assertThat(sound.exit()).as(sound.said()).isZero();
    Ran stays = run("controls", DEMO.resolve("traces/dovrin-46-spoiler-stays-out.csv").toString(), "--type", "dovrin-46", "--packs", packs);
    assertThat(stays.exit()).isOne();
    assertThat(stays.said()).contains("Right roll spoiler stayed out").contains("1 not as it should be.");
    Ran bad = run("controls", file("seconds\n1\n").toString(), "--type", "dovrin-46", "--packs", packs);
    assertThat(bad.exit()).isEqualTo(2);
    assertThat(bad.said()).contains("line 1: The column 'pitch-pct' is missing.");
    Ran type = run("controls", DEMO.resolve("traces/dovrin-46-sound.csv").toString(), "--type", "dovrin-47", "--packs", packs);
    assertThat(type.exit()).isEqualTo(2);
    assertThat(type.said()).contains("is for the type 'dovrin-47'");
  }

  @Test
  public void check_says_clean_faults_or_unreadable() throws IOException {
    String pack = Files.readString(DEMO.resolve("packs/dovrin-46.yaml"));
    Ran clean = run("check", DEMO.resolve("packs/dovrin-46.yaml").toString());
    assertThat(clean.exit()).as(clean.said()).isZero();
    assertThat(clean.said()).contains("dovrin-46.yaml: clean.");
    Ran faults = run("check", file(pack.replace("closes: [loading], ", "").replace(", closes: [loading]", "")).toString());
    assertThat(faults.exit()).isOne();
    assertThat(faults.said()).contains("(opened-never-closed)", "It opens 'loading', and no later step closes that: on any day.", "What would mend it");
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
}
