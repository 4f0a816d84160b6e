package neatlanyard.core.controls;

import static neatlanyard.core.controls.ControlSpecs.TWIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import neatlanyard.core.controls.Channel.Aside;
import neatlanyard.core.controls.Judgement.Cause;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement.Finding;
import neatlanyard.core.controls.Judgement.Outcome;
import neatlanyard.core.controls.Judgement.Verdict;
import org.testng.annotations.Test;

public class ControlCheckTest {
  private static final int HZ = 50;
  private static final Practice ANY = Practice.ANY;

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

  private static final int ELEVATOR = 0;
  private static final int AILERON_LEFT = 1;
  private static final int RUDDER = 3;
  private static final int SPOILER_LEFT = 4;
  private static final int SPOILER_RIGHT = 5;

  /** One moment: how far each axis is moved, -1..1, and where that puts the surfaces. */
  private record Moment(double seconds, double[] in, double[] out, int round) {}

  private static List<Moment> moments(double stop, double holdS, int rounds) {
    List<Moment> moments = new ArrayList<>();
    for (int axis = 0; axis < 3; axis++) {
      for (int round = 0; round < rounds; round++) {
        for (double[] leg : new double[][] {{0, 0, 1.6}, {0, stop, 0.8}, {stop, stop, holdS}, {stop, -stop, 1.6},
            {-stop, -stop, holdS}, {-stop, 0, 0.8}, {0, 0, 2}}) {
          int n = (int) (leg[2] * HZ);
          for (int i = 1; i <= n; i++) {
            double[] in = new double[3];
            in[axis] = leg[0] + (leg[1] - leg[0]) * i / n;
            moments.add(new Moment(moments.size() / (double) HZ, in, follow(in[0], in[1], in[2]), round));
          }
        }
      }
    }
    return moments;
  }

  private static Trace trace(List<Moment> moments, Map<Channel, double[]> more, List<Call> calls) {
    Map<Channel, double[]> columns = new LinkedHashMap<>();
    for (Axis axis : Axis.values()) {
      columns.put(Channel.input(axis), moments.stream().mapToDouble(m -> m.in()[axis.ordinal()] * 100).toArray());
    }
    for (int c = 0; c < TWIN.channels().size(); c++) {
      int at = c;
      columns.put(Channel.position(TWIN.channels().get(c)), moments.stream().mapToDouble(m -> m.out()[at]).toArray());
    }
    columns.putAll(more);
    return Trace.of(moments.stream().mapToDouble(Moment::seconds).toArray(), columns, calls);
  }

  private static Trace check(double stop, double holdS, UnaryOperator<Moment> surfaces) {
    return trace(moments(stop, holdS, 1).stream().map(surfaces).toList(), Map.of(), List.of());
  }

  private static Trace twice(UnaryOperator<Moment> surfaces) {
    return trace(moments(1, 1, 2).stream().map(surfaces).toList(), Map.of(), List.of());
  }

  private static UnaryOperator<Moment> one(int surface, UnaryOperator<Double> made) {
    return m -> {
      double[] out = m.out().clone();
      out[surface] = made.apply(out[surface]);
      return new Moment(m.seconds(), m.in(), out, m.round());
    };
  }

  private static Set<String> failures(Trace trace) {
    return ControlCheck.judge(TWIN, ANY, trace).failed().stream()
        .map(f -> f.subject() + " " + f.criterion())
        .collect(Collectors.toSet());
  }

  private static Judgement judge(Practice practice, Map<Channel, double[]> more, Call... calls) {
    return ControlCheck.judge(TWIN, practice, trace(moments(1, 1, 1), more, List.of(calls)));
  }

  private static double[] throughout(double value) {
    return moments(1, 1, 1).stream().mapToDouble(m -> value).toArray();
  }

  private static double[] when(java.util.function.Predicate<Moment> so) {
    return moments(1, 1, 1).stream().mapToDouble(m -> so.test(m) ? 1 : 0).toArray();
  }

  @Test
  public void a_sound_aircraft_passes_and_what_is_not_told_is_said_to_be_unjudged() {
    Judgement judgement = ControlCheck.judge(TWIN, new Practice(List.of(), true, true, true, true),
        check(1, 1, UnaryOperator.identity()));
    assertThat(judgement.failed()).extracting(Finding::words).isEmpty();
    assertThat(judgement.missing()).isEmpty();
    assertThat(judgement.passed()).isTrue();
    assertThat(judgement.findings()).extracting(Finding::criterion).containsAll(EnumSet.complementOf(EnumSet.of(
        Criterion.ORDER, Criterion.SPOILER_SCHEDULE)));
    assertThat(judgement.of(Outcome.UNJUDGED)).extracting(Finding::criterion).containsExactlyInAnyOrder(
        Criterion.SECOND_STICK, Criterion.PLACE, Criterion.AUTOBRAKE, Criterion.DISCONNECT, Criterion.PRESSURE,
        Criterion.CALL);
  }

  @Test
  public void reversed_aileron_is_the_wrong_way_and_nothing_else_is_blamed() {
    Judgement judgement = ControlCheck.judge(TWIN, ANY, check(1, 1, one(AILERON_LEFT, v -> -v)));
    assertThat(judgement.failed()).extracting(Finding::subject).containsOnly("Left aileron");
    assertThat(judgement.failed()).extracting(Finding::criterion).contains(Criterion.SENSE, Criterion.CORRELATION);
    assertThat(judgement.summary()).contains("Left aileron moved up with roll right: the wrong way");
    assertThat(judgement.suggestions().getFirst().cause()).isEqualTo(Cause.REVERSED);
  }

  @Test
  public void elevator_short_of_its_travel_is_said_by_how_much() {
    Trace trace = check(1, 1, one(ELEVATOR, v -> Math.min(v, 18)));
    assertThat(failures(trace)).containsExactly("Elevator FULL_TRAVEL");
    Judgement judgement = ControlCheck.judge(TWIN, ANY, trace);
    assertThat(judgement.summary()).isEqualTo("Elevator reached 18.0° up, 6.0° short of its 24.0°.");
    assertThat(judgement.suggestions().getFirst().cause()).isEqualTo(Cause.SHORT_TRAVEL);
  }

  /** The four recordings that the judge before this one got wrong. */
  @Test
  public void one_sample_is_no_evidence() {
    Trace trace = check(1, 1, m -> {
      double[] out = m.out().clone();
      boolean once = m.in()[0] == 1 && (int) Math.round(m.seconds() * HZ) % 100 == 0;
      out[ELEVATOR] = once ? 24 : Math.min(out[ELEVATOR], 15);
      return new Moment(m.seconds(), m.in(), out, m.round());
    });
    assertThat(failures(trace)).contains("Elevator FULL_TRAVEL");
  }

  @Test
  public void every_movement_is_judged_not_the_best_one() {
    Trace trace = twice(m -> m.round() == 0 ? m : one(AILERON_LEFT, v -> Math.max(v, -7.0)).apply(m));
    Judgement judgement = ControlCheck.judge(TWIN, ANY, trace);
    assertThat(judgement.failed()).anySatisfy(f -> {
      assertThat(f.words()).isEqualTo("Left aileron reached 7.0° down, 8.0° short of its 15.0°, the second time.");
      assertThat(f.movement()).isEqualTo(2);
    });
    assertThat(judgement.suggestions()).extracting(Judgement.Suggestion::cause).contains(Cause.JAMMED);
  }

  @Test
  public void a_rudder_that_moves_in_jumps_is_found() {
    Trace trace = check(1, 1, one(RUDDER, v -> Math.abs(v) == 25 ? v : Math.rint(v / 5) * 5));
    assertThat(failures(trace)).containsExactly("Rudder JUMPS");
    assertThat(ControlCheck.judge(TWIN, ANY, trace).suggestions().getFirst().cause()).isEqualTo(Cause.STIFFNESS);
  }

  @Test
  public void a_sound_aircraft_on_a_poor_recorder_passes_and_a_short_one_does_not() {
    for (int seed = 0; seed < 20; seed++) {
      SplittableRandom chance = new SplittableRandom(seed);
      UnaryOperator<Moment> noisy = m -> new Moment(m.seconds(),
          java.util.Arrays.stream(m.in()).map(v -> v + chance.nextGaussian() * 0.005).toArray(),
          java.util.Arrays.stream(m.out()).map(v -> v + chance.nextGaussian() * 0.3).toArray(), m.round());
      assertThat(failures(check(1, 1, noisy))).isEmpty();
      assertThat(failures(check(1, 1, m -> noisy.apply(one(ELEVATOR, v -> Math.min(v, 21)).apply(m)))))
          .contains("Elevator FULL_TRAVEL");
    }
  }

  @Test
  public void a_recorder_too_coarse_to_tell_travel_leaves_it_incomplete_and_still_tells_a_jam() {
    SplittableRandom chance = new SplittableRandom(4);
    UnaryOperator<Moment> coarse = one(ELEVATOR, v -> v + chance.nextGaussian() * 2);
    assertThat(ControlCheck.judge(TWIN, ANY, check(1, 1, coarse)).missing())
        .anyMatch(m -> m.startsWith("Elevator is recorded too coarsely"));
    assertThat(failures(check(1, 1, m -> coarse.apply(one(ELEVATOR, v -> Math.min(v, 8)).apply(m)))))
        .contains("Elevator FULL_TRAVEL");
  }

  @Test
  public void spoiler_that_stays_out_and_spoiler_that_does_not_come() {
    double[] furthest = new double[1];
    Trace stays = check(1, 1, one(SPOILER_RIGHT, v -> {
      furthest[0] = Math.max(furthest[0], Math.min(v, 9));
      return Math.max(v, furthest[0]);
    }));
    assertThat(failures(stays)).containsExactly("Right spoiler SPOILER_IN");
    assertThat(failures(check(1, 1, one(SPOILER_LEFT, v -> 0.0)))).containsExactly("Left spoiler SPOILER_OUT");
  }

  @Test
  public void a_dead_surface_and_one_that_does_not_come_back() {
    Judgement dead = ControlCheck.judge(TWIN, ANY, check(1, 1, one(RUDDER, v -> 0.0)));
    assertThat(dead.failed()).extracting(Finding::criterion).contains(Criterion.SENSE, Criterion.CORRELATION);
    assertThat(dead.failed()).extracting(Finding::words).contains("Rudder did not move with yaw right.");
    assertThat(dead.suggestions().getFirst().cause()).isEqualTo(Cause.JAMMED);
    assertThat(failures(check(1, 1, one(RUDDER, v -> v + 1.3)))).containsExactly("Rudder NEUTRAL");
  }

  /** What was not done is missing; it is no fault of the aircraft. */
  @Test
  public void half_a_stick_a_short_hold_and_an_axis_nobody_moved_leave_the_check_incomplete() {
    Judgement half = ControlCheck.judge(TWIN, ANY, check(0.7, 1, UnaryOperator.identity()));
    assertThat(half.verdict()).isEqualTo(Verdict.INCOMPLETE);
    assertThat(half.missing()).hasSize(6).first().isEqualTo(
        "Pitch: control moved 70 % nose up, 95 % is wanted. Move it to the stop.");
    Judgement brief = ControlCheck.judge(TWIN, ANY, check(1, 0.2, UnaryOperator.identity()));
    assertThat(brief.verdict()).isEqualTo(Verdict.INCOMPLETE);
    assertThat(brief.missing()).hasSize(6).allMatch(m -> m.contains("held at the"));
    Judgement still = ControlCheck.judge(TWIN, ANY, check(0, 1, UnaryOperator.identity()));
    assertThat(still.missing()).hasSize(6);
    assertThat(still.passed()).isFalse();
    // Half a stick is not a check, but a surface that sticks under it is seen all the same.
    assertThat(failures(check(0.7, 1, one(ELEVATOR, v -> Math.min(v, 10))))).contains("Elevator FULL_TRAVEL");
  }

  /** Property: mirroring the roll inputs and swapping the sides of a sound aircraft changes no verdict. */
  @Test
  public void left_and_right_are_judged_alike() {
    SplittableRandom random = new SplittableRandom(7);
    for (int i = 0; i < 50; i++) {
      double weak = 0.5 + random.nextDouble() * 0.6;
      boolean left = failures(check(1, 1, one(AILERON_LEFT, v -> v * weak))).isEmpty();
      boolean right = failures(check(1, 1, one(AILERON_LEFT + 1, v -> v * weak))).isEmpty();
      assertThat(left).as("share %s of the travel", weak).isEqualTo(right);
    }
  }

  /** Order is free unless the fleet fixes it; the check here moves pitch, then roll, then yaw. */
  @Test
  public void the_order_counts_where_the_fleet_fixes_it() {
    assertThat(judge(ANY.inOrder(List.of(Axis.PITCH, Axis.ROLL, Axis.YAW)), Map.of()).passed()).isTrue();
    assertThat(judge(ANY.inOrder(List.of(Axis.ROLL, Axis.PITCH, Axis.YAW)), Map.of()).failed())
        .extracting(Finding::words)
        .containsExactly("Moved in the order pitch, roll, yaw; this fleet's is roll, pitch, yaw.");
  }

  @Test
  public void where_it_was_done_is_judged_by_what_the_aircraft_tells() {
    Practice standing = ANY.standingStill();
    assertThat(judge(standing, Map.of(Aside.GROUND_SPEED, throughout(8))).summary())
        .isEqualTo("The aircraft rolled at 8.0 kt; this check is made standing.");
    double[] turning = moments(1, 1, 1).stream().mapToDouble(m -> (358 + 3 * m.seconds()) % 360).toArray();
    Map<Channel, double[]> rolling = Map.of(Aside.GROUND_SPEED, throughout(8), Aside.HEADING, turning);
    assertThat(judge(ANY, rolling).summary()).startsWith("The aircraft turned by 3.0° a second");
    assertThat(judge(ANY, Map.of(Aside.GROUND_SPEED, throughout(8), Aside.HEADING, throughout(70))).passed()).isTrue();
    assertThat(judge(ANY, Map.of(Aside.AUTOBRAKE, throughout(1))).summary()).startsWith("Autobrake: armed before");
    assertThat(judge(ANY, Map.of(new Channel.Pressure("main"), throughout(900))).summary())
        .isEqualTo("Hydraulics held 900 psi, at least 2 400 psi is wanted.");
    Practice disconnected = new Practice(List.of(), false, true, false, false);
    assertThat(judge(disconnected, Map.of(Aside.STEERING_DISCONNECT, throughout(0))).summary())
        .startsWith("The steering was not disconnected");
    assertThat(judge(disconnected, Map.of(Aside.STEERING_DISCONNECT, throughout(1))).summary())
        .startsWith("The steering disconnect was not seen released");
    assertThat(judge(disconnected, Map.of(Aside.STEERING_DISCONNECT, when(m -> Math.abs(m.in()[2]) > 0))).passed())
        .isTrue();
  }

  @Test
  public void a_call_before_the_surface_was_there_is_a_wrong_call() {
    Practice called = new Practice(List.of(), false, false, false, true);
    // Nose up is held from 2.4 s to 3.4 s.
    assertThat(judge(called, Map.of(), new Call(2.9, Axis.PITCH, 1)).failed()).isEmpty();
    assertThat(judge(called, Map.of(), new Call(2.9, Axis.PITCH, 1)).missing()).hasSize(5);
    assertThat(judge(called, Map.of(), new Call(1.9, Axis.PITCH, 1)).summary())
        .isEqualTo("\"Full nose up\" was called before the elevator was there.");
    assertThat(judge(called, Map.of(), new Call(2.9, Axis.YAW, 1)).summary())
        .isEqualTo("\"Full right\" was called at 2.9 s while the control was not there.");
  }

  @Test
  public void both_sticks_are_wanted_by_the_packs_policy() {
    Practice both = new Practice(List.of(), true, false, false, false);
    Map<Channel, double[]> left = new LinkedHashMap<>();
    for (Axis axis : List.of(Axis.PITCH, Axis.ROLL)) {
      left.put(new Channel.Input(Channel.Inceptor.LEFT, axis),
          moments(1, 1, 1).stream().mapToDouble(m -> m.in()[axis.ordinal()] * 100).toArray());
      left.put(new Channel.Input(Channel.Inceptor.RIGHT, axis), throughout(0));
    }
    assertThat(judge(both, left).missing()).hasSize(4).allMatch(m -> m.startsWith("Right stick, "));
  }

  @Test
  public void a_gap_while_a_control_is_moved_leaves_the_check_incomplete() {
    List<Moment> all = moments(1, 1, 1);
    // The elevator is on its way between 1.6 s and 2.4 s, and everything rests before.
    assertThat(ControlCheck.judge(TWIN, ANY, without(all, 2.0, 2.5)).summary())
        .startsWith("Still to show: The data has a gap of 0.5 s while a control was moved");
    assertThat(ControlCheck.judge(TWIN, ANY, without(all, 0.3, 0.8)).passed()).isTrue();
  }

  private static Trace without(List<Moment> all, double from, double to) {
    return trace(all.stream().filter(m -> m.seconds() < from || m.seconds() >= to).toList(), Map.of(), List.of());
  }

  @Test
  public void faults_of_a_trace_are_all_named_and_a_surface_that_is_lacking_too() {
    double[] seconds = {0, 0, 1};
    Map<Channel, double[]> columns = Map.of(Channel.input(Axis.PITCH), new double[] {0, 500, 0},
        Channel.position("elevator"), new double[] {0, 0, 181});
    assertThat(Trace.faults(seconds, columns)).extracting(Trace.Misfit::words).containsExactlyInAnyOrder(
        "It is at 0.0 s, not after the one before it.", "pitch is 500.0, not within ±110.",
        "elevator is 181.0, not within ±180.");
    Trace bare = Trace.of(new double[] {0, 1}, Map.of(Channel.input(Axis.PITCH), new double[2]), List.of());
    assertThatThrownBy(() -> ControlCheck.judge(TWIN, ANY, bare))
        .hasMessage("Not recorded: roll, yaw, elevator, aileron-left, aileron-right, rudder, spoiler-left, "
            + "spoiler-right");
  }

  /** Of what was right the log keeps the movement nearest its limit; of what was not, everything. */
  @Test
  public void what_goes_into_the_log_says_the_same() {
    Judgement whole = ControlCheck.judge(TWIN, ANY, twice(one(ELEVATOR, v -> Math.min(v, 18))));
    Judgement kept = whole.toKeep();
    assertThat(kept.failed()).isEqualTo(whole.failed());
    assertThat(kept.summary()).isEqualTo(whole.summary());
    assertThat(kept.findings().size()).isLessThan(whole.findings().size());
    assertThat(kept.findings().stream().map(Finding::criterion).collect(Collectors.toSet()))
        .isEqualTo(whole.findings().stream().map(Finding::criterion).collect(Collectors.toSet()));
  }

  /** A recorder may be switched off at any moment, also in the middle of a movement that was not made before. */
  @Test
  public void a_recording_may_end_anywhere() {
    List<Moment> whole = moments(1, 1, 1);
    Call early = new Call(0.1, Axis.PITCH, 0);
    for (int n = 2; n < whole.size(); n++) {
      Judgement judgement = ControlCheck.judge(TWIN, ANY, trace(whole.subList(0, n), Map.of(), List.of(early)));
      assertThat(judgement.verdict() == Verdict.PASSED).as("after %d samples", n)
          .isEqualTo(judgement.missing().isEmpty() && judgement.failed().isEmpty());
    }
  }
}
