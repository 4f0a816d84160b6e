package neatlanyard.core.controls;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import neatlanyard.core.controls.ControlSpec.Spoiler;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement.Finding;
import neatlanyard.core.controls.Trace.Sample;
import org.hipparchus.stat.correlation.PearsonsCorrelation;
import org.testng.annotations.Test;

public class ControlCheckTest {
  private static final ControlSpec SPEC = new ControlSpec(
      95, 5, Duration.ofMillis(600), Duration.ofMillis(1_200), 1.5, 1.0, 0.95, Duration.ofMillis(500),
      List.of(
          new Surface("elevator", "Elevator", Axis.PITCH, 24, -16),
          new Surface("aileron-left", "Left aileron", Axis.ROLL, -15, 20),
          new Surface("aileron-right", "Right aileron", Axis.ROLL, 20, -15),
          new Surface("rudder", "Rudder", Axis.YAW, 25, -25)),
      List.of(new Spoiler("spoiler-left", "Left spoiler", -1, 30, 2),
      new Spoiler("spoiler-right", "Right spoiler", 1, 30, 2)));

  /**
   * The trade's facts: column back raises the elevator; roll to one side raises that side's aileron, lowers the other
   * and brings that side's spoiler out; right pedal moves the rudder right (FAA-H-8083-25, chapter 6). Written out
   * here rather than taken from the specification, so that the two check each other.
   */
  private static double[] follow(double pitch, double roll, double yaw) {
    return new double[] {
      pitch > 0 ? 24 * pitch : 16 * pitch,
      roll > 0 ? -15 * roll : 20 * -roll,
      roll > 0 ? 20 * roll : -15 * -roll,
      25 * yaw,
      33 * Math.max(0, -roll),
      33 * Math.max(0, roll),
    };
  }

  private static Trace check(double stop, double holdS, Function<double[], double[]> surfaces) {
    List<Sample> samples = new ArrayList<>();
    for (int axis = 0; axis < 3; axis++) {
      for (double[] leg : new double[][] {{0, 0, 0.5}, {0, stop, 0.8}, {stop, stop, holdS}, {stop, -stop, 1.6},
          {-stop, -stop, holdS}, {-stop, 0, 0.8}, {0, 0, 2}}) {
        int n = (int) (leg[2] * 50);
        for (int i = 1; i <= n; i++) {
          double[] in = new double[3];
          in[axis] = leg[0] + (leg[1] - leg[0]) * i / n;
          List<Double> out = java.util.Arrays.stream(surfaces.apply(in)).boxed().toList();
          samples.add(new Sample(samples.size() / 50.0, in[0] * 100, in[1] * 100, in[2] * 100, out));
        }
      }
    }
    return Trace.of(SPEC.channels(), samples);
  }

  private static double[] sound(double[] in) {
    return follow(in[0], in[1], in[2]);
  }

  private static Set<String> failures(Trace trace) {
    return ControlCheck.judge(SPEC, trace).failed().stream()
        .map(f -> f.subject() + " " + f.criterion())
        .collect(Collectors.toSet());
  }

  @Test
  public void a_sound_aircraft_passes_and_every_criterion_is_said() {
    Judgement judgement = ControlCheck.judge(SPEC, check(1, 1, ControlCheckTest::sound));
    assertThat(judgement.failed()).extracting(Finding::words).isEmpty();
    assertThat(judgement.passed()).isTrue();
    // 1 for the data, 4 for each control, 6 for each surface, 2 for each spoiler.
    assertThat(judgement.findings()).hasSize(1 + 3 * 4 + 4 * 6 + 2 * 2);
  }

  @Test
  public void reversed_aileron_is_the_wrong_way_and_nothing_else_is_blamed() {
    Trace trace = check(1, 1, in -> {
      double[] s = sound(in);
      s[1] = -s[1];
      return s;
    });
    Judgement judgement = ControlCheck.judge(SPEC, trace);
    assertThat(judgement.failed()).extracting(Finding::subject).containsOnly("Left aileron");
    assertThat(judgement.failed()).extracting(Finding::criterion).contains(Criterion.SENSE, Criterion.CORRELATION);
    assertThat(judgement.summary()).contains("Left aileron moved up with roll right: the wrong way");
  }

  @Test
  public void elevator_short_of_its_travel_is_said_by_how_much() {
    Trace trace = check(1, 1, in -> {
      double[] s = sound(in);
      s[0] = Math.min(s[0], 18);
      return s;
    });
    assertThat(failures(trace)).containsExactly("Elevator FULL_TRAVEL");
    assertThat(ControlCheck.judge(SPEC, trace).summary())
        .isEqualTo("Elevator reached 18.0° up, 6.0° short of its 24.0°.");
  }

  @Test
  public void spoiler_that_stays_out_and_spoiler_that_does_not_come() {
    double[] furthest = new double[1];
    Trace stays = check(1, 1, in -> {
      double[] s = sound(in);
      furthest[0] = Math.max(furthest[0], Math.min(s[5], 9));
      s[5] = Math.max(s[5], furthest[0]);
      return s;
    });
    assertThat(failures(stays)).containsExactly("Right spoiler SPOILER_IN");
    Trace dead = check(1, 1, in -> {
      double[] s = sound(in);
      s[4] = 0;
      return s;
    });
    assertThat(failures(dead)).containsExactly("Left spoiler SPOILER_OUT");
  }

  @Test
  public void a_dead_surface_a_lazy_pilot_and_a_short_hold() {
    Trace dead = check(1, 1, in -> {
      double[] s = sound(in);
      s[3] = 0;
      return s;
    });
    assertThat(failures(dead)).containsExactlyInAnyOrder("Rudder SENSE", "Rudder FULL_TRAVEL", "Rudder CORRELATION");
    assertThat(failures(check(0.8, 1, ControlCheckTest::sound)))
        .contains("Pitch control INPUT_FULL", "Roll control INPUT_FULL", "Yaw control INPUT_FULL");
    assertThat(failures(check(1, 0.2, ControlCheckTest::sound)))
        .containsExactlyInAnyOrder("Pitch control INPUT_HELD", "Roll control INPUT_HELD", "Yaw control INPUT_HELD");
  }

  @Test
  public void a_surface_that_does_not_come_back() {
    Trace trace = check(1, 1, in -> {
      double[] s = sound(in);
      s[3] += 1.3;
      return s;
    });
    assertThat(failures(trace)).containsExactly("Rudder NEUTRAL");
  }

  @Test
  public void an_axis_nobody_moved_is_not_passed_over() {
    Trace trace = check(1, 1, in -> sound(in));
    List<Sample> still = new ArrayList<>();
    for (int i = 0; i < trace.size(); i++) {
      still.add(new Sample(trace.seconds(i), 0, 0, 0, List.of(0.0, 0.0, 0.0, 0.0, 0.0, 0.0)));
    }
    Judgement judgement = ControlCheck.judge(SPEC, Trace.of(SPEC.channels(), still));
    assertThat(judgement.failed()).extracting(Finding::axis).contains(Axis.PITCH, Axis.ROLL, Axis.YAW);
  }

  @Test
  public void faults_of_a_trace_are_all_named() {
    List<Double> six = List.of(0.0, 0.0, 0.0, 0.0, 0.0, 0.0);
    List<String> faults = Trace.faults(SPEC.channels(), List.of(
        new Sample(0, 0, 0, 0, six), new Sample(0, 500, Double.NaN, 0, six), new Sample(1, 0, 0, 0, List.of(1.0))));
    assertThat(faults).hasSize(4);
    assertThat(faults.get(0)).contains("Sample 2").contains("not after");
  }

  /** Property: mirroring the roll inputs and swapping the sides of a sound aircraft changes no verdict. */
  @Test
  public void left_and_right_are_judged_alike() {
    Random random = new Random(7);
    for (int i = 0; i < 50; i++) {
      double weak = 0.5 + random.nextDouble() * 0.6;
      boolean left = failures(check(1, 1, in -> scaled(in, 1, weak))).isEmpty();
      boolean right = failures(check(1, 1, in -> scaled(in, 2, weak))).isEmpty();
      assertThat(left).as("share %s of the travel", weak).isEqualTo(right);
    }
  }

  private static double[] scaled(double[] in, int surface, double share) {
    double[] s = sound(in);
    s[surface] *= share;
    return s;
  }

  /** Second opinion: Hipparchus' correlation, over random columns and lags. */
  @Test
  public void correlation_agrees_with_a_statistics_library() {
    Random random = new Random(3);
    for (int i = 0; i < 200; i++) {
      int n = 10 + random.nextInt(200);
      int lag = random.nextInt(5);
      double[] x = random.doubles(n, -100, 100).toArray();
      double[] y = random.doubles(n, -30, 30).toArray();
      double theirs = new PearsonsCorrelation().correlation(
          java.util.Arrays.copyOfRange(x, 0, n - lag), java.util.Arrays.copyOfRange(y, lag, n));
      assertThat(Correlation.pearson(x, y, lag)).isCloseTo(theirs, within(1e-12));
    }
  }

  /** Order is free unless the fleet fixes it; the check here moves pitch, then roll, then yaw. */
  @Test
  public void the_order_counts_where_the_fleet_fixes_it() {
    Trace trace = check(1, 1, ControlCheckTest::sound);
    assertThat(ControlCheck.judge(SPEC, List.of(Axis.PITCH, Axis.ROLL, Axis.YAW), trace).passed()).isTrue();
    assertThat(ControlCheck.judge(SPEC, List.of(Axis.ROLL, Axis.PITCH, Axis.YAW), trace).failed())
        .extracting(Judgement.Finding::words)
        .containsExactly("Moved in the order pitch, roll, yaw; this fleet's is roll, pitch, yaw.");
    assertThat(ControlCheck.judge(SPEC, trace).findings()).noneMatch(f -> f.criterion() == Judgement.Criterion.ORDER);
  }
}
