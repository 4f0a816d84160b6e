package neatlanyard.core.timeline.learned;

import java.util.List;

/**
 * Means of several groups that lend each other strength: groups differ by a normal distribution whose mean and
 * variance come from all of them (empirical Bayes), the variance by the method of moments (DerSimonian and Laird 1986,
 * equation 8), and each group's own mean is drawn towards the common one the more, the less is known of it.
 *
 * @param mean of all, each weighed by how much is known of it
 * @param error standard error of that
 * @param between variance of the groups' true means; 0 where they differ by no more than chance
 */
public record Pooled(double mean, double error, double between) {
  /** A group. @param mean of it as measured @param variance of that mean, more than 0 */
  public record Group(double mean, double variance) {}

  /** A mean with its variance. */
  public record Estimate(double mean, double variance) {}

  /** @throws IllegalArgumentException when there is no group */
  public static Pooled of(List<Group> groups) {
    if (groups.isEmpty()) {
      throw new IllegalArgumentException("Nothing to pool");
    }
    double sum = groups.stream().mapToDouble(g -> 1 / g.variance()).sum();
    double squares = groups.stream().mapToDouble(g -> 1 / (g.variance() * g.variance())).sum();
    double fixed = groups.stream().mapToDouble(g -> g.mean() / g.variance()).sum() / sum;
    double q = groups.stream().mapToDouble(g -> (g.mean() - fixed) * (g.mean() - fixed) / g.variance()).sum();
    double scale = sum - squares / sum;
    double between = scale > 0 ? Math.max(0, (q - (groups.size() - 1)) / scale) : 0;
    double weights = groups.stream().mapToDouble(g -> 1 / (g.variance() + between)).sum();
    double mean = groups.stream().mapToDouble(g -> g.mean() / (g.variance() + between)).sum() / weights;
    return new Pooled(mean, Math.sqrt(1 / weights), between);
  }

  /** What to believe of one of the groups. */
  public Estimate of(Group group) {
    double own = between / (between + group.variance());
    return new Estimate(mean + own * (group.mean() - mean),
        own * group.variance() + (1 - own) * (1 - own) * error * error);
  }

  /** What to believe of a group nothing is known of. */
  public Estimate unseen() {
    return new Estimate(mean, between + error * error);
  }
}
