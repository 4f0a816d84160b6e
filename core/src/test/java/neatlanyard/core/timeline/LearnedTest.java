package neatlanyard.core.timeline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.timeline.learned.Learned;
import neatlanyard.core.timeline.learned.Pooled;
import neatlanyard.core.timeline.learned.Pooled.Group;
import neatlanyard.core.timeline.learned.Took;
import org.hipparchus.stat.descriptive.StreamingStatistics;
import org.testng.annotations.Test;

/** What is learned from times, against published values, a statistics library and the truth that made them up. */
public class LearnedTest {
  /**
   * Eight schools (Rubin 1981; Gelman et al., Bayesian Data Analysis, section 5.5, from memory): the pooled mean is
   * 7.7 with a standard error of 4.1, and by the method of moments they do not differ by more than chance.
   */
  @Test
  public void eight_schools_are_one() {
    double[] means = {28, 8, -3, 7, -1, 1, 18, 12};
    double[] errors = {15, 10, 16, 11, 9, 11, 10, 18};
    List<Group> groups = IntStream.range(0, 8).mapToObj(i -> new Group(means[i], errors[i] * errors[i])).toList();
    Pooled pooled = Pooled.of(groups);
    assertThat(pooled.mean()).isCloseTo(7.7, within(0.05));
    assertThat(pooled.error()).isCloseTo(4.1, within(0.05));
    assertThat(pooled.between()).isZero();
    assertThat(pooled.of(groups.getFirst()).mean()).isEqualTo(pooled.mean());
  }

  /** Over thousands of made-up sets the variance between groups is right on the average, and drawing in helps. */
  @Test
  public void what_is_drawn_together_errs_less_than_each_by_itself() {
    Random random = new Random(4);
    StreamingStatistics between = new StreamingStatistics();
    double own = 0;
    double drawn = 0;
    for (int n = 0; n < 4_000; n++) {
      List<Group> groups = new ArrayList<>();
      List<Double> truth = new ArrayList<>();
      for (int g = 0; g < 12; g++) {
        double variance = 0.01 + 0.09 * random.nextDouble();
        truth.add(0.3 + 0.2 * random.nextGaussian());
        groups.add(new Group(truth.get(g) + Math.sqrt(variance) * random.nextGaussian(), variance));
      }
      Pooled pooled = Pooled.of(groups);
      between.addValue(pooled.between());
      for (int g = 0; g < 12; g++) {
        own += Math.pow(groups.get(g).mean() - truth.get(g), 2);
        drawn += Math.pow(pooled.of(groups.get(g)).mean() - truth.get(g), 2);
      }
    }
    assertThat(between.getMean()).isCloseTo(0.04, within(0.004));
    assertThat(drawn).isLessThan(0.75 * own);
  }

  /** Few times are no experience; many are, and nine of ten of what comes next lie within what they say. */
  @Test
  public void what_is_learned_is_what_comes_next() {
    ProcedureId flow = new ProcedureId("flow");
    ProcedureId walk = new ProcedureId("walk");
    Random random = new Random(6);
    List<Took> before = new ArrayList<>();
    for (int i = 0; i < 300; i++) {
      before.add(took(flow, Math.exp(0.2 + 0.3 * random.nextGaussian())));
      before.add(took(walk, Math.exp(-0.1 + 0.3 * random.nextGaussian())));
    }
    Duration hundred = Duration.ofSeconds(100);
    assertThat(Learned.of(before.subList(0, 30)).length(flow, false, false, hundred))
        .isEqualTo(Learned.NONE.length(flow, false, false, hundred));
    Length next = Learned.of(before).length(flow, false, false, hundred);
    assertThat(next.median().toMillis() / 1_000.0).isCloseTo(100 * Math.exp(0.2), within(5.0));
    int inside = 0;
    for (int i = 0; i < 5_000; i++) {
      double log = Math.log(Math.exp(0.2 + 0.3 * random.nextGaussian()) * 100_000 / next.median().toMillis());
      inside += Math.abs(log) <= 1.645 * next.spread() ? 1 : 0;
    }
    assertThat(inside / 5_000.0).isCloseTo(0.9, within(0.04));
  }

  /** Whatever was brought in, a plan stays one that can be made. */
  @Test
  public void nonsense_makes_nothing_ten_times_as_long() {
    ProcedureId flow = new ProcedureId("flow");
    List<Took> mad = IntStream.range(0, 200).mapToObj(i -> took(flow, i % 2 == 0 ? 1e6 : 9e5)).toList();
    Length length = Learned.of(mad).length(flow, false, false, Duration.ofSeconds(100));
    assertThat(length.median()).isEqualTo(Duration.ofSeconds(1_000));
    assertThat(length.spread()).isBetween(0.0, 2.0);
  }

  private static Took took(ProcedureId procedure, double times) {
    return new Took(new TypeId("type"), procedure, Instant.EPOCH, false, false, Duration.ofSeconds(60),
        Duration.ofMillis(Math.round(60_000 * times)));
  }
}
