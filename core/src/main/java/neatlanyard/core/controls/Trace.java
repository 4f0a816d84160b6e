package neatlanyard.core.controls;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Control inputs and surface positions over time, column by column.
 *
 * <p>Times in seconds, rising; inputs in per cent of full travel, -100..100; surfaces in degrees.
 */
public final class Trace {
  /** One moment. Inputs in per cent, surfaces in degrees in the order of the type's channels. */
  public record Sample(double seconds, double pitchPct, double rollPct, double yawPct, List<Double> surfacesDeg) {
    public Sample {
      surfacesDeg = List.copyOf(surfacesDeg);
    }

    double input(Axis axis) {
      return switch (axis) {
        case PITCH -> pitchPct;
        case ROLL -> rollPct;
        case YAW -> yawPct;
      };
    }
  }

  private final double[] seconds;
  private final Map<Axis, double[]> inputs = new EnumMap<>(Axis.class);
  private final Map<String, double[]> surfaces = new LinkedHashMap<>();

  private Trace(double[] seconds) {
    this.seconds = seconds;
  }

  /**
   * Columns of the samples.
   *
   * @throws IllegalArgumentException if {@link #faults} finds any
   */
  public static Trace of(List<String> channels, List<Sample> samples) {
    List<String> faults = faults(channels, samples);
    if (!faults.isEmpty()) {
      throw new IllegalArgumentException(String.join("\n", faults));
    }
    Trace trace = new Trace(samples.stream().mapToDouble(Sample::seconds).toArray());
    for (Axis axis : Axis.values()) {
      trace.inputs.put(axis, samples.stream().mapToDouble(s -> s.input(axis)).toArray());
    }
    for (int c = 0; c < channels.size(); c++) {
      int column = c;
      trace.surfaces.put(channels.get(c), samples.stream().mapToDouble(s -> s.surfacesDeg().get(column)).toArray());
    }
    return trace;
  }

  /** What makes samples unusable, each with the number of the sample counted from 1; empty when they are usable. */
  public static List<String> faults(List<String> channels, List<Sample> samples) {
    List<String> faults = new ArrayList<>();
    if (samples.size() < 2) {
      faults.add("A trace needs at least two samples; this one has %d.".formatted(samples.size()));
    }
    double before = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < samples.size(); i++) {
      Sample s = samples.get(i);
      if (s.surfacesDeg().size() != channels.size()) {
        faults.add("Sample %d has %d surfaces; the type has %d.".formatted(i + 1, s.surfacesDeg().size(),
            channels.size()));
      }
      if (!Double.isFinite(s.seconds()) || s.seconds() <= before) {
        faults.add("Sample %d is at %s s, not after the one before it.".formatted(i + 1, s.seconds()));
      }
      before = s.seconds();
      for (Axis axis : Axis.values()) {
        if (!(Math.abs(s.input(axis)) <= 110)) {
          faults.add("Sample %d: %s input %s is not within ±110 %%.".formatted(i + 1, axis.title(), s.input(axis)));
        }
      }
      for (int c = 0; c < Math.min(channels.size(), s.surfacesDeg().size()); c++) {
        if (!(Math.abs(s.surfacesDeg().get(c)) <= 180)) {
          faults.add("Sample %d: %s %s is not within ±180°.".formatted(i + 1, channels.get(c), s.surfacesDeg()
              .get(c)));
        }
      }
    }
    return faults;
  }

  public int size() {
    return seconds.length;
  }

  double seconds(int i) {
    return seconds[i];
  }

  double[] input(Axis axis) {
    return inputs.getOrDefault(axis, new double[0]);
  }

  double[] surface(String id) {
    return surfaces.getOrDefault(id, new double[size()]);
  }

  /** Longest time between two samples, in seconds. */
  double longestGap() {
    double longest = 0;
    for (int i = 1; i < seconds.length; i++) {
      longest = Math.max(longest, seconds[i] - seconds[i - 1]);
    }
    return longest;
  }

  /** Median time between samples, in seconds. */
  double step() {
    double[] steps = new double[seconds.length - 1];
    for (int i = 1; i < seconds.length; i++) {
      steps[i - 1] = seconds[i] - seconds[i - 1];
    }
    java.util.Arrays.sort(steps);
    return steps[steps.length / 2];
  }
}
