package neatlanyard.core.figures;

import java.util.List;
import neatlanyard.core.units.Multilinear;
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
      try {
        points = Multilinear.rising(points);
      } catch (IllegalArgumentException e) {
        throw new IllegalArgumentException("The axis %s: %s".formatted(of.words(), e.getMessage()), e);
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
    values = Multilinear.asMany(values, axes.stream().mapToInt(a -> a.points.length).toArray());
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
    double[][] points = new double[axes.size()][];
    double[] at = new double[points.length];
    for (int i = 0; i < at.length; i++) {
      points[i] = axes.get(i).points;
      at[i] = point.on(axes.get(i).of);
    }
    return Multilinear.at(points, values, at);
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
