package neatlanyard.core.figures;

import java.util.List;
import neatlanyard.core.units.Numbers;

/**
 * A table of several dimensions, straight between its points (multilinear interpolation) and never beyond them.
 *
 * @param axes at least one
 * @param values by the points of the axes, the last axis running fastest; NaN where the table has a hole
 */
public record Grid(List<Axis> axes, double[] values) {
  /** What an axis runs over. */
  public enum Of {
    WEIGHT("weight", "kg"),
    PRESSURE_ALTITUDE("pressure altitude", "ft"),
    TEMPERATURE("temperature", "°C"),
    /** Along the runway, as reported; a tail wind is negative. */
    WIND("head wind", "kt"),
    /** Uphill positive. */
    SLOPE("slope", "%");

    private final String words;
    private final String unit;

    Of(String words, String unit) {
      this.words = words;
      this.unit = unit;
    }

    public String words() {
      return words;
    }

    public String unit() {
      return unit;
    }
  }

  /** @param points rising, at least one */
  public record Axis(Of of, double[] points) {
    /** @throws IllegalArgumentException when they do not rise */
    public Axis {
      points = points.clone();
      if (points.length == 0) {
        throw new IllegalArgumentException("The axis %s has no points".formatted(of.words()));
      }
      for (int i = 1; i < points.length; i++) {
        if (!(points[i] > points[i - 1])) {
          throw new IllegalArgumentException("The axis %s does not rise at its point %d".formatted(of.words(), i + 1));
        }
      }
    }

    double least() {
      return points[0];
    }

    double most() {
      return points[points.length - 1];
    }

    boolean holds(double at) {
      return at >= least() && at <= most();
    }
  }

  /** @throws IllegalArgumentException when there are not as many values as points, or an axis stands twice */
  public Grid {
    axes = List.copyOf(axes);
    values = values.clone();
    int wanted = axes.stream().mapToInt(a -> a.points.length).reduce(1, Math::multiplyExact);
    if (values.length != wanted) {
      throw new IllegalArgumentException("%d values are wanted, one for each point; there are %d".formatted(
          wanted, values.length));
    }
    if (axes.stream().map(Axis::of).distinct().count() < axes.size()) {
      throw new IllegalArgumentException("An axis stands twice");
    }
  }

  /** Where on the axes a value is wanted. */
  public record Point(double weightKg, double pressureAltitudeFt, double temperatureC, double windKt,
      double slopePercent) {
    double on(Of axis) {
      return switch (axis) {
        case WEIGHT -> weightKg;
        case PRESSURE_ALTITUDE -> pressureAltitudeFt;
        case TEMPERATURE -> temperatureC;
        case WIND -> windKt;
        case SLOPE -> slopePercent;
      };
    }

    Point weight(double kg) {
      return new Point(kg, pressureAltitudeFt, temperatureC, windKt, slopePercent);
    }

    Point temperature(double c) {
      return new Point(weightKg, pressureAltitudeFt, c, windKt, slopePercent);
    }
  }

  /** The value at a point; NaN beyond the table and where it has a hole. */
  public double at(Point point) {
    return at(point, 0, 0);
  }

  private double at(Point point, int axis, int offset) {
    if (axis == axes.size()) {
      return values[offset];
    }
    double[] points = axes.get(axis).points;
    double at = point.on(axes.get(axis).of);
    if (!(at >= points[0] && at <= points[points.length - 1])) {
      return Double.NaN;
    }
    int below = 0;
    while (below < points.length - 2 && at >= points[below + 1]) {
      below++;
    }
    int row = offset * points.length + below;
    if (at == points[below]) {
      return at(point, axis + 1, row);
    }
    double share = (at - points[below]) / (points[below + 1] - points[below]);
    if (share == 1) {
      return at(point, axis + 1, row + 1);
    }
    double low = at(point, axis + 1, row);
    return low + share * (at(point, axis + 1, row + 1) - low);
  }

  /** Why there is no value at a point, in words. */
  String missing(Point point) {
    for (Axis axis : axes) {
      double at = point.on(axis.of);
      if (!axis.holds(at)) {
        return "%s %s %s is beyond the table, which goes from %s to %s".formatted(
            axis.of.words, Numbers.written(at, 1), axis.of.unit, Numbers.written(axis.least(), 1),
            Numbers.written(axis.most(), 1));
      }
    }
    return "the table has a hole there";
  }
}
