package neatlanyard.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import neatlanyard.core.gauge.Judged.Level;
import neatlanyard.core.gauge.Readings.EarlierReading;
import neatlanyard.core.trend.Schedule;
import neatlanyard.core.units.Multilinear;
import org.hipparchus.stat.descriptive.rank.Median;
import org.testng.annotations.Test;

/** Readings against tables, against each other and against their own past. Numbers of the tests are invented. */
public class RunUpTest {
  private static final Setting STABILATOR = new Setting(
      List.of(new Setting.By("weight", new double[] {4_800, 5_400, 6_000}),
      new Setting.By("wind", new double[] {15, 35})), new double[] {3.3, 2.8, 3.8, 3.2, 4.4, Double.NaN}, 0.2, 0.2);

  private static Readings with(Map<String, Double> others, double... past) {
    return new Readings(OptionalDouble.of(-2), others,
        DoubleStream.of(past).mapToObj(v -> new EarlierReading(0, 0, v)).toList(), Optional.empty(), 2, "QTRN",
        Schedule.NONE);
  }

  private static Level level(Gauge gauge, double value, Readings around) {
    return gauge.judge(value, "", around).level();
  }

  @Test
  public void a_setting_goes_by_its_table_and_never_beyond_it() {
    Readings half = with(Map.of("weight", 5_100.0, "wind", 25.0));
    double wanted = (3.3 + 2.8 + 3.8 + 3.2) / 4;
    assertThat(STABILATOR.allowed(half).least()).isCloseTo(wanted - 0.2, within(1e-9));
    assertThat(STABILATOR.allowed(half).most()).isCloseTo(wanted + 0.2, within(1e-9));
    assertThat(level(STABILATOR, wanted + 0.19, half)).isEqualTo(Level.AS_IT_SHOULD_BE);
    assertThat(STABILATOR.judge(wanted + 0.5, "°", half).words()).isEqualTo("3.8 °; by the table it is 3.3 °.");
    assertThat(level(STABILATOR, 3, with(Map.of("weight", 6_001.0, "wind", 25.0)))).isEqualTo(Level.OUT);
    assertThat(level(STABILATOR, 3, with(Map.of("weight", 5_900.0, "wind", 35.0)))).as("a hole").isEqualTo(Level.OUT);
    assertThat(level(STABILATOR, 3, with(Map.of("weight", 5_100.0)))).as("no wind read").isEqualTo(Level.SOON);
    assertThat(STABILATOR.comparesWith()).containsExactly("weight", "wind");
    Setting byAir = new Setting(List.of(new Setting.By(Setting.OUTSIDE, new double[] {-10, 10})),
        new double[] {40, 44}, 1, 1);
    assertThat(byAir.allowed(with(Map.of())).least()).isCloseTo(40.6, within(1e-9));
    assertThatThrownBy(() -> new Setting(List.of(), new double[] {1, 2}, 0, 0)).hasMessageContaining("1 values");
    assertThatThrownBy(() -> new Setting.By("x", new double[] {2, 2})).hasMessageContaining("does not rise");
  }

  /** Property: on a plane of any slope the interpolation is the plane itself. */
  @Test
  public void between_its_points_a_table_is_straight() {
    Random random = new Random(7);
    double[][] points = {{0, 1, 4}, {-3, 5}, {10, 11, 12}};
    for (int round = 0; round < 200; round++) {
      double[] slope = random.doubles(3, -5, 5).toArray();
      double[] values = new double[18];
      int n = 0;
      for (double x : points[0]) {
        for (double y : points[1]) {
          for (double z : points[2]) {
            values[n++] = slope[0] * x + slope[1] * y + slope[2] * z;
          }
        }
      }
      double[] at = {random.nextDouble(0, 4), random.nextDouble(-3, 5), random.nextDouble(10, 12)};
      assertThat(Multilinear.at(points, values, at))
          .isCloseTo(slope[0] * at[0] + slope[1] * at[1] + slope[2] * at[2], within(1e-9));
    }
  }

  /** A drop of nothing is as wrong as one of too much: common practice, no source. */
  @Test
  public void a_magneto_that_does_not_drop_is_still_live() {
    Drop drop = new Drop("both", 10, 100);
    Readings both = with(Map.of("both", 2_050.0));
    assertThat(level(drop, 1_980, both)).isEqualTo(Level.AS_IT_SHOULD_BE);
    assertThat(level(drop, 1_940, both)).isEqualTo(Level.OUT);
    assertThat(drop.judge(2_045, "rpm", both).words()).contains("may still work");
    assertThat(level(drop, 1_980, with(Map.of()))).isEqualTo(Level.SOON);
    for (double v = 1_900; v < 2_100; v += 1) {
      assertThat(drop.allowed(both).holds(v)).isEqualTo(!level(drop, v, both).find());
    }
  }

  /** Second opinion: the median of a statistics library. */
  @Test
  public void one_of_four_is_held_against_the_middle_of_the_others_and_its_own_past() {
    Alike alike = new Alike(List.of("a", "b", "c"), 20);
    Random random = new Random(3);
    for (int round = 0; round < 200; round++) {
      double[] v = random.doubles(3, 0, 100).toArray();
      double mine = random.nextDouble(0, 100);
      Readings around = with(Map.of("a", v[0], "b", v[1], "c", v[2]));
      assertThat(level(alike, mine, around).find()).isEqualTo(Math.abs(mine - new Median().evaluate(v)) > 20);
    }
    assertThat(level(alike, 500, with(Map.of()))).as("the first one read").isEqualTo(Level.AS_IT_SHOULD_BE);
    AsBefore before = new AsBefore(25);
    assertThat(level(before, 2_400, with(Map.of(), 2_500, 2_510))).isEqualTo(Level.AS_IT_SHOULD_BE);
    assertThat(level(before, 2_470, with(Map.of(), 2_500, 2_510, 2_490))).isEqualTo(Level.SOON);
    assertThat(level(before, 2_480, with(Map.of(), 9_999, 2_500, 2_510, 2_490))).isEqualTo(Level.AS_IT_SHOULD_BE);
  }

  @Test
  public void of_several_rules_the_worst_stands() {
    Several several = new Several(List.of(new Alike(List.of("a"), 20), new AsBefore(5)));
    Readings around = with(Map.of("a", 100.0), 90, 91, 92);
    assertThat(Stream.of(91.0, 99.0, 130.0).map(v -> level(several, v, around)))
        .containsExactly(Level.AS_IT_SHOULD_BE, Level.SOON, Level.OUT);
    assertThat(several.judge(99, "", around).arithmetic()).hasSize(2);
    assertThat(several.allowed(around).holds(121)).isFalse();
    assertThat(several.comparesWith()).containsExactly("a");
  }
}
