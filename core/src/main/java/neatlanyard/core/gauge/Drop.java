package neatlanyard.core.gauge;

import java.util.List;
import java.util.OptionalDouble;
import neatlanyard.core.gauge.Judged.Level;

/**
 * What falls when one of two is taken away: revolutions on one magneto, against both. None at all is as wrong as too
 * much: what was switched off still works.
 *
 * @param before the quantity with both
 * @param least the least it must fall @param most the most it may
 */
public record Drop(String before, double least, double most) implements Gauge {
  private static final String SOURCE =
      "Limits of the type's pack; that a drop of nothing means one that is not switched off is common practice";

  @Override
  public Judged judge(double value, String unit, Readings around) {
    OptionalDouble both = around.other(before);
    if (both.isEmpty()) {
      return new Judged(Level.SOON, "What it fell from was not read, so the drop is not known.", List.of(), SOURCE);
    }
    double drop = both.getAsDouble() - value;
    List<String> sum = List.of("%s − %s = %s; %s to %s is right".formatted(
        Gauge.words(both.getAsDouble(), unit), Gauge.words(value, unit), Gauge.words(drop, unit),
        Gauge.words(least, unit), Gauge.words(most, unit)));
    Allowed allowed = allowed(around);
    if (allowed.over(value)) {
      return new Judged(Level.OUT, "It drops by %s, %s is the least: what was switched off may still work.".formatted(
          Gauge.words(drop, unit), Gauge.words(least, unit)), sum, SOURCE);
    }
    return allowed.under(value)
        ? new Judged(Level.OUT, "It drops by %s, %s is the most.".formatted(Gauge.words(drop, unit),
        Gauge.words(most, unit)), sum, SOURCE)
        : new Judged(Level.AS_IT_SHOULD_BE, "It drops by %s.".formatted(Gauge.words(drop, unit)), sum, SOURCE);
  }

  @Override
  public Allowed allowed(Readings around) {
    OptionalDouble both = around.other(before);
    return both.isEmpty() ? Allowed.ANY : new Allowed(both.getAsDouble() - most, both.getAsDouble() - least);
  }

  @Override
  public List<String> comparesWith() {
    return List.of(before);
  }
}
