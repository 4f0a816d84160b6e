package neatlanyard.core.controls;

/** Least and greatest of a window that slides along a column; a value that is not a number is passed over. */
final class Sliding {
  private Sliding() {}

  /**
   * The least value from {@code back} samples before each to {@code ahead} after it, for {@code from} to before
   * {@code to}: the first is that of {@code from}.
   */
  static double[] least(double[] values, int back, int ahead, int from, int to) {
    return slide(values, back, ahead, -1, from, to);
  }

  /** The greatest. */
  static double[] most(double[] values, int back, int ahead, int from, int to) {
    return slide(values, back, ahead, 1, from, to);
  }

  /** Candidates are kept in falling order; each sample comes in once and goes out once. */
  private static double[] slide(double[] values, int back, int ahead, int sign, int from, int to) {
    int n = values.length;
    double[] out = new double[to - from];
    int[] queue = new int[Math.min(n, to + ahead) - Math.max(0, from - back) + 1];
    int head = 0;
    int tail = 0;
    int next = Math.max(0, from - back);
    for (int i = from; i < to; i++) {
      for (; next < n && next <= i + ahead; next++) {
        double v = values[next] * sign;
        if (!Double.isNaN(v)) {
          while (tail > head && values[queue[tail - 1]] * sign <= v) {
            tail--;
          }
          queue[tail++] = next;
        }
      }
      while (head < tail && queue[head] < i - back) {
        head++;
      }
      out[i - from] = head < tail ? values[queue[head]] : Double.NaN;
    }
    return out;
  }
}
