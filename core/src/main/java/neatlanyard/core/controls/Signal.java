package neatlanyard.core.controls;

/** Arithmetic on columns of samples; a sample that is not a number is left out. */
final class Signal {
  private Signal() {}

  /**
   * Mean of {@code from} to before {@code to}; not a number where nothing is there or more than half is missing, as
   * what lies after the end of the recording is.
   */
  static double mean(double[] values, int from, int to) {
    double sum = 0;
    int n = 0;
    for (int i = from; i < Math.min(to, values.length); i++) {
      double v = values[i];
      if (!Double.isNaN(v)) {
        sum += v;
        n++;
      }
    }
    return n == 0 || 2 * n < to - from ? Double.NaN : sum / n;
  }

  /**
   * Pearson's product-moment correlation (NIST/SEMATECH e-Handbook of Statistical Methods, section 1.3.5) of
   * {@code x} in {@code from} to before {@code to} with {@code y} taken {@code lag} samples later.
   *
   * @param stride every how-manieth sample is taken
   * @return -1..1; 0 where one of the two does not vary
   */
  static double correlation(double[] x, double[] y, int from, int to, int lag, int stride) {
    int first = Math.max(from, -lag);
    int end = Math.min(to, y.length - lag);
    int n = 0;
    double sx = 0;
    double sy = 0;
    double sxx = 0;
    double syy = 0;
    double sxy = 0;
    // About a value near the mean, so that the sums stay exact enough.
    double ax = first < end ? nearby(x, first, end) : 0;
    double ay = first < end ? nearby(y, first + lag, end + lag) : 0;
    for (int i = first; i < end; i += stride) {
      double dx = x[i] - ax;
      double dy = y[i + lag] - ay;
      if (!Double.isNaN(dx) && !Double.isNaN(dy)) {
        n++;
        sx += dx;
        sy += dy;
        sxx += dx * dx;
        syy += dy * dy;
        sxy += dx * dy;
      }
    }
    double xx = n * sxx - sx * sx;
    double yy = n * syy - sy * sy;
    // What is left of a constant after subtraction is no variance.
    return n < 2 || xx <= 1e-12 * n * sxx || yy <= 1e-12 * n * syy ? 0 : (n * sxy - sx * sy) / Math.sqrt(xx * yy);
  }

  private static double nearby(double[] values, int from, int to) {
    for (int i = from; i < to; i++) {
      if (!Double.isNaN(values[i])) {
        return values[i];
      }
    }
    return 0;
  }

  /**
   * Where the correlation of {@code y} with an earlier {@code x} is greatest, between samples by the parabola through
   * the three values about the top.
   *
   * @param samples by how much {@code y} is behind
   * @param correlation 1 where it follows
   */
  record Lag(double samples, double correlation) {}

  /** Sought from {@code least} to {@code most} samples, every {@code stride}. */
  static Lag lag(double[] x, double[] y, int from, int to, int least, int most, int stride) {
    double[] at = new double[(most - least) / stride + 1];
    int best = 0;
    for (int k = 0; k < at.length; k++) {
      at[k] = correlation(x, y, from, to, least + k * stride, stride);
      best = at[k] > at[best] ? k : best;
    }
    double shift = 0;
    if (best > 0 && best < at.length - 1) {
      double bend = at[best - 1] - 2 * at[best] + at[best + 1];
      shift = bend < 0 ? (at[best - 1] - at[best + 1]) / 2 / bend : 0;
    }
    return new Lag(least + (best + shift) * stride, at[best]);
  }

  /** The value between samples, on a straight line; that of the end beyond the ends. */
  static double between(double[] values, double at) {
    if (at <= 0) {
      return values[0];
    }
    int i = (int) at;
    if (i >= values.length - 1) {
      return values[values.length - 1];
    }
    return values[i] + (values[i + 1] - values[i]) * (at - i);
  }
}
