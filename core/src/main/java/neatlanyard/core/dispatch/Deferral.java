package neatlanyard.core.dispatch;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import neatlanyard.core.dispatch.DispatchList.Extra;
import neatlanyard.core.sop.PlaceId;

/**
 * A defect that is open under an entry of the list.
 *
 * @param defect its key in the technical log
 * @param count how many of the entry's items are out
 * @param lastDay the last day on which it may be so
 * @param zone the operator's time zone
 * @param bars why a departure may not be made with it today, in words; empty when it may
 */
public record Deferral(
    UUID defect, EntryId entry, String title, String note, Optional<PlaceId> place, int count, LocalDate lastDay,
    ZoneId zone,
    String operating, String placard, OptionalInt belowFt, List<Extra> adds, String bars) {
  public Deferral {
    adds = List.copyOf(adds);
  }

  public boolean runOut(Instant at) {
    return LocalDate.ofInstant(at, zone).isAfter(lastDay);
  }

  /** Whole days left on that day; negative once it has run out. */
  public long daysLeft(Instant at) {
    return java.time.temporal.ChronoUnit.DAYS.between(LocalDate.ofInstant(at, zone), lastDay);
  }

  /** Days that are left, in words. */
  public static String left(long days) {
    return days < 0 ? "run out" : days == 0 ? "last day" : days == 1 ? "1 day left" : "%d days left".formatted(days);
  }

  public String words() {
    return "%s %s".formatted(entry, title);
  }

  /** The same, with what bars it. */
  public Deferral barred(String why) {
    return new Deferral(defect, entry, title, note, place, count, lastDay, zone, operating, placard, belowFt, adds,
        why);
  }
}
