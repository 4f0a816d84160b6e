package neatlanyard.server.controls;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Call;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.Judgement.Verdict;
import neatlanyard.core.controls.Practice;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.sop.Pack;
import neatlanyard.server.controls.ControlViews.CallView;
import neatlanyard.server.controls.ControlViews.CheckStands;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

public class CheckUnderWayTest {
  private static final Pack PACK = pack();
  private static final Trace SOUND = SimulatedAircraft.check(PACK, SimulatedAircraft.Behaviour.SOUND);

  private CheckUnderWay check = begun();

  private static Pack pack() {
    try {
      return SimulatedAircraftTest.pack("dovrin-46");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static CheckUnderWay begun() {
    return new CheckUnderWay(7, PACK.flightControls(), Practice.ANY, CheckUnderWay.channels(SOUND));
  }

  @BeforeMethod
  public void begin() {
    check = begun();
  }

  private void come(double from, double to) {
    for (int i = 0; i < SOUND.size(); i++) {
      if (SOUND.seconds(i) >= from && SOUND.seconds(i) < to) {
        check.add(SOUND, i);
      }
    }
  }

  @Test
  public void a_call_counts_within_the_recording_and_in_its_order() {
    come(0, 6);
    assertThat(check.call(20, Axis.PITCH, 1, "Adeyo")).as("not yet").isEmpty();
    assertThat(check.call(Double.NaN, Axis.PITCH, 1, "Adeyo")).isEmpty();
    assertThat(check.call(-1, Axis.PITCH, 1, "Adeyo")).isEmpty();
    assertThat(check.call(3.4, Axis.PITCH, 1, "Adeyo").map(CallView::seconds)).hasValue(3.4);
    assertThat(check.call(3.1, Axis.PITCH, -1, "Marsk")).as("from a device that is behind")
        .hasValueSatisfying(c -> assertThat(c.seconds()).isGreaterThanOrEqualTo(3.4));
    assertThat(check.trace().orElseThrow().calls()).extracting(Call::sign).containsExactly(1, -1);
    check.brokeOff();
    assertThat(check.call(3.6, Axis.PITCH, 1, "Adeyo")).as("nothing comes").isEmpty();
  }

  @Test
  public void nobody_calls_without_end() {
    come(0, 6);
    long taken = 0;
    for (int i = 0; i < 1_000; i++) {
      taken += check.call(3, Axis.ROLL, 1, "Adeyo").stream().count();
    }
    assertThat(taken).isEqualTo(200);
  }

  /** Whenever the link breaks off, what had come stands, nothing is blamed, and going on makes it whole. */
  @Test
  public void broken_off_at_any_time_it_goes_on_and_passes() {
    for (double at = 3; at < 18; at += 0.7) {
      begin();
      come(0, at);
      check.call(3.4, Axis.PITCH, 1, "Adeyo");
      check.brokeOff();
      assertThat(ControlCheck.judge(PACK.flightControls(), Practice.ANY, check.trace().orElseThrow()).verdict())
          .as("broken off at %s s", at).isEqualTo(Verdict.INCOMPLETE);
      assertThat(check.goOn()).isTrue();
      assertThat(check.goOn()).as("once").isFalse();
      List<Axis> left = check.left();
      assertThat(left).isNotEmpty().contains(Axis.YAW);
      come(0, 100);
      assertThat(check.left()).isEmpty();
      assertThat(check.trace().map(t -> ControlCheck.judge(PACK.flightControls(), Practice.ANY, t).failed().stream()
          .filter(f -> f.subject().equals("Data")).count())).isEqualTo(Optional.of(0L));
      assertThat(check.stands()).isEqualTo(CheckStands.UNDER_WAY);
    }
    assertThat(check.view().calls()).extracting(CallView::by).containsOnly("Adeyo");
  }
}
