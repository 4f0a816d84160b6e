package neatlanyard.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The plan of the demo, late, clashing and unreadable. */
public class PlanTest {
  private static final Path DEMO = Path.of(System.getProperty("lanyard.root", ".."), "demo/plans/flight-14.yaml");

  private record Ran(int exit, String said) {}

  private static Ran plan(String text, String... more) throws IOException {
    Path file = Files.createTempFile("plan", ".yaml");
    Files.writeString(file, text);
    StringWriter said = new StringWriter();
    PrintWriter out = new PrintWriter(said);
    String[] args = java.util.stream.Stream.concat(java.util.stream.Stream.of("plan", file.toString()),
        java.util.stream.Stream.of(more)).toArray(String[]::new);
    int exit = Lanyard.commands().setOut(out).setErr(out).execute(args);
    Files.delete(file);
    return new Ran(exit, said.toString());
  }

  @Test
  public void forty_minutes_are_planned_for_three() throws IOException {
    String demo = Files.readString(DEMO);
    Ran ran = plan(demo);
    assertThat(ran.exit).as(ran.said).isZero();
    assertThat(ran.said).contains("Departs 07:40:00, on time. Nothing better is possible.", "Left seat\n",
        "07:32:30–07:33:30 Auxiliary power unit started, no slack", "Start and push-back, after Bleed air");
    JsonNode json = new JsonMapper().readTree(plan(demo, "--json").said);
    assertThat(json.get("on-time").asBoolean() && json.get("best").asBoolean()).isTrue();
    assertThat(json.get("activities").size()).isEqualTo(20);
    double likely = json.get("likelihood").get("on-time").asDouble();
    assertThat(likely).isBetween(0.3, 0.9);
    assertThat(ran.said).contains("On time in %.1f %%".formatted(100 * likely));
    assertThat(new JsonMapper().readTree(plan(demo, "--json", "--seed", "2").said).get("likelihood").get("on-time")
        .asDouble()).as("another seed").isNotEqualTo(likely).isCloseTo(likely, org.assertj.core.api.Assertions.within(
        0.03));
  }

  @Test
  public void what_is_late_says_why_and_what_clashes_is_named() throws IOException {
    String demo = Files.readString(DEMO);
    Ran late = plan(demo.replace("departs: 2027-01-14T07:40", "departs: 2027-01-14T07:30"));
    assertThat(late.exit).isEqualTo(1);
    assertThat(late.said).containsPattern("Departs 07:3\\d:\\d\\d, \\d min \\d+ s late. Nothing better is possible.")
        .contains("What decides");
    Ran clash = plan(demo.replace("what: Stall warning test,", "what: Stall warning test, until: "
        + "\"2027-01-14T07:08:00Z\","));
    assertThat(clash.exit).isEqualTo(1);
    assertThat(clash.said).contains("These clash", "Stall warning test is over by minute 8.",
        "the stall test wants 4 min of AC").doesNotContain("HF");
  }

  @Test
  public void what_cannot_be_planned_is_named_with_its_place() throws IOException {
    String demo = Files.readString(DEMO);
    List<String[]> wrong = List.of(
        new String[] {"after: [log]", "after: [log, start]", "These wait for each other"},
        new String[] {"by: left, minutes: 2", "by: [left, left], minutes: 2", "Somebody stands twice"},
        new String[] {"minutes: 2, spread", "minutes: -2, spread", "'minutes' is -2"},
        new String[] {"by: ground, minutes: 1, from: \"2027-01-14T07:01:00Z\"",
            "by: ground, minutes: 1, from: \"2027-01-14T07:09:00Z\", until: \"2027-01-14T07:08:00Z\"",
            "Its window ends before it begins"},
        new String[] {"departs: 2027-01-14T07:40", "departs: +999999999-01-14T07:40", "is not within the 24 h"},
        new String[] {"departs: 2027-01-14T07:40", "departs: 2027-01-13T07:40", "is not within the 24 h"},
        new String[] {"least-min: 4", "least-min: 2000", "'least-min' is 2000"},
        new String[] {"runs: apu", "runs: sleep", "There is no activity sleep"},
        new String[] {"by: ground, minutes: 1, from", "by: nobody, minutes: 1, from",
            "There is nobody called nobody"});
    for (String[] w : wrong) {
      assertThat(demo).contains(w[0]);
      Ran ran = plan(demo.replace(w[0], w[1]));
      assertThat(ran.exit).as(ran.said).isEqualTo(2);
      assertThat(ran.said).contains(w[2]);
    }
    assertThat(plan("").exit).isEqualTo(2);
    assertThat(plan(demo, "--seconds", "NaN").exit).isEqualTo(2);
  }
}
