package neatlanyard.core.controls.live;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.controls.Call;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.Trace;

/** The samples so far, column by column. */
final class Samples {
  private static final int AT_FIRST = 1_024;

  /** What is looked at together, seconds: a single reading is no evidence, as for the judge. */
  private static final double TOGETHER_S = 0.2;

  private final Map<Channel, double[]> columns = new LinkedHashMap<>();
  private double[] seconds = new double[AT_FIRST];
  private int size;

  Samples(List<Channel> channels) {
    channels.forEach(c -> columns.put(c, new double[AT_FIRST]));
  }

  /** Whether it was taken in. */
  boolean add(double at, double[] values) {
    boolean inTime = size == 0 ? Double.isFinite(at) : at > seconds[size - 1] && Double.isFinite(at);
    if (!inTime || size == Trace.MOST_SAMPLES || values.length != columns.size()) {
      return false;
    }
    if (size == seconds.length) {
      seconds = Arrays.copyOf(seconds, 2 * size);
      columns.replaceAll((c, v) -> Arrays.copyOf(v, 2 * v.length));
    }
    seconds[size] = at;
    int i = 0;
    for (Map.Entry<Channel, double[]> column : columns.entrySet()) {
      double v = values[i++];
      column.getValue()[size] = Math.abs(v) <= Trace.most(column.getKey()) ? v : Double.NaN;
    }
    size++;
    return true;
  }

  int size() {
    return size;
  }

  /** Seconds from the sample before to the last one. */
  double step() {
    return size < 2 ? 0 : seconds[size - 1] - seconds[size - 2];
  }

  /** Not a number where it is not recorded. */
  double value(Channel channel, int i) {
    double[] values = columns.get(channel);
    return values == null ? Double.NaN : values[i];
  }

  /** Mean of what was recorded in the last fifth of a second, of two samples at least; otherwise not a number. */
  double lately(Channel channel) {
    double[] values = columns.get(channel);
    if (values == null) {
      return Double.NaN;
    }
    double sum = 0;
    int n = 0;
    for (int i = size - 1; i >= 0 && (seconds[size - 1] - seconds[i] <= TOGETHER_S || size - i <= 2); i--) {
      if (!Double.isNaN(values[i])) {
        sum += values[i];
        n++;
      }
    }
    return n < 2 ? Double.NaN : sum / n;
  }

  Optional<Trace> trace(List<Call> calls) {
    if (size < 2) {
      return Optional.empty();
    }
    Map<Channel, double[]> whole = new LinkedHashMap<>();
    columns.forEach((c, v) -> whole.put(c, Arrays.copyOf(v, size)));
    return Optional.of(Trace.of(Arrays.copyOf(seconds, size), whole, calls));
  }
}
