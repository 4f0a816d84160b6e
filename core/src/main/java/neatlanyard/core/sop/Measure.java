package neatlanyard.core.sop;

import java.util.Optional;
import java.util.OptionalDouble;

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
