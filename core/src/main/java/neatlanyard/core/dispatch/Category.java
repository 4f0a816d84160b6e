package neatlanyard.core.dispatch;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;

/**
 * How long something may wait for its repair.
 *
 * <p>Source: FAA MMEL Policy Letter 25, EASA CS-MMEL: B 3, C 10, D 120 calendar days, A as the entry states; the day
 * of discovery is not counted.
 */
public enum Category {
  A(0, false),
  B(3, true),
  C(10, true),
  D(120, false);

  private final int days;
  private final boolean extendable;

  Category(int days, boolean extendable) {
    this.days = days;
    this.extendable = extendable;
  }

  /** Calendar days; 0 where the entry states them. */
  public int days() {
    return days;
  }

  /**
   * Whether maintenance control may extend it once by as long again (value from memory: policy letter 25, B and C).
   */
  public boolean mayBeExtended() {
    return extendable;
  }

  /**
   * The last day on which it may still be so.
   *
   * @param stated days for category A
   * @param zone the operator's
   */
  public LocalDate lastDay(int stated, Instant discovered, ZoneId zone) {
    return LocalDate.ofInstant(discovered, zone).plusDays(this == A ? stated : days);
  }
}
