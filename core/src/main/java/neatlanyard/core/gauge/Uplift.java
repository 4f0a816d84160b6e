package neatlanyard.core.gauge;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import neatlanyard.core.gauge.Judged.Level;

/**
 * Fuel on the gauges after fuelling, against what was there, what was pumped and what was ordered.
 *
 * @param before quantity with the mass before
 * @param litres quantity with the volume pumped
 * @param density quantity with the density, in kg/L
 * @param ordered quantity with the mass ordered
 * @param mostApart how far gauges and sum may differ
 */
public record Uplift(String before, String litres, String density, String ordered, double mostApart) implements Gauge {
  private static final String SOURCE = "Uplift by volume and density; the agreement wanted is the type's pack's";

  @Override
  public Judged judge(double value, String unit, Readings around) {
    List<String> sum = new ArrayList<>();
    List<String> wrong = new ArrayList<>();
    String missing = "";
    OptionalDouble filled = filled(around);
    if (filled.isPresent()) {
      double apart = value - filled.getAsDouble();
      sum.add("%s + %s L × %.3f kg/L = %s; gauges %s: %s apart".formatted(
          Gauge.words(around.other(before).orElseThrow(), unit), Gauge.words(around.other(litres).orElseThrow(), ""),
          around.other(density).orElseThrow(), Gauge.words(filled.getAsDouble(), unit), Gauge.words(value, unit),
          Gauge.words(apart, unit)));
      if (!Allowed.near(filled, mostApart).holds(value)) {
        wrong.add("the gauges and what was pumped are %s apart, %s is the most".formatted(
            Gauge.words(Math.abs(apart), unit), Gauge.words(mostApart, unit)));
      }
    } else {
      missing = " The uplift was not entered, so it is not compared.";
    }
    if (around.other(ordered).isPresent()) {
      double order = around.other(ordered).getAsDouble();
      sum.add("ordered %s, on the gauges %s: %s".formatted(
          Gauge.words(order, unit), Gauge.words(value, unit), Gauge.words(value - order, unit)));
      if (Allowed.near(around.other(ordered), mostApart).under(value)) {
        wrong.add("%s less than ordered".formatted(Gauge.words(order - value, unit)));
      }
    }
    return wrong.isEmpty()
        ? new Judged(Level.AS_IT_SHOULD_BE, "%s on the gauges agrees.%s".formatted(Gauge.words(value, unit), missing),
        sum, SOURCE)
        : new Judged(Level.OUT, "%s on the gauges: %s.".formatted(Gauge.words(value, unit), String.join("; ", wrong)),
        sum, SOURCE);
  }

  @Override
  public Allowed allowed(Readings around) {
    return Allowed.atLeast(Allowed.near(around.other(ordered), mostApart).least())
        .and(Allowed.near(filled(around), mostApart));
  }

  /** What the tanks hold by what was there and what was pumped; empty where one of the three is not known. */
  private OptionalDouble filled(Readings around) {
    boolean known = Stream.of(before, litres, density).allMatch(q -> around.other(q).isPresent());
    return known
        ? OptionalDouble.of(around.other(before).orElseThrow() + around.other(litres)
        .orElseThrow() * around.other(density).orElseThrow())
        : OptionalDouble.empty();
  }

  @Override
  public List<String> comparesWith() {
    return List.of(before, litres, density, ordered);
  }
}
