package neatlanyard.core.gauge;

import java.util.OptionalDouble;

/**
 * The values of a reading that need no find, both ends included, as far as the rest is known now. It can be told
 * before anybody reads, so that a crew sees what is right today, and a device without a network knows what is not.
 *
 * @param least in the quantity's unit, or minus infinity
 * @param most in the quantity's unit, or infinity; under {@code least} where no value is right
 */
public record Allowed(double least, double most) {
  public static final Allowed ANY = new Allowed(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);

  public static final Allowed NONE = new Allowed(Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY);

  private static final double ROUNDING = 1e-9;

  public static Allowed atLeast(double least) {
    return new Allowed(least, Double.POSITIVE_INFINITY);
  }

  public static Allowed of(OptionalDouble least, OptionalDouble most) {
    return new Allowed(least.orElse(Double.NEGATIVE_INFINITY), most.orElse(Double.POSITIVE_INFINITY));
  }

  /** Within {@code apart} of another reading; of one that is not there, anything is. */
  static Allowed near(OptionalDouble other, double apart) {
    // 4.3 and 4.1 are 0.2 apart, whatever binary fractions make of it.
    double most = apart + ROUNDING;
    return other.isPresent() ? new Allowed(other.getAsDouble() - most, other.getAsDouble() + most) : ANY;
  }

  public Allowed and(Allowed other) {
    return new Allowed(Math.max(least, other.least), Math.min(most, other.most));
  }

  public boolean under(double value) {
    return value < least;
  }

  public boolean over(double value) {
    return value > most;
  }

  public boolean holds(double value) {
    return !under(value) && !over(value);
  }
}
