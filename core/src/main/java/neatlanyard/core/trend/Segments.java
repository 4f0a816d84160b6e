package neatlanyard.core.trend;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import neatlanyard.core.trend.Line;

/**
 * Where a row of numbers changed: the partition into straight lines with the least sum of squares, each line more than
 * one costing a penalty, found exactly.
 *
 * <p>Method: optimal partitioning (Jackson et al., An algorithm for optimal partitioning of data on an interval, IEEE
 * Signal Processing Letters 12, 2005), with a penalty in the manner of Schwarz's criterion.
 */
public final class Segments {
  /** Fewer points say nothing of a line of their own. */
  public static final int LEAST = 6;

  /** How many times the usual penalty a change must be worth: 3 parameters, each log n. Set by the tests' rate. */
  private static final double STRICT = 2.0;

  private static final double PARAMETERS = 3;

  /** Of a normal distribution: its standard deviation by the median of absolute values. */
  private static final double BY_MEDIAN = 0.6745;

  /** Nearer than this are the same number, rounded by a machine. */
  private static final double SAME = 1e-9;

  private final double[] x;
  private final double[] y;
  private final double[] sx;
  private final double[] sy;
  private final double[] sxx;
  private final double[] sxy;
  private final double[] syy;

  private Segments(List<Line.Point> points) {
    int n = points.size();
    double x0 = points.getFirst().x();
    double y0 = points.getFirst().y();
    x = points.stream().mapToDouble(p -> p.x() - x0).toArray();
    y = points.stream().mapToDouble(p -> p.y() - y0).toArray();
    sx = new double[n + 1];
    sy = new double[n + 1];
    sxx = new double[n + 1];
    sxy = new double[n + 1];
    syy = new double[n + 1];
    for (int i = 0; i < n; i++) {
      sx[i + 1] = sx[i] + x[i];
      sy[i + 1] = sy[i] + y[i];
      sxx[i + 1] = sxx[i] + x[i] * x[i];
      sxy[i + 1] = sxy[i] + x[i] * y[i];
      syy[i + 1] = syy[i] + y[i] * y[i];
    }
  }

  /** The first index of each line, the first of them 0. @param points x rising */
  public static List<Integer> of(List<Line.Point> points) {
    if (points.size() < 2 * LEAST) {
      return List.of(0);
    }
    Segments s = new Segments(points);
    double sigma = s.scatter();
    double penalty = STRICT * PARAMETERS * Math.log(points.size()) * Math.max(sigma * sigma, 1e-12);
    return s.best(penalty);
  }

  private List<Integer> best(double penalty) {
    int n = x.length;
    double[] cost = new double[n + 1];
    int[] from = new int[n + 1];
    Arrays.fill(cost, Double.POSITIVE_INFINITY);
    cost[0] = -penalty;
    for (int to = LEAST; to <= n; to++) {
      for (int at = 0; at <= to - LEAST; at++) {
        double c = cost[at] + squares(at, to) + penalty;
        if (c < cost[to]) {
          cost[to] = c;
          from[to] = at;
        }
      }
    }
    List<Integer> starts = new ArrayList<>();
    for (int to = n; to > 0; to = from[to]) {
      starts.addFirst(from[to]);
    }
    return starts;
  }

  /** Sum of squares about the best line through the points from one index to before another. */
  double squares(int from, int to) {
    double n = to - from;
    double mx = (sx[to] - sx[from]) / n;
    double my = (sy[to] - sy[from]) / n;
    double xx = sxx[to] - sxx[from] - n * mx * mx;
    double xy = sxy[to] - sxy[from] - n * mx * my;
    double yy = syy[to] - syy[from] - n * my * my;
    return Math.max(0, xx > 1e-9 ? yy - xy * xy / xx : yy);
  }

  /** What is read in steps scatters by its rounding at least, of which the median sees nothing. */
  private double scatter() {
    double[] rising = y.clone();
    Arrays.sort(rising);
    double step = IntStream.range(1, rising.length).mapToDouble(i -> rising[i] - rising[i - 1])
        .filter(d -> d > SAME).min().orElse(0);
    return Math.max(aboutNeighbours(), step / Math.sqrt(12));
  }

  /** Noise from how each point lies between its neighbours, which no line and few changes alter. */
  private double aboutNeighbours() {
    double[] off = new double[y.length - 2];
    for (int i = 1; i < y.length - 1; i++) {
      double span = x[i + 1] - x[i - 1];
      double share = span > 0 ? (x[i] - x[i - 1]) / span : 0.5;
      double between = y[i - 1] + (y[i + 1] - y[i - 1]) * share;
      off[i - 1] = Math.abs(y[i] - between) / Math.sqrt(1 + share * share + (1 - share) * (1 - share));
    }
    Arrays.sort(off);
    return off[off.length / 2] / BY_MEDIAN;
  }
}
