package neatlanyard.core.fleet;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/**
 * The other end of a flight, as operations plan it.
 *
 * @param flies from take-off to landing; more than nothing
 * @param wanted when it should have landed; empty where nothing waits for it there
 */
public record Arrival(Duration flies, Optional<Instant> wanted) {
  /** @throws IllegalArgumentException when it does not fly */
  public Arrival {
    if (!flies.isPositive()) {
      throw new IllegalArgumentException("A flight takes some time");
    }
  }
}
