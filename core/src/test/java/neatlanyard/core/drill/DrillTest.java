package neatlanyard.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.Predicate;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlSpecs;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.drill.Trial.Outcome;
import org.testng.annotations.Test;

/** Drills: what is hidden shows, what is not does not, and the scores are those of the books. */
public class DrillTest {
  private static final double[] NOBODY_MOVES = new double[3];
  private static final double FRAME_S = 1 / 60.0;

  private static Drill drawn(Task task, int rounds, long seed) {
    return Drill.drawn(ControlSpecs.TWIN, List.of(), task, Staircase.FRESH, rounds, new SplittableRandom(seed));
  }

  /** Flies a round to its end, or until it is stopped. */
  private static Answer watched(Round round, Optional<Fault> fault, Predicate<Flight> stops) {
    Flight flight = new Flight(ControlSpecs.TWIN, List.of(), Task.WATCH, round, fault);
    for (double t = 0; !flight.over(); t += FRAME_S) {
      flight.on(t, NOBODY_MOVES);
      if (stops.test(flight)) {
        return flight.answer(true);
      }
    }
    return flight.answer(false);
  }

  private static List<Answer> answers(Drill drill, Predicate<Flight> stops) {
    List<Answer> answers = new ArrayList<>();
    for (Round round : drill.rounds()) {
      answers.add(watched(round, drill.fault(ControlSpecs.TWIN, answers), stops));
    }
    return answers;
  }

  @Test
  public void the_same_seed_makes_the_same_drill_and_no_other_does() {
    assertThat(drawn(Task.WATCH, 12, 7)).isEqualTo(drawn(Task.WATCH, 12, 7));
    List<Drill> many = new SplittableRandom(1).longs(200).mapToObj(s -> drawn(Task.WATCH, 6, s)).toList();
    assertThat(many).doesNotHaveDuplicates();
    assertThat(many.stream().flatMap(d -> d.rounds().stream()).flatMap(r -> r.hidden().stream()).map(Hidden::kind))
        .as("every kind comes").containsAll(Hidden.kinds());
    assertThat(drawn(Task.MOVE, 24, 7).rounds()).as("who only moves is not tricked")
        .allMatch(r -> r.hidden().isEmpty());
  }

  @Test
  public void whatever_is_hidden_shows_however_small_and_a_sound_one_shows_nothing() {
    Round sound = drawn(Task.WATCH, 1, 3).rounds().getFirst();
    Answer passed = watched(sound, Optional.empty(), f -> false);
    assertThat(passed.shownS()).isEmpty();
    assertThat(passed.passed()).isEqualTo(3);
    assertThat(passed.complete()).isTrue();
    for (Hidden hidden : Hidden.of(ControlSpecs.TWIN)) {
      for (double limits : new double[] {Staircase.LEAST, Staircase.MOST}) {
        Round round = new Round(sound.hand(), sound.built(), Optional.of(hidden));
        Answer a = watched(round, Optional.of(hidden.fault(ControlSpecs.TWIN, limits)), f -> false);
        assertThat(a.shownS()).as("%s at %s limits", hidden, limits).isPresent();
      }
    }
  }

  @Test
  public void who_stops_once_it_shows_finds_all_and_who_stops_at_once_finds_nothing() {
    Drill drill = drawn(Task.WATCH, 24, 11);
    long wrong = drill.rounds().stream().filter(r -> r.hidden().isPresent()).count();
    List<Trial> seen = drill.trials(ControlSpecs.TWIN, answers(drill, f -> f.shownS().isPresent()));
    Detection all = Detection.of(seen);
    assertThat(all.found()).isEqualTo((int) wrong).isBetween(6, 18);
    assertThat(all.missed() + all.falseAlarms()).isZero();
    assertThat(seen.stream().flatMap(t -> t.reactionS().stream())).allMatch(s -> s >= 0 && s < 2 * FRAME_S);
    assertThat(drill.staircase(ControlSpecs.TWIN, answers(drill, f -> f.shownS().isPresent())).limits())
        .as("it has become harder").isLessThan(Staircase.FRESH.limits());

    Detection blind = Detection.of(drill.trials(ControlSpecs.TWIN, answers(drill, f -> f.seconds() > 0.5)));
    assertThat(blind.found()).as("what rests beside neutral shows from the first").isLessThan(4);
    assertThat(blind.falseAlarms()).isGreaterThan(19);
    assertThat(Detection.of(drill.trials(ControlSpecs.TWIN, answers(drill, f -> false))).missed())
        .isEqualTo((int) wrong);
  }

  /** A call counts as right once the surfaces are there, as the judge has it. */
  @Test
  public void a_call_of_what_is_not_there_yet_is_a_wrong_one() {
    Hand hand = Hand.steady();
    Round round = new Round(hand, java.util.Map.of(), Optional.empty());
    Flight flight = new Flight(ControlSpecs.TWIN, List.of(), Task.WATCH, round, Optional.empty());
    flight.on(2.3, NOBODY_MOVES);
    flight.call(Axis.PITCH, 1);
    flight.on(3.6, NOBODY_MOVES);
    flight.call(Axis.PITCH, 1);
    flight.on(hand.seconds(), NOBODY_MOVES);
    assertThat(flight.answer(false)).extracting(Answer::callsRight, Answer::callsWrong).containsExactly(1, 1);
  }

  /** Whoever moves it: half a stick is no check, and a whole one is. */
  @Test
  public void what_one_moves_oneself_is_judged_as_any_check() {
    for (double stop : new double[] {60, 100}) {
      Hand hand = Hand.steady();
      Flight flight = new Flight(ControlSpecs.TWIN, List.of(), Task.MOVE, new Round(hand, java.util.Map.of(),
          Optional.empty()), Optional.empty());
      for (double t = 0; t < hand.seconds(); t += FRAME_S) {
        double[] moved = hand.controls(t);
        flight.on(t, java.util.stream.DoubleStream.of(moved).map(v -> v * stop / 100).toArray());
      }
      assertThat(flight.over()).isFalse();
      assertThat(flight.answer(false).complete()).isEqualTo(stop == 100);
    }
  }

  /** Standard normal deviates of 0.9 and 0.1 are 1.2816 and -1.2816 (tables, such as NIST's e-Handbook 1.3.6.7.1). */
  @Test
  public void d_prime_is_that_of_the_tables_and_its_error_that_of_many_who_watch() {
    Detection four = new Detection(4, 0, 0, 4);
    assertThat(four.measured().orElseThrow().dPrime()).isCloseTo(2.5631, within(1e-4));
    assertThat(four.measured().orElseThrow().criterion()).isZero();
    assertThat(new Detection(9, 0, 4, 5).measured().orElseThrow().criterion()).as("stops at much").isNegative();
    assertThat(new Detection(3, 0, 0, 0).measured()).isEmpty();
    SplittableRandom chance = new SplittableRandom(5);
    double[] found = new double[4_000];
    for (int i = 0; i < found.length; i++) {
      int hits = (int) chance.doubles(60).filter(u -> u < 0.8).count();
      int alarms = (int) chance.doubles(60).filter(u -> u < 0.25).count();
      found[i] = new Detection(hits, 60 - hits, alarms, 60 - alarms).measured().orElseThrow().dPrime();
    }
    double spread = new org.hipparchus.stat.descriptive.moment.StandardDeviation().evaluate(found);
    assertThat(new Detection(48, 12, 15, 45).measured().orElseThrow().error()).isCloseTo(spread, within(0.02));
  }

  /** Levitt 1971, table I: two down, one up settles where 70.7 per cent are found. */
  @Test
  public void the_staircase_settles_where_it_is_said_to() {
    SplittableRandom chance = new SplittableRandom(8);
    Hidden hidden = new Hidden(Fault.Kind.SHORT, "rudder");
    Staircase now = Staircase.FRESH;
    double sum = 0;
    int rounds = 40_000;
    for (int i = 0; i < rounds; i++) {
      double chanceToFind = 1 / (1 + Math.exp(-2.5 * (now.limits() - 2)));
      sum += chanceToFind;
      boolean found = chance.nextDouble() < chanceToFind;
      now = now.after(List.of(Trial.shown(0, hidden, 1, now.limits(),
          found ? Optional.of(0.4) : Optional.empty())));
    }
    assertThat(sum / rounds).isCloseTo(0.707, within(0.03));
    assertThat(new Staircase(2, 1).after(List.of(Trial.nothing(0, Outcome.FALSE_ALARM)))).as("a false alarm")
        .isEqualTo(new Staircase(2, 0));
  }
}
