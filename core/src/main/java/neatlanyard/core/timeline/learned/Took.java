package neatlanyard.core.timeline.learned;

import java.time.Duration;
import java.time.Instant;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.ProcedureId;

/**
 * What a crew took for steps of one procedure in one departure.
 *
 * @param dark whether it was dark
 * @param cold whether it was at or below freezing
 * @param estimated what was estimated for the same steps, more than nothing
 * @param took more than nothing
 */
public record Took(
    TypeId type, ProcedureId procedure, Instant at, boolean dark, boolean cold, Duration estimated, Duration took) {
  /** @throws IllegalArgumentException when it took no time, or none was estimated */
  public Took {
    if (!estimated.isPositive() || !took.isPositive()) {
      throw new IllegalArgumentException("%s took %s of %s".formatted(procedure, took, estimated));
    }
  }

  /** Logarithm of how many times the estimate it took. */
  double ratio() {
    return Math.log((double) took.toMillis() / estimated.toMillis());
  }
}
