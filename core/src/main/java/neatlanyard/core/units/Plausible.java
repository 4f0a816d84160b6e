package neatlanyard.core.units;

import java.time.Instant;
import java.time.LocalDate;
import java.time.Period;
import java.time.ZoneOffset;

/** Ranges outside which a time is a slip of the finger, whatever it is of. Common practice, no source. */
public final class Plausible {
  private static final Period PAST = Period.ofYears(60);
  private static final Period AHEAD = Period.ofYears(10);

  private Plausible() {}

  /** Whether a day is one that a log can speak of: an aircraft's life back, ten years ahead. */
  public static boolean day(LocalDate day, Instant now) {
    LocalDate today = LocalDate.ofInstant(now, ZoneOffset.UTC);
    return !day.isBefore(today.minus(PAST)) && !day.isAfter(today.plus(AHEAD));
  }

  public static boolean time(Instant at, Instant now) {
    // Compared first: a time further off than dates go has no day.
    boolean dated = at.isAfter(Instant.EPOCH.minusSeconds(Integer.MAX_VALUE * 2L))
        && at.isBefore(Instant.EPOCH.plusSeconds(Integer.MAX_VALUE * 4L));
    return dated && day(LocalDate.ofInstant(at, ZoneOffset.UTC), now);
  }

  /** The same time. @throws IllegalArgumentException saying what would be plausible */
  public static Instant checked(Instant at, Instant now) {
    if (!time(at, now)) {
      throw new IllegalArgumentException("%s is not from %s to %s".formatted(at, first(now), last(now)));
    }
    return at;
  }

  /** The same day. @throws IllegalArgumentException saying what would be plausible */
  public static LocalDate checked(LocalDate day, Instant now) {
    if (!day(day, now)) {
      throw new IllegalArgumentException("%s is not from %s to %s".formatted(day, first(now), last(now)));
    }
    return day;
  }

  private static LocalDate first(Instant now) {
    return LocalDate.ofInstant(now, ZoneOffset.UTC).minus(PAST);
  }

  private static LocalDate last(Instant now) {
    return LocalDate.ofInstant(now, ZoneOffset.UTC).plus(AHEAD);
  }
}
