package neatlanyard.core.drill;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Practice;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Linkage;
import neatlanyard.core.drill.Trial.Outcome;

/**
 * A drill as it was drawn: what is hidden and where is settled, how much of it follows from the answers.
 *
 * @param start where the staircase stands at its beginning
 */
public record Drill(Task task, Staircase start, List<Round> rounds) {
  /** Nobody keeps watching for longer. */
  public static final int MOST_ROUNDS = 24;

  public Drill {
    rounds = List.copyOf(rounds);
    if (rounds.isEmpty() || rounds.size() > MOST_ROUNDS) {
      throw new IllegalArgumentException("A drill has 1 to " + MOST_ROUNDS + " rounds.");
    }
  }

  /**
   * Draws one: in half of the rounds, by chance, something is wrong.
   *
   * @param order in which the fleet moves the axes; empty where that is free
   * @param chance the same makes the same drill again
   */
  public static Drill drawn(
      ControlSpec spec, List<Axis> order, Task task, Staircase start, int rounds, RandomGenerator chance) {
    List<Hidden> places = Hidden.of(spec);
    List<Round> drawn = new ArrayList<>();
    for (int i = 0; i < rounds; i++) {
      boolean wrong = task.hides() && !places.isEmpty() && chance.nextBoolean();
      drawn.add(new Round(hand(order, chance), built(spec, chance),
          wrong ? Optional.of(places.get(chance.nextInt(places.size()))) : Optional.empty()));
    }
    return new Drill(task, start, drawn);
  }

  /** A drill is of one stick, standing, and asks for no calls. */
  public static Practice practice(List<Axis> order) {
    return new Practice(order, false, false, false, false);
  }

  /** Somebody who moves each axis across, from stop to stop, in their own time. */
  private static Hand hand(List<Axis> order, RandomGenerator chance) {
    return new Hand(order.isEmpty() ? Hand.anyOrder(chance) : order, 1, hundredth(chance.nextDouble(1.2, 2.2)),
        hundredth(chance.nextDouble(0.7, 1.2)), hundredth(chance.nextDouble(0.8, 1.3)),
        hundredth(chance.nextDouble(1.4, 2.2)), true, Map.of(), hundredth(chance.nextDouble(0, 3)), false);
  }

  private static Map<String, Linkage> built(ControlSpec spec, RandomGenerator chance) {
    Map<String, Linkage> built = new TreeMap<>();
    for (Surface s : spec.surfaces()) {
      Linkage l = Linkage.sound(Linkage.Allowed.of(spec, s), chance);
      // Nobody sees the jumps, the play and the dead band of a sound one.
      built.put(s.id(), new Linkage(hundredth(l.gain()), hundredth(l.offsetDeg()), 0, 0, 0, hundredth(l.lagS()),
          Math.rint(l.rateDegS()), hundredth(l.crossedDeg())));
    }
    return built;
  }

  private static double hundredth(double v) {
    return Math.rint(v * 100) / 100;
  }

  /** What is wrong in a round, with as much of it as the answers so far ask for. */
  public Optional<Fault> fault(ControlSpec spec, List<Answer> answers) {
    return rounds.get(answers.size()).hidden().map(h -> h.fault(spec, staircase(spec, answers).limits()));
  }

  /** Where the staircase stands after these answers. */
  public Staircase staircase(ControlSpec spec, List<Answer> answers) {
    return start.after(trials(spec, answers));
  }

  /**
   * What the answers were to: each axis that was over with nothing wrong is a trial of its own, and so is what showed.
   *
   * @param answers to the first rounds, in order
   * @throws IllegalArgumentException where there are more of them than rounds
   */
  public List<Trial> trials(ControlSpec spec, List<Answer> answers) {
    if (answers.size() > rounds.size()) {
      throw new IllegalArgumentException("There are more answers than rounds.");
    }
    List<Trial> trials = new ArrayList<>();
    Staircase now = start;
    for (int i = 0; i < answers.size(); i++) {
      List<Trial> of = task.hides() ? trials(spec, i, answers.get(i), now.limits()) : List.of();
      now = now.after(of);
      trials.addAll(of);
    }
    return trials;
  }

  private List<Trial> trials(ControlSpec spec, int round, Answer answer, double limits) {
    List<Trial> trials = new ArrayList<>(Stream.generate(() -> Trial.nothing(round, Outcome.LET_PASS))
        .limit(answer.passed()).toList());
    Optional<Hidden> hidden = rounds.get(round).hidden();
    Optional<Double> shown = hidden.isPresent() ? answer.shownS() : Optional.empty();
    if (shown.isPresent() && answer.stoppedS().filter(s -> s < shown.get()).isEmpty()) {
      trials.add(Trial.shown(round, hidden.orElseThrow(), hidden.orElseThrow().fault(spec, limits).size(), limits,
          answer.stoppedS().map(s -> s - shown.get())));
    } else if (answer.stoppedS().isPresent()) {
      trials.add(Trial.nothing(round, Outcome.FALSE_ALARM));
    }
    return trials;
  }
}
