package neatlanyard.core.drill;

import java.util.List;
import neatlanyard.core.drill.Trial.Outcome;
import neatlanyard.core.units.Numbers;

/**
 * How much of a fault is hidden: two found one after the other make the next smaller, one missed makes it larger.
 *
 * <p>So it settles where 70.7 per cent are found (H. Levitt, "Transformed up-down methods in psychoacoustics",
 * Journal of the Acoustical Society of America 49, 1971, table I). A false alarm takes back what was found since the
 * last step: stopping at everything makes nothing smaller. What has no size, such as a reversed surface, does not
 * move it.
 *
 * @param limits how many times what the type allows, {@value #LEAST} to {@value #MOST}
 * @param found how many were found since the last step
 */
public record Staircase(double limits, int found) {
  public static final double LEAST = 1;
  public static final double MOST = 6;

  /** Two found make it so much of what it was; one missed makes it as much larger. */
  private static final double STEP = 0.8;

  private static final int FOUND_IN_A_ROW = 2;

  /** Where somebody begins who has not drilled yet. */
  public static final Staircase FRESH = new Staircase(4, 0);

  public Staircase {
    if (!(limits >= LEAST && limits <= MOST)) {
      throw new IllegalArgumentException("A staircase stands at " + LEAST + " to " + MOST + " limits.");
    }
  }

  /** The rule, as it is told. */
  public static String words() {
    return "It begins at " + Numbers.plain(FRESH.limits, 0) + " times what the type allows. " + FOUND_IN_A_ROW
        + " found one after the other make the next " + Numbers.plain((1 - STEP) * 100, 0)
        + " % smaller; one missed makes it larger again. So it settles where you find about seven of ten. A false"
        + " alarm costs what you had found since the last step.";
  }

  public Staircase after(List<Trial> trials) {
    Staircase now = this;
    for (Trial t : trials) {
      now = now.after(t);
    }
    return now;
  }

  private Staircase after(Trial trial) {
    if (trial.outcome() == Outcome.FALSE_ALARM) {
      return new Staircase(limits, 0);
    }
    if (trial.hidden().filter(Hidden::sized).isEmpty()) {
      return this;
    }
    if (trial.outcome() == Outcome.MISSED) {
      return new Staircase(Math.min(MOST, limits / STEP), 0);
    }
    return found + 1 < FOUND_IN_A_ROW ? new Staircase(limits, found + 1)
        : new Staircase(Math.max(LEAST, limits * STEP), 0);
  }
}
