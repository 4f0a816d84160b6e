package neatlanyard.core.units;

/** A table of several dimensions, straight between its points and never beyond them. */
public final class Multilinear {
  private Multilinear() {}

  /** The same points, a copy. @throws IllegalArgumentException when there are none or they do not rise */
  public static double[] rising(double[] points) {
    if (points.length == 0) {
      throw new IllegalArgumentException("It has no points");
    }
    for (int i = 1; i < points.length; i++) {
      if (!(points[i] > points[i - 1])) {
        throw new IllegalArgumentException("It does not rise at its point %d".formatted(i + 1));
      }
    }
    return points.clone();
  }

  /** The same values, a copy. @throws IllegalArgumentException when there is not one for each point */
  public static double[] asMany(double[] values, int... points) {
    int wanted = 1;
    for (int p : points) {
      wanted = Math.multiplyExact(wanted, p);
    }
    if (values.length != wanted) {
      throw new IllegalArgumentException("%d values are wanted, one for each point; there are %d".formatted(
          wanted, values.length));
    }
    return values.clone();
  }

  /**
   * The value at a place; NaN beyond the table and where it has a hole.
   *
   * @param points of each axis, rising
   * @param values by the points, the last axis running fastest
   * @param at one number an axis
   */
  public static double at(double[][] points, double[] values, double... at) {
    return at(points, values, at, 0, 0);
  }

  private static double at(double[][] points, double[] values, double[] at, int axis, int offset) {
    if (axis == points.length) {
      return values[offset];
    }
    double[] p = points[axis];
    if (!(at[axis] >= p[0] && at[axis] <= p[p.length - 1])) {
      return Double.NaN;
    }
    int below = 0;
    while (below < p.length - 2 && at[axis] >= p[below + 1]) {
      below++;
    }
    int row = offset * p.length + below;
    if (at[axis] == p[below]) {
      return at(points, values, at, axis + 1, row);
    }
    double share = (at[axis] - p[below]) / (p[below + 1] - p[below]);
    if (share == 1) {
      return at(points, values, at, axis + 1, row + 1);
    }
    double low = at(points, values, at, axis + 1, row);
    return low + share * (at(points, values, at, axis + 1, row + 1) - low);
  }
}
