package neatlanyard.core.sop;

import java.time.Duration;

/** A time that must pass after a step. @param before what it is for, such as "before bleed air is taken" */
public record Wait(Duration time, String before) {
  /** Such as "2 min before bleed air is taken". */
  public String words() {
    long s = time.toSeconds();
    return "%s %s".formatted(s % 60 == 0 ? "%d min".formatted(s / 60) : "%d s".formatted(s), before);
  }
}
