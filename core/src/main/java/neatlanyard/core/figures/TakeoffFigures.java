package neatlanyard.core.figures;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a take-off needs and how it is flown.
 *
 * @param v1 and the other speeds in whole knots; no V1 with one engine
 * @param screenM metres from the beginning to the screen on all engines, not factored
 * @param distances that must fit
 * @param limits whether each of what must hold holds for this weight
 * @param weights the heaviest that each limit allows, the lowest first
 */
public record TakeoffFigures(
    TakeoffCase of, Optional<Worked> v1, Worked vr, Worked v2, Worked flapRetract, double screenM,
    List<Distance> distances, List<Limit> limits, List<LimitingWeight> weights) {
  public TakeoffFigures {
    distances = List.copyOf(distances);
    limits = List.copyOf(limits);
    weights = List.copyOf(weights);
  }

  /** @param kg rounded down; where {@code bound} is false the tables end there before the limit is met */
  public record LimitingWeight(LimitedBy by, int kg, boolean bound) {}

  /** What stands against more weight. */
  public enum LimitedBy {
    GO_DISTANCE("take-off distance, engine out"),
    STOP_DISTANCE("accelerate-stop distance"),
    ALL_ENGINES_DISTANCE("take-off distance, all engines"),
    TAKEOFF_RUN("take-off run"),
    TAKEOFF_DISTANCE("take-off distance"),
    CLIMB("climb with an engine out"),
    OBSTACLE("obstacle"),
    BRAKE_ENERGY("brake energy"),
    TYRE("tyre speed"),
    STRUCTURE("structure");

    private final String words;

    LimitedBy(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * One that must fit.
   *
   * @param what such as "stop from V1"
   * @param needed metres from where the take-off begins
   * @param availableM of it, and {@code which} of the declared distances that is
   */
  public record Distance(LimitedBy by, String what, Worked needed, int availableM, String which) {
    public int leftM() {
      return availableM - needed.whole();
    }
  }

  /** The distance with the least to spare. */
  public Distance tightest() {
    return distances.stream().min(Comparator.comparingInt(Distance::leftM)).orElseThrow();
  }

  /** Empty where nothing of the kind must fit. */
  public Optional<Distance> distance(LimitedBy by) {
    return distances.stream().filter(d -> d.by == by).findFirst();
  }

  /**
   * About where a speed comes, in metres from where the take-off begins: with constant acceleration the way grows with
   * the square of the speed over the ground (kinematics), and on all engines V2 is there by the screen.
   */
  public int placeM(Worked speed) {
    double share = (speed.value() - of.headKt()) / (v2.value() - of.headKt());
    return (int) Math.round(screenM * share * share);
  }

  public boolean held() {
    return limits.stream().allMatch(Limit::held);
  }

  /** The heaviest of all, and what limits it. */
  public LimitingWeight limiting() {
    return weights.getFirst();
  }
}
