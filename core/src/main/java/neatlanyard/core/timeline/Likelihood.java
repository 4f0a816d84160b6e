package neatlanyard.core.timeline;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.random.RandomGenerator;

/**
 * How likely a departure is on time, by simulation: everything in the order of its timeline and as early as that
 * lets it, each length drawn anew. What may not wait longer than its most is not held to that here.
 *
 * @param onTime share of the runs in which all was over when it was due
 * @param departs when all was over in half of the runs, and {@code late} in nine of ten
 * @param decides what decided, in the runs that were late: of the chain that was over last, what took longest beyond
 *     its plan; the first decides most
 */
public record Likelihood(int runs, double onTime, Duration departs, Duration late, List<Decides> decides) {
  private static final double LATE = 0.9;

  public Likelihood {
    decides = List.copyOf(decides);
  }

  /** @param share of the late runs */
  public record Decides(ActivityId activity, double share) {}

  /** @param chance where the lengths come from; the same sequence gives the same answer */
  public static Likelihood of(Demands demands, Timeline timeline, int runs, RandomGenerator chance) {
    Order order = Order.of(demands, timeline);
    double[] medians = demands.activities().stream().mapToDouble(a -> a.length().medianSeconds()).toArray();
    double[] spreads = demands.activities().stream().mapToDouble(a -> a.length().spread()).toArray();
    double due = demands.due().toMillis() / 1_000.0;
    double[] lengths = new double[order.count];
    double[] begins = new double[order.count];
    double[] ends = new double[runs];
    int[] decided = new int[order.count];
    int lateRuns = 0;
    for (int r = 0; r < runs; r++) {
      for (int i = 0; i < lengths.length; i++) {
        lengths[i] = spreads[i] == 0 ? medians[i] : medians[i] * Math.exp(spreads[i] * chance.nextGaussian());
      }
      ends[r] = order.forward(lengths, begins);
      if (ends[r] > due) {
        lateRuns++;
        count(order, medians, lengths, begins, decided);
      }
    }
    Arrays.sort(ends);
    List<Decides> decides = new ArrayList<>();
    for (int i = 0; i < decided.length; i++) {
      if (decided[i] > 0) {
        decides.add(new Decides(demands.activities().get(i).id(), decided[i] / (double) lateRuns));
      }
    }
    decides.sort(Comparator.comparingDouble(Decides::share).reversed());
    return new Likelihood(runs, (runs - lateRuns) / (double) runs, at(ends, 0.5), at(ends, LATE), decides);
  }

  private static void count(Order order, double[] planned, double[] lengths, double[] begins, int[] decided) {
    int at = order.last(lengths, begins);
    int most = at;
    while (at >= 0) {
      most = lengths[at] - planned[at] > lengths[most] - planned[most] ? at : most;
      int k = order.binding(at, lengths, begins);
      at = k < 0 ? k : order.before[at][k];
    }
    decided[most]++;
  }

  private static Duration at(double[] sorted, double share) {
    return Duration.ofMillis(Math.round(sorted[(int) Math.min(sorted.length - 1.0, share * sorted.length)] * 1_000));
  }
}
