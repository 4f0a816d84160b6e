package neatlanyard.core.gauge;

import java.util.List;
import neatlanyard.core.gauge.Judged.Level;

/**
 * How many of a kind are missing or out: static wicks, bulbs.
 *
 * @param allowed how many may be, with an entry
 */
public record Missing(int allowed) implements Gauge {
  private static final String SOURCE = "Allowance of the type's pack";

  @Override
  public Judged judge(double value, String unit, Readings around) {
    if (allowed(around).holds(value)) {
      return new Judged(Level.AS_IT_SHOULD_BE, "None missing.", List.of(), SOURCE);
    }
    return value <= allowed
        ? new Judged(Level.ENTRY, "%s missing; up to %d may be, with an entry.".formatted(Gauge.words(value, unit),
        allowed), List.of(), SOURCE)
        : new Judged(Level.OUT, "%s missing; %d is the most.".formatted(Gauge.words(value, unit), allowed), List.of(),
        SOURCE);
  }

  @Override
  public Allowed allowed(Readings around) {
    return new Allowed(Double.NEGATIVE_INFINITY, 0);
  }
}
