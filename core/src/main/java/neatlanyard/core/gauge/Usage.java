package neatlanyard.core.gauge;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.gauge.Readings.EarlierReading;

/** How much a tail has been flown since new. */
public record Usage(double landings, double hours) {
  /**
   * How much now: what the last reading says, and what was flown since at the tail's own hours a landing.
   *
   * @param past readings of the tail, of any quantity, the oldest first
   * @param flightsSince flights that left after the last of them
   */
  public static Optional<Usage> of(List<EarlierReading> past, int flightsSince) {
    if (past.isEmpty()) {
      return Optional.empty();
    }
    EarlierReading first = past.getFirst();
    EarlierReading last = past.getLast();
    double landings = last.landings() - first.landings();
    double hoursEach = landings > 0 ? (last.hours() - first.hours()) / landings : 0;
    return Optional.of(new Usage(last.landings() + flightsSince, last.hours() + flightsSince * hoursEach));
  }

  /** Landings a day between two readings; 0 where they are less than a day apart. */
  public static double perDay(EarlierReading first, Instant firstAt, EarlierReading last, Instant lastAt) {
    double days = Duration.between(firstAt, lastAt).toHours() / 24.0;
    return days < 1 ? 0 : (last.landings() - first.landings()) / days;
  }
}
