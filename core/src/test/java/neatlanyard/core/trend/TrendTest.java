package neatlanyard.core.trend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.testng.annotations.Test;

public class TrendTest {
  /**
   * NIST Statistical Reference Datasets, linear regression, "Norris": y, x. Certified values below from the same page.
   */
  private static final double[] NORRIS = {
    0.1, 0.2, 338.8, 337.4, 118.1, 118.2, 888.0, 884.6, 9.2, 10.1, 228.1, 226.5, 668.5, 666.3, 998.5, 996.3, 449.1,
        448.6,
    778.9, 777.0, 559.2, 558.2, 0.3, 0.4, 0.1, 0.6, 778.1, 775.5, 668.8, 666.9, 339.3, 338.0, 448.9, 447.5, 10.8, 11.6,
    557.7, 556.0, 228.3, 228.1, 998.0, 995.8, 888.8, 887.6, 119.6, 120.2, 0.3, 0.3, 0.6, 0.3, 557.6, 556.8, 339.3,
    339.1,
    888.0, 887.2, 998.5, 999.0, 778.9, 779.0, 10.2, 11.1, 117.6, 118.3, 228.9, 229.2, 668.4, 669.1, 449.2, 448.9, 0.2,
    0.5};

  @Test
  public void the_line_is_that_of_the_reference_data() {
    List<Line.Point> points = IntStream.range(0, NORRIS.length / 2)
        .mapToObj(i -> new Line.Point(NORRIS[2 * i + 1], NORRIS[2 * i])).toList();
    Line line = Line.through(points).orElseThrow();
    assertThat(line.intercept()).isCloseTo(-0.262323073774029, within(1e-10));
    assertThat(line.slope()).isCloseTo(1.00211681802045, within(1e-12));
    assertThat(line.residual()).isCloseTo(0.884796396144373, within(1e-10));
  }

  /** Property: of many simulated brakes, the next reading lies in the 95 % interval about 95 times in a hundred. */
  @Test
  public void the_interval_holds_the_next_reading_as_often_as_it_says() {
    Random random = new Random(11);
    int inside = 0;
    int rounds = 4_000;
    for (int i = 0; i < rounds; i++) {
      List<Line.Point> points = IntStream.range(0, 8)
          .mapToObj(n -> new Line.Point(n * 12, 40 - 0.03 * n * 12 + random.nextGaussian() * 0.4)).toList();
      Line line = Line.through(points).orElseThrow();
      double next = 40 - 0.03 * 130 + random.nextGaussian() * 0.4;
      inside += Math.abs(next - line.at(130)) <= line.reach(130, 0.95) ? 1 : 0;
    }
    assertThat((double) inside / rounds).isBetween(0.94, 0.96);
  }

  @Test
  public void a_changed_brake_begins_a_new_row_and_wear_meets_its_limit() {
    List<Line.Point> readings = new ArrayList<>();
    for (int n = 0; n < 10; n++) {
      readings.add(new Line.Point(n * 20, 10 - n * 0.8));
    }
    for (int n = 10; n < 16; n++) {
      readings.add(new Line.Point(n * 20, 38 - (n - 10) * 0.8 + (n % 2) * 0.1));
    }
    Wear wear = Wear.of(readings, 2, 5).orElseThrow();
    assertThat(wear.changes()).isEqualTo(1);
    assertThat(wear.since()).isEqualTo(6);
    assertThat(wear.expected()).isBetween(750, 850);
    assertThat(wear.prudent()).isLessThan(wear.expected()).isGreaterThan(400);
    assertThat(Wear.of(readings.subList(0, 12), 2, 5)).as("two readings of the new brake say nothing").isEmpty();
  }

  /** Property: a lower limit never leaves fewer landings, and prudent is never more than expected. */
  @Test
  public void less_to_wear_leaves_less() {
    Random random = new Random(3);
    for (int i = 0; i < 200; i++) {
      double worn = 0.01 + random.nextDouble() * 0.05;
      List<Line.Point> readings = IntStream.range(0, 4 + random.nextInt(10))
          .mapToObj(n -> new Line.Point(n * 10, 30 - worn * n * 10 + random.nextGaussian() * 0.05)).toList();
      Wear.of(readings, 2, 20).ifPresent(low -> {
        Wear high = Wear.of(readings, 4, 20).orElseThrow();
        assertThat(low.expected()).isGreaterThanOrEqualTo(high.expected());
        assertThat(low.prudent()).isGreaterThanOrEqualTo(high.prudent());
        assertThat(low.prudent()).isLessThanOrEqualTo(low.expected());
      });
    }
  }

  @Test
  public void landings_become_a_day_by_the_plan_and_then_by_the_rate() {
    LocalDate today = LocalDate.of(2027, 1, 14);
    Schedule schedule = new Schedule(today, List.of(today, today, today.plusDays(1)), 4);
    assertThat(schedule.dayOf(0)).contains(today);
    assertThat(schedule.dayOf(2)).contains(today);
    assertThat(schedule.dayOf(3)).contains(today.plusDays(1));
    assertThat(schedule.dayOf(3 + 40)).contains(today.plusDays(11));
    assertThat(Schedule.NONE.dayOf(5)).isEmpty();
  }
}
