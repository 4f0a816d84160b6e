package neatlanyard.core.sop;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import neatlanyard.core.gauge.Allowed;
import neatlanyard.core.gauge.Judged;
import neatlanyard.core.gauge.Readings;
import neatlanyard.core.units.Unit;

/**
 * What a step measures, and the limits within which it is as it should be.
 *
 * @param least in the quantity's unit; empty where there is no lower limit
 * @param most in the quantity's unit; empty where there is no upper limit
 */
public record Measure(Quantity quantity, OptionalDouble least, OptionalDouble most) {
  private static final double ROUNDING = 1e-6;

  /** Why a value is not within the limits, in words; empty when it is. */
  public Optional<String> against(double value) {
    if (limits().under(value)) {
      return Optional.of(
          "%s is under the least, %s".formatted(quantity.unit().words(value), quantity.unit()
          .words(least.orElseThrow())));
    }
    if (limits().over(value)) {
      return Optional.of(
          "%s is over the most, %s".formatted(quantity.unit().words(value), quantity.unit()
          .words(most.orElseThrow())));
    }
    return Optional.empty();
  }

  private Allowed limits() {
    return Allowed.of(least, most);
  }

  /**
   * The values that need no find, as far as the rest is known: within these limits, and by its quantity's own rule.
   */
  public Allowed allowed(Readings around) {
    return quantity.gauge().map(g -> g.allowed(around)).orElse(Allowed.ANY).and(limits());
  }

  /** What a value means: against these limits, and as its quantity is judged. */
  public Judged judge(double value, Readings around) {
    String unit = quantity.unit().symbol();
    Optional<Judged> gauged = quantity.gauge().map(g -> g.judge(value, unit, around));
    Optional<String> outside = against(value);
    if (outside.isPresent() && gauged.filter(g -> g.level() == Judged.Level.OUT).isEmpty()) {
      return new Judged(Judged.Level.OUT, outside.get() + ".", gauged.map(Judged::arithmetic).orElse(List.of()),
          "Limits of the type's pack");
    }
    return gauged.orElseGet(() -> new Judged(
        Judged.Level.AS_IT_SHOULD_BE, "%s is within limits.".formatted(quantity.unit().words(value)), List.of(),
        "Limits of the type's pack"));
  }

  /** The limits in words, such as "1 000 psi or more". */
  public String words() {
    return words(limits());
  }

  /**
   * Values that are allowed, in words; ends that are not the pack's own are rounded to what still is. Empty where
   * every value is.
   */
  public String words(Allowed allowed) {
    boolean from = !Double.isInfinite(allowed.least());
    boolean to = !Double.isInfinite(allowed.most());
    if (allowed.least() > allowed.most()) {
      return "no value";
    }
    if (allowed.most() == 0 && allowed.least() <= 0) {
      return "none";
    }
    if (from && to) {
      return "%s to %s".formatted(least(allowed), most(allowed));
    }
    if (from) {
      return least(allowed) + (open(allowed) ? "" : " or more");
    }
    return to ? most(allowed) + " or less" : "";
  }

  /** Whether the lower end is not allowed itself, such as a wear pin's limit. */
  private static boolean open(Allowed allowed) {
    double end = Math.nextDown(allowed.least());
    return end * 10 == Math.rint(end * 10);
  }

  private String least(Allowed allowed) {
    if (open(allowed)) {
      return "over " + quantity.unit().words(Math.nextDown(allowed.least()));
    }
    double steps = steps(allowed.least());
    boolean own = least.isPresent() && least.getAsDouble() == allowed.least();
    return quantity.unit().words(own ? allowed.least() : Math.ceil(allowed.least() * steps - ROUNDING) / steps);
  }

  private String most(Allowed allowed) {
    double steps = steps(allowed.most());
    boolean own = most.isPresent() && most.getAsDouble() == allowed.most();
    return quantity.unit().words(own ? allowed.most() : Math.floor(allowed.most() * steps + ROUNDING) / steps);
  }

  /** A density is read to a thousandth, all else to a tenth. */
  private static double steps(double value) {
    return Math.abs(value) < 1 ? 1_000 : 10;
  }
}
