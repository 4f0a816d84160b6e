package neatlanyard.core.controls;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A recording, column by column.
 *
 * <p>Times in seconds, rising; the unit of each column is its {@link Channel}'s. A value that was not recorded is
 * {@link Double#NaN}.
 */
public final class Trace {
  /** Longest trace: ten minutes at 100 Hz. */
  public static final int MOST_SAMPLES = 60_000;

  /** Beyond this a control would be past its stop by more than any calibration error, per cent. */
  private static final double MOST_INPUT_PCT = 110;

  private static final double MOST_DEG = 180;

  /** So many faults are told; a column of sixty thousand wrong values has one cause. */
  public static final int MOST_FAULTS = 200;

  private final double[] seconds;
  private final Map<Channel, double[]> columns;
  private final List<Call> calls;

  private Trace(double[] seconds, Map<Channel, double[]> columns, List<Call> calls) {
    this.seconds = seconds;
    this.columns = columns;
    this.calls = List.copyOf(calls);
  }

  /**
   * A recording of these columns, which are not copied and must not be changed afterwards.
   *
   * @throws IllegalArgumentException if {@link #faults} finds any
   */
  public static Trace of(double[] seconds, Map<Channel, double[]> columns, List<Call> calls) {
    List<Misfit> faults = faults(seconds, columns);
    if (!faults.isEmpty()) {
      throw new IllegalArgumentException(String.join("\n", faults.stream().map(Misfit::words).toList()));
    }
    return new Trace(seconds, new LinkedHashMap<>(columns), calls);
  }

  /**
   * What makes a recording unusable.
   *
   * @param sample counted from 0; -1 where it is of the whole
   */
  public record Misfit(int sample, String words) {}

  /** What makes columns unusable, up to {@link #MOST_FAULTS}; empty when they are usable. */
  public static List<Misfit> faults(double[] seconds, Map<Channel, double[]> columns) {
    List<Misfit> faults = new ArrayList<>();
    if (seconds.length < 2) {
      faults.add(new Misfit(-1, "A trace needs at least two samples; this one has " + seconds.length + "."));
    }
    double before = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < seconds.length && faults.size() < MOST_FAULTS; i++) {
      if (!Double.isFinite(seconds[i]) || seconds[i] <= before) {
        faults.add(new Misfit(i, "It is at " + seconds[i] + " s, not after the one before it."));
      }
      before = seconds[i];
    }
    columns.forEach((channel, values) -> {
      if (values.length != seconds.length) {
        faults.add(new Misfit(-1, Channels.name(channel) + " has " + values.length + " values for " + seconds.length
            + " samples."));
      }
      double most = most(channel);
      for (int i = 0; i < values.length && faults.size() < MOST_FAULTS; i++) {
        if (Math.abs(values[i]) > most) {
          faults.add(new Misfit(i, Channels.name(channel) + " is " + values[i] + ", not within \u00b1" + (int) most
              + "."));
        }
      }
    });
    return faults;
  }

  /** Most that a value of a channel may be, without its sign, in its unit. */
  public static double most(Channel channel) {
    return switch (channel) {
      case Channel.Input i -> MOST_INPUT_PCT;
      case Channel.Position p -> MOST_DEG;
      case Channel.Pressure p -> 10_000;
      case Channel.Aside a -> a == Channel.Aside.HEADING ? 360 : a == Channel.Aside.GROUND_SPEED ? 500 : MOST_DEG;
    };
  }

  public int size() {
    return seconds.length;
  }

  public double seconds(int i) {
    return seconds[i];
  }

  double[] seconds() {
    return seconds;
  }

  public Set<Channel> channels() {
    return columns.keySet();
  }

  public boolean has(Channel channel) {
    return columns.containsKey(channel);
  }

  /** The values of a channel, one a sample. @throws IllegalArgumentException if it is not recorded */
  public double[] values(Channel channel) {
    double[] values = columns.get(channel);
    if (values == null) {
      throw new IllegalArgumentException(Channels.name(channel) + " is not recorded");
    }
    return values;
  }

  /**
   * The control of an axis, per cent; of separate sticks their sum, as far as the stops. Not recorded at all, it is
   * empty.
   */
  public double[] control(Axis axis) {
    List<double[]> sticks = new ArrayList<>();
    for (Channel.Inceptor inceptor : Channel.Inceptor.values()) {
      double[] values = columns.get(new Channel.Input(inceptor, axis));
      if (values != null) {
        sticks.add(values);
      }
    }
    return sticks.isEmpty() ? new double[0] : sum(sticks);
  }

  /** One control by itself, or several as they add up. */
  static double[] sum(List<double[]> sticks) {
    if (sticks.size() == 1) {
      return sticks.getFirst();
    }
    double[] sum = new double[sticks.getFirst().length];
    for (int i = 0; i < sum.length; i++) {
      double at = 0;
      for (double[] stick : sticks) {
        at += stick[i];
      }
      sum[i] = Math.clamp(at, -100, 100);
    }
    return sum;
  }

  public List<Call> calls() {
    return calls;
  }

  /** Median time between samples, in seconds. */
  public double step() {
    double[] steps = new double[seconds.length - 1];
    for (int i = 1; i < seconds.length; i++) {
      steps[i - 1] = seconds[i] - seconds[i - 1];
    }
    java.util.Arrays.sort(steps);
    return steps[steps.length / 2];
  }
}
