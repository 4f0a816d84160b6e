package neatlanyard.core.drill;

import java.util.Optional;

/**
 * One thing that was to be told from another: something wrong, or nothing.
 *
 * @param round from 0
 * @param hidden empty where nothing was wrong
 * @param size of what was wrong, in its own measure
 * @param limits the same as times what the type allows; 0 for what has no size
 * @param reactionS from when it showed until it was stopped, seconds; empty where it was not found
 */
public record Trial(
    int round, Optional<Hidden> hidden, double size, double limits, Outcome outcome, Optional<Double> reactionS) {
  /** What became of it. */
  public enum Outcome {
    /** Something was wrong, and it was stopped. */
    FOUND,
    /** Something was wrong, and it was let pass. */
    MISSED,
    /** Nothing was wrong, and it was stopped. */
    FALSE_ALARM,
    /** Nothing was wrong, and it was let pass. */
    LET_PASS
  }

  static Trial nothing(int round, Outcome outcome) {
    return new Trial(round, Optional.empty(), 0, 0, outcome, Optional.empty());
  }

  static Trial shown(int round, Hidden hidden, double size, double limits, Optional<Double> reactionS) {
    return new Trial(round, Optional.of(hidden), size, hidden.sized() ? limits : 0,
        reactionS.isPresent() ? Outcome.FOUND : Outcome.MISSED, reactionS);
  }
}
