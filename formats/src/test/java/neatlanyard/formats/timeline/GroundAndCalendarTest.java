package neatlanyard.formats.timeline;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalVersion;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.timeline.ahead.GroundEvents.OfFlight;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import org.testng.annotations.Test;

/** What others do, as it comes in, and a plan as it goes out. */
public class GroundAndCalendarTest {
  private static final Instant NOW = Instant.parse("2027-01-14T07:00:00Z");
  private static final String HEAD = "flight,event,begins,ends\r\n";

  private static List<String> faults(String rows) {
    return GroundEventsCsv.read(HEAD + rows, NOW, "x", false) instanceof Read.Bad<List<OfFlight>> bad
        ? bad.faults().stream().map(Fault::toString).toList() : List.of();
  }

  @Test
  public void the_demo_is_read_and_every_fault_is_named_with_its_line() throws IOException {
    Path demo = Path.of(System.getProperty("lanyard.root", ".."), "demo/ground-events.csv");
    List<OfFlight> all = GroundEventsCsv.read(Files.readString(demo), NOW, "x", true).orThrow("demo");
    assertThat(all).hasSizeGreaterThan(25).anyMatch(e -> e.event().moment()).anyMatch(e -> !e.event().moment());
    assertThat(faults("f1,fuelling,2027-01-14T07:10:00Z,2027-01-14T07:20:00Z\r\n")).isEmpty();
    assertThat(faults(
        "f1,refuelling,-PT2M,PT2M\r\nf1,boarding,PT9M,PT2M\r\nf1,slot,soon,+999999999-01-01T00:00:00Z\r\n"))
        .hasSize(4).anyMatch(f -> f.contains("line=2,") && f.contains("'refuelling' is not one of crew-bus, fuelling"))
        .anyMatch(f -> f.contains("line=3,") && f.contains("it ends before it begins"))
        .anyMatch(f -> f.contains("line=4,") && f.contains("soon"));
  }

  /** Second opinion: another library reads the same lines at the same times (RFC 5545). */
  @Test
  public void another_library_reads_the_calendar() {
    Instant departs = NOW.plusSeconds(2_400);
    String text = PlanCalendar.of(new FlightId("f1"), List.of(
        new PlanCalendar.Line(
        "walk.1", "right seat", "Walkaround, \u201cnight\u201d; 86 steps", NOW, NOW.plusSeconds(600)),
        new PlanCalendar.Line("flow.1", "left seat", "Left flow", NOW.plusSeconds(60), NOW.plusSeconds(300))),
        departs, NOW);
    ICalendar calendar = Biweekly.parse(text).first();
    assertThat(calendar.validate(ICalVersion.V2_0).isEmpty()).as("valid").isTrue();
    assertThat(calendar.getEvents()).extracting(e -> e.getSummary().getValue())
        .containsExactly("Walkaround, \u201cnight\u201d; 86 steps", "Left flow", "Departure");
    VEvent walk = calendar.getEvents().getFirst();
    assertThat(walk.getDateStart().getValue().toInstant()).isEqualTo(NOW);
    assertThat(walk.getDateEnd().getValue().toInstant()).isEqualTo(NOW.plusSeconds(600));
    assertThat(walk.getCategories().getFirst().getValues()).containsExactly("right seat");
    assertThat(walk.getUid().getValue()).isEqualTo("f1.walk.1.right-seat@neat-lanyard");
    assertThat(calendar.getEvents().getLast().getDateStart().getValue().toInstant()).isEqualTo(departs);
  }
}
