package neatlanyard.core.state;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Seat;

/**
 * What one person on one device says of one step. A later word from the same person and device replaces it; other
 * people's and devices' words stand beside it.
 *
 * @param words the reason or the note; empty for a step done
 */
public record Mark(
    Outcome outcome,
    CrewId by,
    Optional<Seat> seat,
    String device,
    Instant at,
    long number,
    String words,
    Optional<UUID> find) {
  /** In the order of how much it matters; the worst stands. */
  public enum Outcome {
    DONE,
    LATER,
    NOT_TODAY,
    FIND
  }

  /** Whether both are by the same person on the same device, so that the later replaces the earlier. */
  public boolean sameHand(Mark other) {
    return by.equals(other.by) && device.equals(other.device);
  }
}
