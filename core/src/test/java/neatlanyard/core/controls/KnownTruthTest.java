package neatlanyard.core.controls;

import static neatlanyard.core.controls.ControlSpecs.TWIN;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement.Finding;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Recorder;
import neatlanyard.core.controls.simulated.SimulatedCheck;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * The judge against made-up checks of which the truth is known. The full study, some hundred thousand of them, stands
 * in docs/controls.md and is made by {@code ./lanyard bench controls}; these few hold the build to it.
 */
public class KnownTruthTest {
  private static final int SOUND = 1_000;
  private static final int EACH = 60;

  @Test
  public void a_sound_aircraft_passes_on_every_recorder_of_the_stated_quality() {
    List<String> alarms = new ArrayList<>();
    for (int seed = 0; seed < SOUND; seed++) {
      SplittableRandom chance = new SplittableRandom(seed);
      Hand hand = Hand.somebody(TWIN, chance);
      Judgement judgement = ControlCheck.judge(TWIN, Practice.ANY,
          SimulatedCheck.built(TWIN, hand, List.of(), Recorder.stated(chance), chance));
      if (!judgement.passed()) {
        alarms.add(seed + ": " + judgement.summary());
      }
    }
    assertThat(alarms).isEmpty();
  }

  /** Which criterion tells which fault apart. */
  private static final Map<Fault.Kind, Criterion> TELLS = Map.ofEntries(
      Map.entry(Fault.Kind.SHORT, Criterion.FULL_TRAVEL), Map.entry(Fault.Kind.SHORT_LAST_TIME, Criterion.FULL_TRAVEL),
      Map.entry(Fault.Kind.REVERSED, Criterion.SENSE), Map.entry(Fault.Kind.CROSSED, Criterion.CROSSED),
      Map.entry(Fault.Kind.COUPLED, Criterion.CROSSED), Map.entry(Fault.Kind.JAMMED, Criterion.SENSE),
      Map.entry(Fault.Kind.JUMPING, Criterion.JUMPS), Map.entry(Fault.Kind.PLAY, Criterion.NEUTRAL),
      Map.entry(Fault.Kind.DEAD_BAND, Criterion.DEAD_BAND), Map.entry(Fault.Kind.LATE, Criterion.LAG),
      Map.entry(Fault.Kind.OFFSET, Criterion.NEUTRAL), Map.entry(Fault.Kind.STAYS, Criterion.NEUTRAL),
      Map.entry(Fault.Kind.GEARED, Criterion.FULL_TRAVEL), Map.entry(Fault.Kind.SILENT, Criterion.CHANNEL));

  @DataProvider
  Object[][] kinds() {
    return TELLS.keySet().stream().map(k -> new Object[] {k}).toArray(Object[][]::new);
  }

  /** One limit beyond the limit: found each time, blamed on the right surface, and nearly always by its own name. */
  @Test(dataProvider = "kinds")
  public void a_fault_one_tolerance_beyond_its_limit_is_found(Fault.Kind kind) {
    int named = 0;
    for (int seed = 0; seed < EACH; seed++) {
      SplittableRandom chance = new SplittableRandom(seed * 31L + kind.ordinal());
      Hand hand = Hand.somebody(TWIN, chance);
      Recorder recorder = Recorder.stated(chance);
      Surface surface = TWIN.surfaces().get(chance.nextInt(TWIN.surfaces().size()));
      double limit = Fault.limit(kind, TWIN, surface);
      Fault fault = new Fault(kind, surface.id(), limit == 0 ? 1 : 2 * limit);
      Judgement judgement = ControlCheck.judge(TWIN, Practice.ANY,
          SimulatedCheck.built(TWIN, hand, List.of(fault), recorder, chance));
      assertThat(judgement.failed()).as("%s, seed %d", fault, seed).extracting(Finding::subject)
          .contains(surface.name());
      named += judgement.failed().stream().anyMatch(f -> f.criterion() == TELLS.get(kind)) ? 1 : 0;
    }
    assertThat(named).as("named as %s", TELLS.get(kind)).isGreaterThanOrEqualTo(EACH * 9 / 10);
  }
}
