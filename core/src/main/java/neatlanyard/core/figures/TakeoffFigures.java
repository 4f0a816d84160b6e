package neatlanyard.core.figures;

import java.util.List;

/**
 * What a take-off needs and how it is flown.
 *
 * @param v1 and the other speeds in whole knots
 * @param goM from the beginning to 35 ft with an engine out, in metres
 * @param stopM from the beginning to a stop from V1
 * @param allEnginesM to 35 ft on all engines, and 15 per cent
 * @param runM take-off run
 * @param stopMarginM of the accelerate-stop distance available that is left
 * @param goMarginM of the take-off distance available that is left
 * @param limits whether each of what must hold holds for this weight
 * @param weights the heaviest that each limit allows, the lowest first
 */
public record TakeoffFigures(
    TakeoffCase of, Worked v1, Worked vr, Worked v2, Worked flapRetract, Worked goM, Worked stopM, Worked allEnginesM,
    Worked runM, int stopMarginM, int goMarginM, List<Limit> limits, List<LimitingWeight> weights) {
  public TakeoffFigures {
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

  public boolean held() {
    return limits.stream().allMatch(Limit::held);
  }

  /** The heaviest of all, and what limits it. */
  public LimitingWeight limiting() {
    return weights.getFirst();
  }
}
