package neatlanyard.formats.timeline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.timeline.Length;
import neatlanyard.core.timeline.learned.Learned;
import neatlanyard.core.timeline.learned.Took;
import neatlanyard.formats.text.Read;
import org.testng.annotations.Test;

/** A year of made-up departures' times, and what is learned from them. */
public class TookCsvTest {
  private static final Instant NOW = Instant.parse("2027-01-14T06:00:00Z");
  private static final String HEAD = "flight,type,procedure,at,dark,cold,estimated-s,took-s\r\n";

  @Test
  public void the_demos_year_is_what_the_generator_makes_and_what_went_into_it_is_learned() throws IOException {
    Path file = MadeUpYear.DEMO.resolve("task-times.csv");
    String made = new MadeUpYear().times;
    if (Boolean.getBoolean("lanyard.refresh")) {
      Files.writeString(file, made);
    }
    assertThat(Files.readString(file)).isEqualTo(made);
    Map<FlightId, List<Took>> read = TookCsv.read(made, NOW).orThrow("year");
    assertThat(TookCsv.read(TookCsv.write(read), NOW).orThrow("again")).as("out and in again").isEqualTo(read);
    assertThat(read).hasSize(5 * MadeUpYear.FLIGHTS);
    List<Took> dovrin = read.values().stream().flatMap(Collection::stream)
        .filter(t -> t.type().equals(new TypeId("dovrin-46"))).toList();
    Learned learned = Learned.of(dovrin);
    Duration ten = Duration.ofMinutes(10);
    ProcedureId walk = new ProcedureId("walkaround");
    Length light = learned.length(walk, false, false, ten);
    Length dark = learned.length(walk, true, false, ten);
    Length darkAndCold = learned.length(walk, true, true, ten);
    assertThat(light.spread()).isCloseTo(MadeUpYear.SCATTER, within(0.05));
    assertThat(dark.median()).isGreaterThan(light.median());
    assertThat(darkAndCold.median()).isGreaterThan(dark.median());
    assertThat(learned.count()).isEqualTo(dovrin.size());
    Length unseen = learned.length(new ProcedureId("never-seen"), true, true, ten);
    assertThat(unseen.spread()).as("less is known").isGreaterThan(light.spread());
  }

  @Test
  public void every_fault_is_named_with_its_line() {
    assertThat(TookCsv.read(HEAD + "f,dovrin-46,walkaround,-P1D,yes,no,60,71.5\r\n", NOW))
        .isInstanceOf(Read.Good.class);
    assertThat(TookCsv.read(HEAD + "f,dovrin-46,walkaround,-P1D,maybe,no,0,NaN\r\nf,,x,soon,no,no,1,-5\r\n", NOW))
        .isInstanceOfSatisfying(Read.Bad.class, b -> assertThat(b.faults().toString())
        .contains("line=2", "'dark' is 'maybe'", "'estimated-s' is '0'", "'took-s' is 'NaN'", "line=3", "'type'",
        "'at'"));
  }
}
