package neatlanyard.core.timeline;

import java.time.Duration;

/**
 * How long something takes: log-normal, so that it is never negative and sometimes much longer.
 *
 * @param median half of the times it takes longer; this is what is planned with
 * @param spread standard deviation of its logarithm; 0 where it always takes the same
 */
public record Length(Duration median, double spread) {
  private static final double MILLIS = 1_000;

  /** @throws IllegalArgumentException when it is negative or no number */
  public Length {
    if (median.isNegative() || !(spread >= 0) || spread > 3) {
      throw new IllegalArgumentException("%s with a spread of %s is no length".formatted(median, spread));
    }
  }

  public static Length always(Duration same) {
    return new Length(same, 0);
  }

  /**
   * From three estimates: mean (a + 4 m + b) / 6 and standard deviation (b − a) / 6 (PERT, Malcolm et al. 1959), and
   * the log-normal that has the same.
   *
   * @throws IllegalArgumentException when they do not rise, or the least is not positive
   */
  public static Length estimated(Duration least, Duration likely, Duration most) {
    double a = least.toMillis();
    double m = likely.toMillis();
    double b = most.toMillis();
    if (!(a > 0 && a <= m && m <= b)) {
      throw new IllegalArgumentException(
          "%s, %s and %s do not rise from above nothing".formatted(least, likely, most));
    }
    double mean = (a + 4 * m + b) / 6;
    double deviation = (b - a) / 6;
    double spread = Math.sqrt(Math.log1p(deviation * deviation / (mean * mean)));
    return new Length(Duration.ofMillis(Math.round(mean / Math.exp(spread * spread / 2))), spread);
  }

  public double meanSeconds() {
    return medianSeconds() * Math.exp(spread * spread / 2);
  }

  double medianSeconds() {
    return median.toMillis() / MILLIS;
  }

  /** Whole seconds, rounded up: what is planned with. */
  public int plannedSeconds() {
    return (int) Math.ceil(medianSeconds());
  }
}
