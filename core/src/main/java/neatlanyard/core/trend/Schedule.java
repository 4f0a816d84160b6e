package neatlanyard.core.trend;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * When a tail lands next, as far as it is planned, and how often it has landed.
 *
 * @param today the day from which to count, in the operator's time
 * @param planned the day of each landing that is planned, the next one first
 * @param perDay landings a day so far; 0 where nothing is known
 */
public record Schedule(LocalDate today, List<LocalDate> planned, double perDay) {
  public static final Schedule NONE = new Schedule(LocalDate.EPOCH, List.of(), 0);

  private static final int FARTHEST_DAYS = 3_650;

  public Schedule {
    planned = List.copyOf(planned);
  }

  /** The day of the n-th landing from now: by the plan, then by the rate so far. Empty when that says nothing. */
  public Optional<LocalDate> dayOf(int landing) {
    if (landing <= 0) {
      return this.equals(NONE) ? Optional.empty() : Optional.of(today);
    }
    if (landing <= planned.size()) {
      return Optional.of(planned.get(landing - 1));
    }
    if (!(perDay > 0)) {
      return Optional.empty();
    }
    LocalDate from = planned.isEmpty() ? today : planned.getLast();
    double days = (landing - planned.size()) / perDay;
    return days > FARTHEST_DAYS ? Optional.empty() : Optional.of(from.plusDays((long) Math.floor(days)));
  }
}
