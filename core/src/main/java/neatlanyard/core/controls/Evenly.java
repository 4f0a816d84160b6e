package neatlanyard.core.controls;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A recording laid on even time steps, so that times are counts: straight lines between samples that are near enough,
 * nothing ({@link Double#NaN}) where a channel is silent for longer.
 */
final class Evenly {
  /** A longer silence in the data could hide a surface that stuck, seconds. Common practice, no source. */
  static final double LONGEST_GAP_S = 0.25;

  /** The same in steps, for slow recorders. */
  private static final double LONGEST_GAP_STEPS = 1.6;

  /** What changes slowly may be told once in a while, seconds. */
  private static final double LONGEST_GAP_ASIDE_S = 2.5;

  /** Steps that differ by less are as good as even. */
  private static final double EVEN_SHARE = 0.01;

  private final Trace trace;
  private final double step;
  private final int size;
  private final boolean even;
  private final Map<Channel, double[]> laid = new LinkedHashMap<>();

  Evenly(Trace trace) {
    this.trace = trace;
    double[] seconds = trace.seconds();
    double median = trace.step();
    double span = seconds[seconds.length - 1] - seconds[0];
    int steps = (int) Math.min(Math.round(span / median), 2L * Trace.MOST_SAMPLES);
    this.step = span / Math.max(1, steps);
    this.size = Math.max(1, steps) + 1;
    this.even = isEven(seconds, step, size);
  }

  private static boolean isEven(double[] seconds, double step, int size) {
    if (size != seconds.length) {
      return false;
    }
    for (int i = 1; i < seconds.length; i++) {
      if (Math.abs(seconds[i] - seconds[i - 1] - step) > EVEN_SHARE * step) {
        return false;
      }
    }
    return true;
  }

  double step() {
    return step;
  }

  int size() {
    return size;
  }

  /** A length of time in steps, at least one; more than any recording has count as so many. */
  int steps(double seconds) {
    return Math.clamp(Math.round(seconds / step), 1, 4 * Trace.MOST_SAMPLES);
  }

  double seconds(int i) {
    return trace.seconds(0) + i * step;
  }

  int at(double seconds) {
    return Math.clamp(Math.round((seconds - trace.seconds(0)) / step), 0, size - 1);
  }

  boolean has(Channel channel) {
    return trace.has(channel);
  }

  /** A channel's values on the even steps. @throws IllegalArgumentException if it is not recorded */
  double[] of(Channel channel) {
    double[] known = laid.get(channel);
    if (known == null) {
      known = lay(channel);
      laid.put(channel, known);
    }
    return known;
  }

  /** The longest silence of a channel that may be bridged, seconds. */
  double longestGap(Channel channel) {
    boolean slow = channel instanceof Channel.Aside || channel instanceof Channel.Pressure;
    return slow ? LONGEST_GAP_ASIDE_S : Math.max(LONGEST_GAP_S, LONGEST_GAP_STEPS * step) + 1e-6;
  }

  private double[] lay(Channel channel) {
    double[] values = trace.values(channel);
    if (even && whole(values)) {
      return values;
    }
    double[] seconds = trace.seconds();
    double longest = longestGap(channel);
    boolean switched = channel instanceof Channel.Aside a && (a.switched() || a == Channel.Aside.HEADING);
    double[] out = new double[size];
    int after = next(values, 0);
    int before = -1;
    for (int i = 0; i < size; i++) {
      double t = seconds(i);
      while (after < values.length && seconds[after] < t - 1e-9) {
        before = after;
        after = next(values, after + 1);
      }
      if (after >= values.length) {
        out[i] = before >= 0 && t - seconds[before] <= longest ? values[before] : Double.NaN;
      } else if (before < 0) {
        out[i] = seconds[after] - t <= longest ? values[after] : Double.NaN;
      } else if (seconds[after] - seconds[before] > longest) {
        out[i] = t >= seconds[after] - 1e-9 ? values[after] : Double.NaN;
      } else {
        double share = (t - seconds[before]) / (seconds[after] - seconds[before]);
        out[i] = switched ? values[share < 1 - 1e-9 ? before : after]
            : values[before] + (values[after] - values[before]) * share;
      }
    }
    return out;
  }

  private static boolean whole(double[] values) {
    for (double v : values) {
      if (Double.isNaN(v)) {
        return false;
      }
    }
    return true;
  }

  private static int next(double[] values, int from) {
    int i = from;
    while (i < values.length && Double.isNaN(values[i])) {
      i++;
    }
    return i;
  }
}
