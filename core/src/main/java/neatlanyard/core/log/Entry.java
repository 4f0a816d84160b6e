package neatlanyard.core.log;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Seat;

/**
 * One line of the log.
 *
 * @param number from 1, without gaps, given by the server
 * @param id named by the device (UUID version 7), so that sending it twice counts once
 * @param at the server's time
 * @param deviceAt the device's own time, which may be wrong
 * @param by who did it
 * @param seat the seat they held; empty before one is taken
 */
public record Entry(
    long number, UUID id, Instant at, Instant deviceAt, CrewId by, Optional<Seat> seat, String device, Event event) {
  /** Longest time for which a device may have been without a network before its own time is taken for wrong. */
  private static final Duration LONGEST_AWAY = Duration.ofHours(4);

  /**
   * When it happened: by the device where its time can be, since it may have been without a network; else by the
   * server.
   */
  public Instant happened() {
    return happened(deviceAt, at);
  }

  /** The same for an event that is not in the log yet. */
  public static Instant happened(Instant deviceAt, Instant at) {
    boolean possible = !deviceAt.isAfter(at) && deviceAt.isAfter(at.minus(LONGEST_AWAY));
    return possible ? deviceAt : at;
  }
}
