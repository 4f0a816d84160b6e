package neatlanyard.core.controls;

/** Pearson's product-moment correlation (NIST/SEMATECH e-Handbook of Statistical Methods, section 1.3.5). */
final class Correlation {
  private Correlation() {}

  /**
   * Correlation of {@code x} with {@code y} taken {@code lag} samples later.
   *
   * @return -1..1; 0 where one of the two does not vary
   */
  static double pearson(double[] x, double[] y, int lag) {
    int n = x.length - lag;
    if (n < 2) {
      return 0;
    }
    double meanX = 0;
    double meanY = 0;
    for (int i = 0; i < n; i++) {
      meanX += x[i] / n;
      meanY += y[i + lag] / n;
    }
    double xy = 0;
    double xx = 0;
    double yy = 0;
    for (int i = 0; i < n; i++) {
      double dx = x[i] - meanX;
      double dy = y[i + lag] - meanY;
      xy += dx * dy;
      xx += dx * dx;
      yy += dy * dy;
    }
    return xx == 0 || yy == 0 ? 0 : xy / Math.sqrt(xx * yy);
  }
}
