package neatlanyard.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.StepId;
import neatlanyard.formats.sop.PackReader;
import org.testng.annotations.Test;

public class DraftPackTest {
  private static final Path PRINTED =
      Path.of(System.getProperty("lanyard.root", ".."), "demo/printed/burdock-four.csv");

  /** @param said what it says to who asked, of guesses */
  private record Drafted(int exit, String out, String said) {}

  private static Drafted draft(Path file, String... more) {
    StringWriter out = new StringWriter();
    StringWriter err = new StringWriter();
    String[] all = new String[2 + more.length];
    all[0] = "draft";
    all[1] = file.toString();
    System.arraycopy(more, 0, all, 2, more.length);
    int exit = Lanyard.commands().setOut(new PrintWriter(out)).setErr(new PrintWriter(err)).execute(all);
    return new Drafted(exit, out.toString(), err.toString());
  }

  private static Drafted draft(String text) throws IOException {
    Path file = Files.createTempFile("printed", ".txt");
    Files.writeString(file, text);
    return draft(file);
  }

  @Test
  public void a_printed_list_becomes_a_pack_that_reads_and_every_guess_is_said() {
    Drafted drafted = draft(PRINTED, "--type", "burdock-four", "--tail", "TL-BF4");
    assertThat(drafted.exit).isZero();
    Pack pack = PackReader.read(drafted.out).orThrow("draft");
    assertThat(pack.procedures()).extracting(p -> p.stage())
        .containsExactly(Stage.WALKAROUND, Stage.FLOWS, Stage.START, Stage.BEFORE_TAKEOFF);
    assertThat(pack.step(new StepId("before-start-2")).orElseThrow().verifies())
        .as("Fuel selector, of Fuel selectors").containsExactly(new State(new PointId("fuel-selectors"), "both"));
    assertThat(pack.step(new StepId("cockpit-set-up-2")).orElseThrow().owner()).isEqualTo(Owner.ENGINEER);
    assertThat(pack.step(new StepId("exterior-4")).orElseThrow().place().value()).isEqualTo("tail");
    assertThat(drafted.said).contains("line 20: 'Approach' is after the line-up: left out.")
        .contains("line 11: 'Altimeters' is nobody's: given to the left seat.")
        .contains("line 13: 'Fuel selector' verifies 'Fuel selectors both', made in line 8.");
  }

  @Test
  public void text_is_read_by_what_stands_between_item_and_answer() throws IOException {
    Drafted drafted = draft("Before start\nFuel selector: both\nBeacon - on\nDoors ....... shut\nCaps   shut\n");
    assertThat(PackReader.read(drafted.out).orThrow("draft").procedures()).singleElement().satisfies(p ->
        assertThat(p.steps()).extracting(s -> s.response()).containsExactly("both", "on", "shut", "shut"));
    assertThat(draft("Fuel: both\n")).satisfies(d -> assertThat(d.exit).isEqualTo(2))
        .satisfies(d -> assertThat(d.out).contains("line 1: An item stands under no heading."));
    assertThat(draft("").out).contains("It has no items");
    assertThat(draft("list,item,response\nStart,,on\n").out).contains("line 2").contains("1 to 200 letters");
    assertThat(draft(PRINTED, "--type", "No Type").exit).isEqualTo(2);
  }

  @Test
  public void a_file_that_is_there_is_not_written_over() throws IOException {
    Path there = Files.createTempFile("pack", ".yaml");
    Files.writeString(there, "mine");
    Drafted drafted = draft(PRINTED, "--out", there.toString());
    assertThat(drafted.exit).isEqualTo(2);
    assertThat(drafted.out).contains("is there already");
    assertThat(there).hasContent("mine");
    Path free = there.resolveSibling(there.getFileName() + ".new");
    assertThat(draft(PRINTED, "--out", free.toString()).exit).isZero();
    assertThat(PackReader.read(Files.readString(free)).orThrow("draft").procedures()).hasSize(4);
  }

  /** Property: whatever words a list is made of, the draft of it reads back, or the fault is named. */
  @Test
  public void whatever_is_printed_is_read_or_refused() throws IOException {
    Random random = new Random(17);
    List<String> words = List.of("Start", "Fuel", "both", "on", "ÄÖ", "—", ":", "...", "left wing", "\t", "off, seen",
        "before take-off", "x".repeat(60), "#", "- {", "'", "\"", "🛩", "Walk", "\n", "\n", ": ", "\u0007");
    int good = 0;
    for (int round = 0; round < 300; round++) {
      String text = "Cockpit\n" + IntStream.range(0, 5 + random.nextInt(60))
          .mapToObj(i -> words.get(random.nextInt(words.size()))).collect(Collectors.joining(" "));
      Drafted drafted = draft(text);
      if (drafted.exit == 0) {
        good++;
        assertThat(PackReader.read(drafted.out).orThrow(text).steps()).isNotEmpty();
      } else {
        assertThat(drafted.exit).isEqualTo(2);
        assertThat(drafted.out).isNotBlank();
      }
    }
    assertThat(good).isBetween(20, 299);
  }
}
