package neatlanyard.core.timeline.learned;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * How what was said came true: whether of those of which it was said that eight in ten are on time, eight in ten were.
 *
 * @param groups from the least likely to the most; none is empty
 * @param brier mean square of what was said less what came (1 or 0): 0 is always right, 0.25 always one half
 *     (Brier 1950, "Verification of forecasts expressed in terms of probability", Monthly Weather Review 78)
 * @param clock the same of the plain clock, which says 1 or 0
 * @param base the same of whoever always says the share of all that came
 * @param came share of all that were on time
 */
public record Calibration(int count, List<Group> groups, double brier, double clock, double base, double came) {
  private static final int MOST_GROUPS = 8;
  /** Fewer in a group say nothing of a share. */
  private static final int LEAST_IN_GROUP = 12;
  /** Of the normal distribution, for 95 of 100. */
  private static final double Z = 1.959963984540054;

  public Calibration {
    groups = List.copyOf(groups);
  }

  /**
   * Departures of which nearly the same was said.
   *
   * @param said mean of it
   * @param came share of them that were on time; the truth lies from {@code least} to {@code most} in 95 of 100 cases
   *     (Wilson 1927, "Probable inference", Journal of the American Statistical Association 22)
   */
  public record Group(int count, double said, double came, double least, double most) {}

  /** Of those that are over; all zero where there is none. */
  public static Calibration of(List<Foretold> all) {
    List<Foretold> over = all.stream().filter(f -> f.over().isPresent())
        .sorted(Comparator.comparingDouble(Foretold::likely)).toList();
    double came = share(over);
    return new Calibration(over.size(), groups(over),
        mean(over, Foretold::likely), mean(over, f -> f.byClock() ? 1 : 0), mean(over, f -> came), came);
  }

  /** As many in each as may be alike; what was said alike is never parted. */
  private static List<Group> groups(List<Foretold> sorted) {
    int size = Math.max(LEAST_IN_GROUP, (sorted.size() + MOST_GROUPS - 1) / MOST_GROUPS);
    List<Group> groups = new ArrayList<>();
    int from = 0;
    while (from < sorted.size()) {
      int to = Math.min(sorted.size(), from + size);
      while (to < sorted.size() && sorted.get(to).likely() == sorted.get(to - 1).likely()) {
        to++;
      }
      to = sorted.size() - to < LEAST_IN_GROUP ? sorted.size() : to;
      groups.add(group(sorted.subList(from, to)));
      from = to;
    }
    return groups;
  }

  private static Group group(List<Foretold> of) {
    double n = of.size();
    double p = share(of);
    double middle = (p + Z * Z / (2 * n)) / (1 + Z * Z / n);
    double half = Z / (1 + Z * Z / n) * Math.sqrt(p * (1 - p) / n + Z * Z / (4 * n * n));
    return new Group(of.size(), of.stream().mapToDouble(Foretold::likely).average().orElse(0), p,
        Math.max(0, middle - half), Math.min(1, middle + half));
  }

  private static double share(List<Foretold> of) {
    return of.stream().mapToDouble(f -> f.came() ? 1 : 0).average().orElse(0);
  }

  private static double mean(List<Foretold> of, java.util.function.ToDoubleFunction<Foretold> said) {
    return of.stream().mapToDouble(f -> {
      double off = said.applyAsDouble(f) - (f.came() ? 1 : 0);
      return off * off;
    }).average().orElse(0);
  }
}
