package neatlanyard.core.state;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Seat;

/**
 * Somebody was called away.
 *
 * @param to when they went on; empty while they have not
 * @param number number of the entry that began it
 */
public record Interruption(CrewId by, Optional<Seat> seat, Instant from, Optional<Instant> to, long number) {
  /** The same once they went on. */
  public Interruption until(Instant to) {
    return new Interruption(by, seat, from, Optional.of(to), number);
  }

  /** How long it lasted; empty while it lasts. */
  public Optional<Duration> length() {
    return to.map(t -> Duration.between(from, t));
  }
}
