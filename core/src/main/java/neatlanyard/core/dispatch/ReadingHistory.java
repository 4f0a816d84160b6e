package neatlanyard.core.dispatch;

import java.time.Instant;
import java.util.List;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.QuantityId;

/** Where readings of tails are kept over departures. */
public interface ReadingHistory {
  /**
   * One reading.
   *
   * @param landings of the tail since new, when it was read
   * @param hours flown by the tail since new
   */
  record Reading(TailId tail, QuantityId quantity, Instant at, double landings, double hours, double value) {}

  /** Readings of a tail, the oldest first, at most the last {@code most} of each quantity. */
  List<Reading> of(TailId tail, int most);

  /** Adds what a departure measured. */
  void add(List<Reading> readings);

  boolean none();
}
