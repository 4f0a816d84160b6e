package neatlanyard.core.timeline.learned;

import java.time.Instant;
import java.util.Optional;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TypeId;

/**
 * What was said of a departure some time before it, and what became of it.
 *
 * @param at when it was said
 * @param wanted when all of it should be over
 * @param likely how likely that was by its plan, 0 to 1
 * @param byClock whether the plain clock said so: no stage was behind
 * @param over when it was; empty as long as it is not
 */
public record Foretold(
    FlightId flight, TypeId type, Instant at, Instant wanted, double likely, boolean byClock, Optional<Instant> over) {
  /** @throws IllegalArgumentException when that is no likelihood */
  public Foretold {
    if (!(likely >= 0 && likely <= 1)) {
      throw new IllegalArgumentException("A likelihood is from 0 to 1");
    }
  }

  /** Whether it came true that it would be on time. */
  public boolean came() {
    return over.filter(o -> !o.isAfter(wanted)).isPresent();
  }
}
