package neatlanyard.core.trend;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * The straight line of least squares through points, and how the next reading will scatter about it.
 *
 * <p>Formulas: NIST/SEMATECH e-Handbook of Statistical Methods, 4.1.4 and 4.5.2.
 *
 * @param n number of points, at least 3
 * @param residual standard deviation of the points about the line
 * @param meanX mean of the x
 * @param sxx sum of squares of x about its mean
 * @param lastX the largest x
 */
public record Line(double slope, double intercept, int n, double residual, double meanX, double sxx, double lastX) {
  /** One point. */
  public record Point(double x, double y) {}

  /** The line; empty with fewer than three points or all at one x, where nothing can be said of the scatter. */
  public static Optional<Line> through(List<Point> points) {
    SimpleRegression fit = new SimpleRegression();
    points.forEach(p -> fit.addData(p.x, p.y));
    if (points.size() < 3 || !(fit.getXSumSquares() > 0)) {
      return Optional.empty();
    }
    double mean = points.stream().mapToDouble(Point::x).average().orElseThrow();
    double last = points.stream().mapToDouble(Point::x).max().orElseThrow();
    return Optional.of(new Line(
        fit.getSlope(), fit.getIntercept(), points.size(), Math.sqrt(Math.max(0, fit.getMeanSquareError())), mean,
        fit.getXSumSquares(), last));
  }

  public double at(double x) {
    return intercept + slope * x;
  }

  /** Half the width of the two-sided interval that holds the next reading at {@code x} with this probability. */
  public double reach(double x, double probability) {
    double t = new TDistribution(n - 2).inverseCumulativeProbability(0.5 + probability / 2);
    return t * residual * Math.sqrt(1 + 1.0 / n + (x - meanX) * (x - meanX) / sxx);
  }

  /** From which x on the line lies under {@code limit}; empty when it does not fall. */
  public OptionalDouble under(double limit) {
    return slope < 0 ? OptionalDouble.of((limit - intercept) / slope) : OptionalDouble.empty();
  }

  /**
   * The first whole step after {@link #lastX} at which the next reading could lie under {@code limit}: the lower end
   * of
   * the interval does.
   *
   * @param most how far to look
   */
  public OptionalDouble couldBeUnder(double limit, double probability, int most) {
    int from = 0;
    int to = most;
    if (at(lastX + most) - reach(lastX + most, probability) >= limit) {
      return OptionalDouble.empty();
    }
    while (from < to) {
      int middle = (from + to) >>> 1;
      double x = lastX + middle;
      if (at(x) - reach(x, probability) < limit) {
        to = middle;
      } else {
        from = middle + 1;
      }
    }
    return OptionalDouble.of(lastX + from);
  }
}
