package neatlanyard.core.gauge;

import java.util.ArrayList;
import java.util.List;
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
    if (around.other(before).isPresent() && around.other(litres).isPresent() && around.other(density).isPresent()) {
      double was = around.other(before).getAsDouble();
      double pumped = around.other(litres).getAsDouble() * around.other(density).getAsDouble();
      double apart = value - was - pumped;
      sum.add("%s + %s L × %.3f kg/L = %s; gauges %s: %s apart".formatted(
          Gauge.words(was, unit), Gauge.words(around.other(litres).getAsDouble(), ""), around.other(density).getAsDouble(),
          Gauge.words(was + pumped, unit), Gauge.words(value, unit), Gauge.words(apart, unit)));
      if (Math.abs(apart) > mostApart) {
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
      if (value < order - mostApart) {
        wrong.add("%s less than ordered".formatted(Gauge.words(order - value, unit)));
      }
    }
    return wrong.isEmpty()
        ? new Judged(Level.AS_IT_SHOULD_BE, "%s on the gauges agrees.%s".formatted(Gauge.words(value, unit), missing), sum, SOURCE)
        : new Judged(Level.OUT, "%s on the gauges: %s.".formatted(Gauge.words(value, unit), String.join("; ", wrong)), sum, SOURCE);
  }

  @Override
  public List<String> comparesWith() {
    return List.of(before, litres, density, ordered);
  }
}
