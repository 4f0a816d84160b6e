package neatlanyard.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.DoubleStream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.ControlSpecs;
import neatlanyard.core.controls.simulated.Fault.Kind;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Linkage;
import neatlanyard.core.controls.simulated.MovingAircraft;
import neatlanyard.core.drill.Trial.Outcome;
import org.testng.annotations.Test;

/** What is told of a drill, and that what is hidden in it is what it is called. */
public class DrillToldTest {
  private static final ControlSpec TWIN = ControlSpecs.TWIN;

  private static Drill drill(Task task, Optional<Hidden> first, Optional<Hidden> second) {
    return new Drill(task, Staircase.FRESH, List.of(new Round(Hand.steady(), Map.of(), first),
        new Round(Hand.steady(), Map.of(), second)));
  }

  private static Answer answer(Optional<Double> stopped, Optional<Double> shown, int passed) {
    return new Answer(stopped, shown, passed, 0, 0, false, 9.96);
  }

  @Test
  public void each_round_is_told_in_a_sentence() {
    Drill drill = drill(Task.WATCH, Optional.of(new Hidden(Kind.SHORT, "aileron-left")), Optional.empty());
    Optional<Double> none = Optional.empty();
    record Case(Answer first, Answer second, String toldFirst, String toldSecond) {}
    for (Case c : List.of(
        new Case(answer(Optional.of(5.25), Optional.of(4.5), 1), answer(none, none, 3),
            "Found after 0.8 s. Left aileron stopped 6.0° short.", "Let pass, and nothing was wrong."),
        new Case(answer(none, Optional.of(4.5), 1), answer(Optional.of(2.0), none, 0),
            "Missed. Left aileron stopped 6.0° short.", "Stopped, and nothing was wrong."),
        new Case(answer(Optional.of(3.0), Optional.of(4.5), 1), answer(none, none, 3),
            "Stopped before anything showed.", "Let pass, and nothing was wrong."),
        new Case(answer(none, none, 0), answer(none, none, 0),
            "Something was wrong, and you did not move it far enough to show.",
            "Let pass, and nothing was wrong."))) {
      assertThat(RoundTold.of(drill, TWIN, List.of(c.first, c.second))).extracting(RoundTold::words)
          .containsExactly(c.toldFirst, c.toldSecond);
    }
    assertThat(RoundTold.of(drill(Task.MOVE, Optional.empty(), Optional.empty()), TWIN, List.of(
        new Answer(none, none, 3, 0, 0, true, 21.04), answer(none, none, 1)))).extracting(RoundTold::words)
        .containsExactly("The whole check, in 21.0 s.", "Not the whole check, after 10.0 s.");
  }

  @Test
  public void more_answers_than_rounds_and_drills_without_an_end_are_refused() {
    Drill drill = drill(Task.BOTH, Optional.empty(), Optional.empty());
    Answer a = answer(Optional.empty(), Optional.empty(), 3);
    assertThatThrownBy(() -> drill.trials(TWIN, List.of(a, a, a))).hasMessageContaining("more answers");
    assertThatThrownBy(() -> Drill.drawn(TWIN, List.of(), Task.BOTH, Staircase.FRESH, 25, new SplittableRandom(1)))
        .hasMessageContaining("1 to 24 rounds");
    assertThatThrownBy(() -> new Staircase(Double.NaN, 0)).hasMessageContaining("1.0 to 6.0");
    assertThatThrownBy(() -> new Hidden(Kind.LATE, "no-such").fault(TWIN, 2)).hasMessageContaining("no-such");
  }

  @Test
  public void scores_by_kind_and_size_are_those_of_the_trials() {
    Hidden late = new Hidden(Kind.LATE, "rudder");
    Hidden reversed = new Hidden(Kind.REVERSED, "rudder");
    List<Trial> trials = List.of(
        Trial.shown(0, late, 0.6, 1.6, Optional.of(0.5)), Trial.shown(1, late, 0.8, 2.0, Optional.of(1.5)),
        Trial.shown(2, late, 0.8, 2.0, Optional.empty()), Trial.shown(3, late, 2, 6, Optional.of(0.3)),
        Trial.shown(4, reversed, 1, 3, Optional.of(0.2)), Trial.nothing(5, Outcome.FALSE_ALARM));
    List<KindScore> scores = KindScore.of(trials);
    assertThat(scores).extracting(KindScore::kind).containsExactly(Kind.REVERSED, Kind.LATE);
    assertThat(scores.getFirst().bands()).containsExactly(
        new KindScore.Banded(0, 0, 1, 1, Optional.of(0.2)));
    assertThat(scores.getLast().bands()).containsExactly(
        new KindScore.Banded(0, 2, 2, 3, Optional.of(1.0)),
        new KindScore.Banded(4, Double.POSITIVE_INFINITY, 1, 1, Optional.of(0.3)));
  }

  /** A staircase goes on from round to round, and from a drill to the next. */
  @Test
  public void a_fault_is_as_large_as_the_answers_before_it_ask_for() {
    Hidden hidden = new Hidden(Kind.SHORT, "aileron-left");
    Drill drill = drill(Task.WATCH, Optional.of(hidden), Optional.of(hidden));
    double limit = TWIN.surfaces(Axis.ROLL).getFirst().toleranceDeg();
    Answer missed = answer(Optional.empty(), Optional.of(4.5), 1);
    Answer found = answer(Optional.of(5.0), Optional.of(4.5), 1);
    assertThat(drill.fault(TWIN, List.of()).orElseThrow().size()).isEqualTo(4 * limit);
    assertThat(drill.fault(TWIN, List.of(missed)).orElseThrow().size()).isEqualTo(5 * limit);
    assertThat(drill.fault(TWIN, List.of(found)).orElseThrow().size()).isEqualTo(4 * limit);
    assertThat(drill.staircase(TWIN, List.of(found, found)).limits()).isEqualTo(3.2);
    Drill next = new Drill(Task.WATCH, drill.staircase(TWIN, List.of(found, found)), drill.rounds());
    assertThat(next.fault(TWIN, List.of()).orElseThrow().size()).isEqualTo(3.2 * limit);
    // A fault never takes more than a share of the travel, or the drill would show another kind.
    assertThat(hidden.fault(TWIN, Staircase.MOST).size()).isEqualTo(Math.min(6 * limit, 0.6 * 15));
    Trial alarm = Trial.nothing(0, Outcome.FALSE_ALARM);
    assertThat(new Staircase(1, 1).after(List.of(Trial.shown(0, hidden, 1, 1, Optional.of(0.3)))).limits())
        .as("no smaller than what is allowed").isEqualTo(Staircase.LEAST);
    assertThat(new Staircase(6, 1).after(List.of(Trial.shown(0, hidden, 1, 6, Optional.empty()), alarm)))
        .isEqualTo(new Staircase(Staircase.MOST, 0));
    Hidden jammed = new Hidden(Kind.JAMMED, "rudder");
    assertThat(new Staircase(2, 1).after(List.of(Trial.shown(0, jammed, 1, 2, Optional.empty()))))
        .as("what has no size does not move it").isEqualTo(new Staircase(2, 1));
  }

  private static List<double[]> flown(ControlSpec spec, Fault fault) {
    MovingAircraft aircraft = new MovingAircraft(spec, Map.of(), List.of(fault), 1);
    List<double[]> at = new ArrayList<>();
    Hand hand = Hand.steady();
    for (int i = 0; i < hand.seconds() * MovingAircraft.STEPS_HZ; i++) {
      at.add(aircraft.step(hand.controls((double) i / MovingAircraft.STEPS_HZ)));
    }
    return at;
  }

  /** What stands beside the name of each kind holds of what moves. */
  @Test
  public void each_kind_does_what_it_is_called() {
    int rudder = TWIN.channels().indexOf("rudder");
    assertThat(column(flown(TWIN, new Fault(Kind.SHORT, "rudder", 6)), rudder).max().orElseThrow())
        .as("short of 25 by 6, one way").isBetween(18.9, 19.0);
    assertThat(column(flown(TWIN, new Fault(Kind.SHORT, "rudder", 6)), rudder).min().orElseThrow()).isLessThan(-24.9);
    assertThat(column(flown(TWIN, new Fault(Kind.JAMMED, "rudder", 1)), rudder)).containsOnly(0.0);
    double[] sound = column(flown(TWIN, new Fault(Kind.OFFSET, "rudder", 0)), rudder).toArray();
    double[] reversed = column(flown(TWIN, new Fault(Kind.REVERSED, "rudder", 1)), rudder).toArray();
    for (int i = 0; i < sound.length; i++) {
      assertThat(reversed[i]).isEqualTo(-sound[i]);
    }
    double[] jumps = column(flown(TWIN, new Fault(Kind.JUMPING, "rudder", 5)), rudder).toArray();
    for (int i = 1; i < jumps.length; i++) {
      double moved = Math.abs(jumps[i] - jumps[i - 1]);
      assertThat(moved == 0 || moved >= 5).as("%s at once", moved).isTrue();
    }
    assertThat(column(flown(TWIN, new Fault(Kind.STAYS, "rudder", 4)), rudder).toArray()[sound.length - 1])
        .as("stays out").isBetween(3.9, 4.1);
  }

  private static DoubleStream column(List<double[]> rows, int column) {
    return rows.stream().mapToDouble(r -> r[column]);
  }

  /** However it is built within what is allowed, nothing of a sound aircraft goes faster than its rate. */
  @Test
  public void nothing_moves_faster_than_what_moves_it() {
    SplittableRandom chance = new SplittableRandom(3);
    int rudder = TWIN.channels().indexOf("rudder");
    for (int n = 0; n < 40; n++) {
      double rate = chance.nextDouble(10, 60);
      Linkage slow = new Linkage(1, 0, 0, 0, 0, chance.nextDouble(0.03, 0.3), rate, 0);
      MovingAircraft aircraft = new MovingAircraft(TWIN, Map.of("rudder", slow), List.of(), 1);
      double before = 0;
      for (int i = 0; i < 2_000; i++) {
        double at = aircraft.step(new double[] {0, 0, chance.nextDouble(-100, 100)})[rudder];
        assertThat(Math.abs(at - before)).isLessThanOrEqualTo(rate / MovingAircraft.STEPS_HZ + 1e-12);
        before = at;
      }
    }
  }
}
