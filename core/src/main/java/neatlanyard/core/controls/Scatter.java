package neatlanyard.core.controls;

import java.util.Arrays;

/**
 * How much a channel's values scatter when nothing moves.
 *
 * @param sigma standard deviation of its noise
 * @param grain step in which it is recorded, 0 where none can be told
 */
record Scatter(double sigma, double grain) {
  static final Scatter NONE = new Scatter(0, 0);

  /** How many standard deviations are allowed for: one in 740 lies beyond by chance. */
  static final double ALLOWED = 3;

  /** Three quarters of normal deviates are no larger, in standard deviations. */
  private static final double QUARTILE = 1.150_35;

  /** Share of a grain from which on a scatter shows. */
  private static final double SHOWS = 0.8;

  /** No recorder is coarser, per cent or degrees: such steps are what moves. Common practice, no source. */
  private static final double COARSEST = 1;

  private static final int ENOUGH = 8;
  private static final int MOST = 600;
  private static final int PAIRS = 800;

  /**
   * From the differences of neighbouring samples while at rest, by the upper quartile of their sizes, so that neither
   * a few that moved nor a channel that stopped for half the time count (after the median absolute deviation,
   * NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.5.6).
   *
   * @param rest whether everything was at rest at each sample; where there is too little rest, all samples count
   */
  static Scatter of(double[] values, boolean[] rest) {
    double[] differences = new double[MOST];
    int n = differences(values, rest, false, differences);
    if (n < ENOUGH) {
      n = differences(values, rest, true, differences);
    }
    if (n == 0) {
      return NONE;
    }
    Arrays.sort(differences, 0, n);
    double sigma = differences[3 * n / 4] / QUARTILE / Math.sqrt(2);
    double grain = grain(values);
    return new Scatter(Math.max(sigma, grain / Math.sqrt(12)), grain);
  }

  private static int differences(double[] values, boolean[] rest, boolean moving, double[] out) {
    int n = 0;
    for (int i = 1; i < values.length && n < out.length; i++) {
      double d = values[i] - values[i - 1];
      if (!Double.isNaN(d) && (moving || rest[i] && rest[i - 1])) {
        out[n++] = Math.abs(d);
      }
    }
    return n;
  }

  /**
   * The least difference of two neighbouring samples, where all are whole multiples of it as a coarse recorder makes
   * them: by stairs, or by several multiples. An even movement without noise has one difference and no stairs.
   */
  private static double grain(double[] values) {
    double least = Double.POSITIVE_INFINITY;
    // Of a long recording some pairs of neighbours tell as much as all.
    int stride = Math.max(1, values.length / PAIRS);
    for (int i = 1; i < values.length; i += stride) {
      double d = Math.abs(values[i] - values[i - 1]);
      if (d > 1e-9 && d < least) {
        least = d;
      }
    }
    if (!(least <= COARSEST)) {
      return 0;
    }
    int steps = 0;
    int stairs = 0;
    int odd = 0;
    long multiples = 0;
    for (int i = 1; i < values.length; i += stride) {
      double d = Math.abs(values[i] - values[i - 1]) / least;
      if (d > 0.5) {
        steps++;
        odd += Math.abs(d - Math.rint(d)) > 0.05 ? 1 : 0;
        multiples |= 1L << (int) Math.min(63, Math.rint(d));
        stairs += i > 1 && values[i - 1] == values[i - 2] ? 1 : 0;
      }
    }
    boolean whole = odd * 100 <= steps;
    return whole && (Long.bitCount(multiples) > 2 || stairs > 2 * ENOUGH) ? least : 0;
  }

  /**
   * How likely the next sample at rest is the very same, at most: what lies within one grain at the middle of the
   * scatter. 1 where the grain is too coarse for the scatter to show, as a value in the middle of a step stays there.
   */
  double sameByChance() {
    return sigma < SHOWS * grain ? 1 : Math.min(1, grain / sigma / Math.sqrt(2 * Math.PI));
  }

  /** What is allowed for in the mean of so many values. */
  double ofMean(int n) {
    return ALLOWED * sigma / Math.sqrt(n) + grain / 2;
  }
}
