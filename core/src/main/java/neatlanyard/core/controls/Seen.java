package neatlanyard.core.controls;

import java.util.List;

/**
 * What a judge of one surface looks at: the recording on even steps, the movements in it, and when nothing moved.
 *
 * @param quiet whether, at a step, no control was moved for as long as a surface may take to settle
 */
record Seen(ControlSpec spec, Trace trace, Evenly even, Movements movements, boolean[] quiet) {
  /** Recorders tell channels one after the other: so much of a delay is theirs, seconds. Common practice. */
  static final double SKEW_S = 0.1;

  static Seen of(ControlSpec spec, Trace trace) {
    Evenly even = new Evenly(trace);
    Movements movements = new Movements(spec, trace, even);
    boolean[] quiet = new boolean[even.size()];
    java.util.Arrays.fill(quiet, true);
    int settle = even.steps(seconds(spec.settle()));
    for (Movement e : movements.all()) {
      for (int i = Math.max(0, e.from() - 1); i < Math.min(quiet.length, e.to() + settle); i++) {
        quiet[i] = false;
      }
    }
    return new Seen(spec, trace, even, movements, quiet);
  }

  static double seconds(java.time.Duration d) {
    return d.toMillis() / 1_000.0;
  }

  int evidence() {
    return movements.evidence();
  }

  int lagSteps() {
    return even.steps(seconds(spec.lag()));
  }

  int skewSteps() {
    return even.steps(SKEW_S);
  }

  /** Until when a movement shows at its surfaces; however short it was held, so much is looked at as is evidence. */
  int heldEnd(Movement e) {
    return Math.min(even.size(), Math.max(e.heldTo() + 1, e.heldFrom() + evidence()) + lagSteps());
  }

  Scatter scatter(Channel channel) {
    return Scatter.of(trace.values(channel), movements.rest());
  }

  /** Mean over the quiet steps of a stretch. @param n how many there were */
  record Rest(double mean, int n) {
    boolean enough(int evidence) {
      return n >= evidence && !Double.isNaN(mean);
    }
  }

  Rest rest(double[] values, int from, int to) {
    double sum = 0;
    int n = 0;
    for (int i = from; i < to; i++) {
      if (quiet[i] && !Double.isNaN(values[i])) {
        sum += values[i];
        n++;
      }
    }
    return new Rest(n == 0 ? Double.NaN : sum / n, n);
  }

  /** Where everything rested before the first movement of all. */
  Rest atFirst(double[] values) {
    List<Movement> all = movements.all();
    int first = all.stream().mapToInt(Movement::from).min().orElse(values.length);
    return rest(values, 0, first);
  }

  /** The longest run of steps without a value while its control was told, seconds. */
  double silence(double[] values, double[] control, int from, int to) {
    int longest = 0;
    int run = 0;
    for (int i = Math.max(0, from); i < Math.min(values.length, to); i++) {
      run = Double.isNaN(values[i]) && !Double.isNaN(control[i]) ? run + 1 : 0;
      longest = Math.max(longest, run);
    }
    return longest == 0 ? 0 : (longest + 1) * even.step();
  }

  /**
   * The best mean over so many samples as are evidence, in {@code from} to before {@code to}.
   *
   * @param at the first of those samples, -1 where there are too few
   */
  record Reach(double deg, int at) {}

  Reach furthest(double[] values, double sense, int from, int to) {
    int n = evidence();
    double best = Double.NEGATIVE_INFINITY;
    int at = -1;
    for (int i = Math.max(0, from); i + n <= Math.min(values.length, to); i++) {
      double mean = Signal.mean(values, i, i + n) * sense;
      if (mean > best) {
        best = mean;
        at = i;
      }
    }
    return new Reach(at < 0 ? Double.NaN : best, at);
  }
}
