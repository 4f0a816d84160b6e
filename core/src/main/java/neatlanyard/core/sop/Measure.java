package neatlanyard.core.sop;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import neatlanyard.core.gauge.Judged;
import neatlanyard.core.gauge.Readings;

/**
 * What a step measures, and the limits within which it is as it should be.
 *
 * @param least in the quantity's unit; empty where there is no lower limit
 * @param most in the quantity's unit; empty where there is no upper limit
 */
public record Measure(Quantity quantity, OptionalDouble least, OptionalDouble most) {
  /** Why a value is not within the limits, in words; empty when it is. */
  public Optional<String> against(double value) {
    if (least.isPresent() && value < least.getAsDouble()) {
      return Optional.of("%s is under the least, %s".formatted(quantity.unit().words(value), quantity.unit().words(least.getAsDouble())));
    }
    if (most.isPresent() && value > most.getAsDouble()) {
      return Optional.of("%s is over the most, %s".formatted(quantity.unit().words(value), quantity.unit().words(most.getAsDouble())));
    }
    return Optional.empty();
  }

  /** What a value means: against these limits, and as its quantity is judged. */
  public Judged judge(double value, Readings around) {
    String unit = quantity.unit().symbol();
    Optional<Judged> gauged = quantity.gauge().map(g -> g.judge(value, unit, around));
    Optional<String> outside = against(value);
    if (outside.isPresent() && gauged.filter(g -> g.level() == Judged.Level.OUT).isEmpty()) {
      return new Judged(Judged.Level.OUT, outside.get() + ".", gauged.map(Judged::arithmetic).orElse(List.of()), "Limits of the type's pack");
    }
    return gauged.orElseGet(() -> new Judged(
        Judged.Level.AS_IT_SHOULD_BE, "%s is within limits.".formatted(quantity.unit().words(value)), List.of(), "Limits of the type's pack"));
  }

  /** The limits in words, such as "1 000 psi or more". */
  public String words() {
    if (least.isPresent() && most.isPresent()) {
      return "%s to %s".formatted(quantity.unit().words(least.getAsDouble()), quantity.unit().words(most.getAsDouble()));
    }
    if (least.isPresent()) {
      return "%s or more".formatted(quantity.unit().words(least.getAsDouble()));
    }
    return most.isPresent() ? "%s or less".formatted(quantity.unit().words(most.getAsDouble())) : "";
  }
}
