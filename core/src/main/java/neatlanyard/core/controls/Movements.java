package neatlanyard.core.controls;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import neatlanyard.core.controls.Channel.Inceptor;
import neatlanyard.core.controls.Channel.Input;

/** The controls of a recording: where each stood, and the movements found in that. Nobody marks anything. */
final class Movements {
  /** Less than this is a touch, not a movement, per cent. Common practice, no source. */
  private static final double TOUCH_PCT = 20;

  /** Samples at the stop may drop out of a hold one or two at a time by noise. */
  private static final int DROPPED = 2;

  private final ControlSpec spec;
  private final Evenly even;
  private final Map<Axis, double[]> inputs = new EnumMap<>(Axis.class);
  private final Map<Axis, Scatter> scatters = new EnumMap<>(Axis.class);
  private final Map<Axis, List<Movement>> movements = new EnumMap<>(Axis.class);
  private final boolean[] rest;

  Movements(ControlSpec spec, Trace trace, Evenly even) {
    this.spec = spec;
    this.even = even;
    this.rest = rest(trace, spec);
    for (Axis axis : Axis.values()) {
      inputs.put(axis, combined(even, axis));
      scatters.put(axis, scatter(trace, axis));
      movements.put(axis, find(axis, inputs(axis), scatter(axis)));
    }
  }

  /** The control of an axis on the even steps; of separate sticks their sum, as far as the stops. */
  double[] inputs(Axis axis) {
    return inputs.getOrDefault(axis, new double[0]);
  }

  Scatter scatter(Axis axis) {
    return scatters.getOrDefault(axis, Scatter.NONE);
  }

  List<Movement> of(Axis axis) {
    return movements.getOrDefault(axis, List.of());
  }

  List<Movement> of(Axis axis, int sign) {
    return of(axis).stream().filter(e -> e.sign() == sign).toList();
  }

  List<Movement> all() {
    return movements.values().stream().flatMap(List::stream).toList();
  }

  /** At which of the recording's samples nothing had been moved for as long as a surface may take to settle. */
  boolean[] rest() {
    return rest;
  }

  /** The movements of one seat's stick by itself. */
  List<Movement> of(Inceptor inceptor, Axis axis) {
    return find(axis, even.of(new Input(inceptor, axis)), scatter(axis));
  }

  private static double[] combined(Evenly even, Axis axis) {
    List<double[]> sticks = new ArrayList<>();
    for (Inceptor inceptor : Inceptor.values()) {
      if (even.has(new Input(inceptor, axis))) {
        sticks.add(even.of(new Input(inceptor, axis)));
      }
    }
    return Trace.sum(sticks);
  }

  private Scatter scatter(Trace trace, Axis axis) {
    Scatter all = Scatter.NONE;
    for (Inceptor inceptor : Inceptor.values()) {
      Input channel = new Input(inceptor, axis);
      if (trace.has(channel)) {
        Scatter one = Scatter.of(trace.values(channel), rest);
        all = new Scatter(Math.hypot(all.sigma(), one.sigma()), Math.max(all.grain(), one.grain()));
      }
    }
    return all;
  }

  private static boolean[] rest(Trace trace, ControlSpec spec) {
    List<double[]> controls = trace.channels().stream().filter(Input.class::isInstance).map(trace::values).toList();
    boolean[] rest = new boolean[trace.size()];
    double settle = spec.settle().toMillis() / 1_000.0;
    double since = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < rest.length; i++) {
      boolean released = true;
      for (double[] values : controls) {
        released &= !(Math.abs(values[i]) > spec.neutralInputPct());
      }
      if (!released) {
        since = Double.NaN;
      } else if (Double.isNaN(since)) {
        since = trace.seconds(i);
      }
      rest[i] = released && trace.seconds(i) - since > settle;
    }
    return rest;
  }

  private List<Movement> find(Axis axis, double[] input, Scatter scatter) {
    double leave = Math.max(spec.neutralInputPct(), Scatter.ALLOWED * scatter.sigma());
    int[] numbers = new int[2];
    List<Movement> found = new ArrayList<>();
    int i = 0;
    while (i < input.length) {
      if (!(Math.abs(input[i]) > leave)) {
        i++;
        continue;
      }
      int sign = input[i] > 0 ? 1 : -1;
      int to = i + 1;
      // A control that is on its way across does not rest in between; one that is silent is still where it was.
      while (to < input.length && !(input[to] * sign <= leave)) {
        to++;
      }
      Movement one = one(axis, sign, numbers, i, to, input, scatter);
      if (one.peakPct() >= TOUCH_PCT) {
        numbers[sign > 0 ? 0 : 1]++;
        found.add(one);
      }
      i = to;
    }
    return rested(found, input, leave);
  }

  private Movement one(Axis axis, int sign, int[] numbers, int from, int to, double[] input, Scatter scatter) {
    int n = Math.min(evidence(), to - from);
    double peak = 0;
    for (int i = from; i + n <= to; i++) {
      double mean = Signal.mean(input, i, i + n) * sign;
      peak = mean > peak ? mean : peak;
    }
    boolean full = peak >= spec.fullInputPct() - scatter.ofMean(n);
    double at = (full ? spec.fullInputPct() : peak * spec.fullInputPct() / 100)
        - Scatter.ALLOWED * scatter.sigma() - scatter.grain() / 2;
    int heldFrom = from;
    int heldTo = from;
    int start = -1;
    int last = -1;
    for (int i = from; i < to; i++) {
      if (input[i] * sign >= at) {
        start = start < 0 || i - last > DROPPED + 1 ? i : start;
        last = i;
        if (last - start >= heldTo - heldFrom) {
          heldFrom = start;
          heldTo = last;
        }
      }
    }
    return new Movement(axis, sign, numbers[sign > 0 ? 0 : 1] + 1, from, to, heldFrom, heldTo, peak, full,
        (heldTo - heldFrom) * even.step(), silence(input, from, to), to, to);
  }

  private double silence(double[] input, int from, int to) {
    int longest = 0;
    int run = 0;
    for (int i = Math.max(0, from - 1); i < Math.min(input.length, to + 1); i++) {
      run = Double.isNaN(input[i]) ? run + 1 : 0;
      longest = Math.max(longest, run);
    }
    return longest == 0 ? 0 : (longest + 1) * even.step();
  }

  private List<Movement> rested(List<Movement> found, double[] input, double leave) {
    List<Movement> out = new ArrayList<>();
    int settle = even.steps(spec.settle().toMillis() / 1_000.0);
    for (int k = 0; k < found.size(); k++) {
      Movement e = found.get(k);
      int end = k + 1 < found.size() ? found.get(k + 1).from() : input.length;
      int from = Math.min(e.to() + settle, end);
      // The last step before the next movement already belongs to it.
      int to = end == input.length ? end : Math.max(from, end - 1);
      while (to > from && !(Math.abs(input[to - 1]) <= leave)) {
        to--;
      }
      out.add(new Movement(e.axis(), e.sign(), e.number(), e.from(), e.to(), e.heldFrom(), e.heldTo(), e.peakPct(),
          e.full(), e.heldS(), e.silent(), from, to));
    }
    return out;
  }

  /** So many samples together are evidence; one is not: what lies within a fifth of a second, at least two. */
  int evidence() {
    return evidence(even.step());
  }

  static int evidence(double step) {
    return Math.max(2, (int) (0.2 / step + 1e-9) + 1);
  }
}
