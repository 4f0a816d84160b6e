package neatlanyard.core.gauge;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import neatlanyard.core.gauge.Judged.Level;
import neatlanyard.core.units.Multilinear;

/**
 * A setting or a reading against a table: trim for weight and wind over the deck, manifold pressure for the pressure
 * and the temperature of the field. Straight between the points of the table and never beyond them.
 *
 * @param by what the table goes by, at least one
 * @param values by the points of {@code by}, the last running fastest; NaN where the table has a hole
 * @param under how far under the table's value it may be @param over how far over
 */
public record Setting(List<By> by, double[] values, double under, double over) implements Gauge {
  /** The name under which a table goes by the temperature of the air, in °C, as the report of the day has it. */
  public static final String OUTSIDE = "outside-c";

  private static final String SOURCE = "Table of the type's pack, straight between its points";

  /** @param quantity what was read of it, or {@link #OUTSIDE} @param points rising, at least two */
  public record By(String quantity, double[] points) {
    /** @throws IllegalArgumentException when they do not rise */
    public By {
      points = Multilinear.rising(points);
    }
  }

  /** @throws IllegalArgumentException when there are not as many values as points */
  public Setting {
    by = List.copyOf(by);
    values = Multilinear.asMany(values, by.stream().mapToInt(b -> b.points.length).toArray());
  }

  @Override
  public Judged judge(double value, String unit, Readings around) {
    List<String> missing = by.stream().filter(b -> at(b, around).isEmpty()).map(By::quantity).toList();
    if (!missing.isEmpty()) {
      return new Judged(Level.SOON, "Not known yet, so that nobody can say whether %s is right: %s.".formatted(
          Gauge.words(value, unit), String.join(", ", missing)), List.of(), SOURCE);
    }
    double wanted = wanted(around);
    if (Double.isNaN(wanted)) {
      return new Judged(Level.OUT, "The table has no value for %s.".formatted(where(around)), List.of(), SOURCE);
    }
    List<String> sum = new ArrayList<>();
    sum.add("For %s: %s, at most %s under and %s over".formatted(
        where(around), Gauge.words(wanted, unit), Gauge.words(under, unit), Gauge.words(over, unit)));
    sum.add("%s − %s = %s".formatted(Gauge.words(value, unit), Gauge.words(wanted, unit),
        Gauge.words(value - wanted, unit)));
    return allowed(around).holds(value)
        ? new Judged(Level.AS_IT_SHOULD_BE, "%s, %s by the table.".formatted(Gauge.words(value, unit),
        Gauge.words(wanted, unit)), sum, SOURCE)
        : new Judged(Level.OUT, "%s; by the table it is %s.".formatted(Gauge.words(value, unit),
        Gauge.words(wanted, unit)), sum, SOURCE);
  }

  @Override
  public Allowed allowed(Readings around) {
    if (by.stream().anyMatch(b -> at(b, around).isEmpty())) {
      return Allowed.ANY;
    }
    double wanted = wanted(around);
    return Double.isNaN(wanted) ? Allowed.NONE : new Allowed(wanted - under, wanted + over);
  }

  private double wanted(Readings around) {
    double[][] points = by.stream().map(By::points).toArray(double[][]::new);
    double[] at = by.stream().mapToDouble(b -> at(b, around).orElse(Double.NaN)).toArray();
    return Multilinear.at(points, values, at);
  }

  private static OptionalDouble at(By b, Readings around) {
    return b.quantity.equals(OUTSIDE) ? around.outsideC() : around.other(b.quantity);
  }

  private String where(Readings around) {
    return by.stream().map(b -> "%s %s".formatted(b.quantity.equals(OUTSIDE) ? "outside" : b.quantity,
        Gauge.words(at(b, around).orElse(Double.NaN), b.quantity.equals(OUTSIDE) ? "°C" : "")))
        .collect(Collectors.joining(", "));
  }

  @Override
  public List<String> comparesWith() {
    return by.stream().map(By::quantity).filter(q -> !q.equals(OUTSIDE)).toList();
  }

  /** Equal where every point and every value is. */
  @Override
  public boolean equals(Object o) {
    return o instanceof Setting s && s.under == under && s.over == over && Arrays.equals(s.values, values)
        && s.by.size() == by.size() && IntStream.range(0, by.size()).allMatch(i ->
        s.by.get(i).quantity.equals(by.get(i).quantity)
        && Arrays.equals(s.by.get(i).points, by.get(i).points));
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(values);
  }
}
