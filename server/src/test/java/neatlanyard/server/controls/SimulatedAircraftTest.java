package neatlanyard.server.controls;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement.Finding;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.Trace.Sample;
import neatlanyard.formats.controls.TraceCsv;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.server.controls.SimulatedAircraft.Behaviour;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The stand-in does what it is told, and the core's judgement, which knows nothing of it, says what that was. */
public class SimulatedAircraftTest {
  private static final Path PACK = Path.of(System.getProperty("lanyard.root", ".."), "demo/packs/dovrin-46.yaml");

  private static ControlSpec spec() throws IOException {
    return PackReader.read(Files.readString(PACK)).orThrow("pack").flightControls();
  }

  private static Judgement judged(ControlSpec spec, List<Sample> samples) {
    return ControlCheck.judge(spec, TraceCsv.read(TraceCsv.write(samples, spec), spec).orThrow("trace"));
  }

  @DataProvider
  Object[][] behaviours() {
    return new Object[][] {
      {Behaviour.SOUND, "", List.of()},
      {Behaviour.AILERON_REVERSED, "Left aileron",
      List.of(Criterion.SENSE, Criterion.FULL_TRAVEL, Criterion.CORRELATION)},
      {Behaviour.ELEVATOR_SHORT, "Elevator", List.of(Criterion.FULL_TRAVEL)},
      {Behaviour.SPOILER_STAYS_OUT, "Right roll spoiler", List.of(Criterion.SPOILER_IN)},
      {Behaviour.HALF_HEARTED, "Yaw control", List.of(Criterion.INPUT_FULL, Criterion.INPUT_HELD)},
    };
  }

  @Test(dataProvider = "behaviours")
  public void each_behaviour_is_judged_for_what_it_is(Behaviour behaviour, String subject,
      List<Criterion> criteria) throws IOException {
    ControlSpec spec = spec();
    Judgement judgement = judged(spec, SimulatedAircraft.check(spec, behaviour));
    List<Finding> blamed = judgement.failed().stream()
        .filter(f -> behaviour != Behaviour.HALF_HEARTED || !f.subject().equals("Rudder")).toList();
    assertThat(blamed).allMatch(f -> f.subject().equals(subject));
    assertThat(blamed.stream().map(Finding::criterion).distinct().toList())
        .containsExactlyInAnyOrderElementsOf(criteria);
    assertThat(behaviour.words()).isNotBlank();
  }

  /** A recorder's noise of a few hundredths of a degree, or a coarser rate, changes no verdict. */
  @Test
  public void noise_and_rate_change_no_verdict() throws IOException {
    ControlSpec spec = spec();
    for (Behaviour behaviour : Behaviour.values()) {
      List<Sample> clean = SimulatedAircraft.check(spec, behaviour);
      boolean passed = judged(spec, clean).passed();
      for (int seed = 0; seed < 10; seed++) {
        Random random = new Random(seed);
        List<Sample> noisy = clean.stream().map(s -> new Sample(
            s.seconds(), s.pitchPct() + random.nextGaussian() * 0.3, s.rollPct() + random.nextGaussian() * 0.3,
            s.yawPct() + random.nextGaussian() * 0.3,
            s.surfacesDeg().stream().map(d -> d + random.nextGaussian() * 0.05).toList())).toList();
        assertThat(judged(spec, noisy).passed()).as("%s, noise %d", behaviour, seed).isEqualTo(passed);
      }
      List<Sample> tenHz = java.util.stream.IntStream.range(0, clean.size() / 5).mapToObj(i -> clean.get(i * 5))
          .toList();
      assertThat(judged(spec, tenHz).passed()).as("%s at 10 Hz", behaviour).isEqualTo(passed);
    }
  }

  @Test
  public void a_gap_in_the_data_fails_the_check() throws IOException {
    ControlSpec spec = spec();
    List<Sample> all = SimulatedAircraft.check(spec, Behaviour.SOUND);
    List<Sample> gap = java.util.stream.Stream.concat(all.subList(0, 20).stream(), all.subList(40, all.size())
        .stream()).toList();
    Judgement judgement = ControlCheck.judge(spec, Trace.of(spec.channels(), gap));
    assertThat(judgement.failed()).extracting(Finding::criterion).containsExactly(Criterion.DATA);
    assertThat(judgement.summary()).isEqualTo("The data has a gap of 0.42 s; make the check again.");
  }
}
