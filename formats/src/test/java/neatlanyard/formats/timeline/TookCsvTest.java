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
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.timeline.Length;
import neatlanyard.core.timeline.learned.Learned;
import neatlanyard.core.timeline.learned.Took;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.text.Read;
import org.testng.annotations.Test;

/** A year of made-up departures' times, and what is learned from them. */
public class TookCsvTest {
  private static final Path DEMO = Path.of(System.getProperty("lanyard.root", ".."), "demo");
  private static final Instant NOW = Instant.parse("2027-01-14T06:00:00Z");
  private static final long SEED = 2705;
  private static final int FLIGHTS = 45;
  private static final double SCATTER = 0.28;
  private static final double DARK = 0.12;
  private static final double COLD_OUTSIDE = 0.25;
  private static final String HEAD = "flight,type,procedure,at,dark,cold,estimated-s,took-s\r\n";

  /**
   * The stated generator: a year of flights a type; crews take a factor of each procedure's own (scatter 0.2 of its
   * logarithm), more in the dark and, outside, in the cold, and scatter by 0.28.
   */
  private static String year() throws IOException {
    StringBuilder text = new StringBuilder(HEAD);
    Random random = new Random(SEED);
    for (String name : List.of("dovrin-46", "halyard-210", "pellow-9", "selkie-m3", "burdock-four")) {
      Pack pack = PackReader.read(Files.readString(DEMO.resolve("packs/%s.yaml".formatted(name)))).orThrow(name);
      List<Procedure> done = pack.procedures().stream().filter(p -> p.kind() != Procedure.Kind.BRIEFING)
          .filter(p -> p.steps().size() > 3).toList();
      List<Double> own = done.stream().map(p -> 0.2 * random.nextGaussian()).toList();
      for (int f = 0; f < FLIGHTS; f++) {
        int day = 1 + f * 364 / FLIGHTS;
        boolean winter = day < 90 || day > 330;
        boolean dark = random.nextDouble() < (winter ? 0.7 : 0.2);
        boolean cold = winter && random.nextDouble() < 0.6;
        for (int p = 0; p < done.size(); p++) {
          Procedure procedure = done.get(p);
          boolean outside = procedure.kind() == Procedure.Kind.WALKAROUND;
          int estimated = procedure.steps().size() * (outside ? 8 : 5);
          double log = own.get(p) + (dark ? DARK : 0) + (cold && outside ? COLD_OUTSIDE : 0)
              + SCATTER * random.nextGaussian();
          text.append("year-%s-%d,%s,%s,-P%dD,%s,%s,%d,%s\r\n".formatted(name, f + 1, name, procedure.id(), day,
              dark ? "yes" : "no", cold ? "yes" : "no", estimated,
              String.format(Locale.ROOT, "%.1f", estimated * Math.exp(log))));
        }
      }
    }
    return text.toString();
  }

  @Test
  public void the_demos_year_is_what_the_generator_makes_and_what_went_into_it_is_learned() throws IOException {
    Path file = DEMO.resolve("task-times.csv");
    String made = year();
    if (Boolean.getBoolean("lanyard.refresh")) {
      Files.writeString(file, made);
    }
    assertThat(Files.readString(file)).isEqualTo(made);
    Map<FlightId, List<Took>> read = TookCsv.read(made, NOW).orThrow("year");
    assertThat(read).hasSize(5 * FLIGHTS);
    List<Took> dovrin = read.values().stream().flatMap(Collection::stream)
        .filter(t -> t.type().equals(new TypeId("dovrin-46"))).toList();
    Learned learned = Learned.of(dovrin);
    Duration ten = Duration.ofMinutes(10);
    ProcedureId walk = new ProcedureId("walkaround");
    Length light = learned.length(walk, false, false, ten);
    Length dark = learned.length(walk, true, false, ten);
    Length darkAndCold = learned.length(walk, true, true, ten);
    assertThat(light.spread()).isCloseTo(SCATTER, within(0.05));
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
