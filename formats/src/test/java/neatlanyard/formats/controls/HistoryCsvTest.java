package neatlanyard.formats.controls;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.controls.simulated.Ground;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Recorder;
import neatlanyard.core.controls.simulated.SimulatedCheck;
import neatlanyard.core.controls.trend.ControlTrend;
import neatlanyard.core.controls.trend.ControlTrend.Checked;
import neatlanyard.core.controls.trend.Measure;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.Pack;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.text.Read;
import org.testng.annotations.Test;

public class HistoryCsvTest {
  private static final Path DEMO = Path.of(System.getProperty("lanyard.root", ".."), "demo");
  private static final Instant NOW = Instant.parse("2027-01-14T06:00:00Z");

  /** Eight months, twice a week. */
  private static final int CHECKS = 70;
  private static final Duration EVERY = Duration.ofHours(84);

  /** The seed of the demo's three tails; with it the same file comes again. */
  private static final long SEED = 2_705;

  /** Which tail's left aileron loses a tenth of a degree a week, and for how many checks. */
  private static final String LOSING = "TL-DVB";
  private static final int LOSES_FOR = 18;
  private static final double A_WEEK = 0.1;

  private static List<Checked> simulated() throws IOException {
    Pack pack = PackReader.read(Files.readString(DEMO.resolve("packs/dovrin-46.yaml"))).orThrow("pack");
    SplittableRandom chance = new SplittableRandom(SEED);
    List<Checked> checks = new ArrayList<>();
    for (String tail : List.of("TL-DVA", LOSING, "TL-DVC")) {
      for (int i = 0; i < CHECKS; i++) {
        List<Fault> faults = new ArrayList<>();
        for (Surface s : pack.flightControls().surfaces()) {
          int losing = tail.equals(LOSING) && s.id().equals("aileron-left") ? i - (CHECKS - LOSES_FOR) : 0;
          // Cold grease and a hand that is not the same each day: no check comes out as the one before.
          faults.add(new Fault(Fault.Kind.SHORT, s.id(),
              0.15 * chance.nextDouble() + A_WEEK * Math.max(0, losing) / 2));
        }
        Judgement judgement = ControlCheck.judge(pack.flightControls(), pack.policy().controlCheck(),
            SimulatedCheck.drawn(pack.flightControls(), Hand.steady(), faults, Ground.STANDING,
            new Recorder(20, 0.1, 0.05, 0.01, 0, 0, 0), chance));
        checks.add(new Checked(new TailId(tail), NOW.minus(EVERY.multipliedBy(CHECKS - i)),
            Measure.of(pack.flightControls(), judgement)));
      }
    }
    return checks;
  }

  private static String written(List<Checked> checks) {
    return HistoryCsv.write(checks, at -> Duration.between(NOW, at).toString());
  }

  /** The demo's eight months are made here, by the simulated aircraft and the judge; what is in them is found. */
  @Test
  public void the_demos_history_is_what_the_simulated_aircraft_came_to() throws IOException {
    Path file = DEMO.resolve("control-history.csv");
    String made = written(simulated());
    if (Boolean.getBoolean("lanyard.refresh")) {
      Files.writeString(file, made);
    }
    assertThat(Files.readString(file)).isEqualTo(made);
    List<ControlTrend> trends = ControlTrend.of(HistoryCsv.read(made, NOW).orThrow("history"));
    ControlTrend worst = trends.getFirst();
    assertThat(worst.tail()).isEqualTo(new TailId(LOSING));
    assertThat(worst.of()).isIn("Left aileron", "Ailerons");
    assertThat(trends).filteredOn(t -> t.of().equals("Left aileron") && t.worsens()).allSatisfy(t -> {
      assertThat(t.tail()).isEqualTo(new TailId(LOSING));
      assertThat(t.trend().aWeek()).isCloseTo(-A_WEEK, within(0.02));
      assertThat(t.trend().last()).as("it still passes").isGreaterThan(t.limit());
      assertThat(Duration.between(t.trend().changes().getLast(), NOW).toDays() / 7.0)
          .isCloseTo(LOSES_FOR / 2.0, within(2.0));
    }).isNotEmpty();
    assertThat(trends).filteredOn(t -> t.worsens() && !t.tail().value().equals(LOSING)).isEmpty();
  }

  @Test
  public void what_is_written_is_read_and_each_fault_is_named_with_its_line() throws IOException {
    String head = "tail,at,of,quantity,value,limit\r\n";
    List<Checked> checks = List.of(new Checked(new TailId("TL-DVA"), NOW, List.of(
        new Measure("Left aileron", Measure.Quantity.TRAVEL_POSITIVE, 19.75, 18.5),
        new Measure("=Rudder, \"upper\"", Measure.Quantity.LAG, 0.08, 0.5))));
    assertThat(HistoryCsv.read(HistoryCsv.write(checks, Instant::toString), NOW).orThrow("it")).isEqualTo(checks);
    String bad = head + "TL-DVA,2027-01-13T06:00:00Z,Rudder,lag,NaN,0.5\r\ntl,x,,speed,-1,1e9\r\n";
    assertThat(HistoryCsv.read(bad, NOW)).isInstanceOfSatisfying(Read.Bad.class, b -> assertThat(b.faults().toString())
        .contains("value", "tail", "at", "of", "quantity", "limit"));
    assertThat(HistoryCsv.read("", NOW)).isInstanceOf(Read.Bad.class);
    assertThat(HistoryCsv.read(head + "x,".repeat(9), NOW)).isInstanceOf(Read.Bad.class);
  }
}
