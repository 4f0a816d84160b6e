package neatlanyard.core.controls.trend;

import static neatlanyard.core.controls.ControlSpecs.TWIN;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.Practice;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.controls.simulated.Ground;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Recorder;
import neatlanyard.core.controls.simulated.SimulatedCheck;
import neatlanyard.core.controls.trend.ControlTrend.Checked;
import neatlanyard.core.controls.trend.Measure.Quantity;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.trend.Line;
import neatlanyard.core.trend.Segments;
import org.hipparchus.stat.regression.SimpleRegression;
import org.testng.annotations.Test;

public class ControlTrendTest {
  private static final TailId TAIL = new TailId("TL-DVA");
  private static final Instant FIRST = Instant.parse("2026-05-04T06:00:00Z");

  private static List<Line.Point> row(int n, double noise, long seed, DoubleUnaryOperator of) {
    SplittableRandom chance = new SplittableRandom(seed);
    return IntStream.range(0, n)
        .mapToObj(i -> new Line.Point(i * 0.5, of.applyAsDouble(i * 0.5) + noise * chance.nextGaussian())).toList();
  }

  /** Every way to cut a short row, each piece fitted by a statistics library: none is better than what is found. */
  @Test
  public void no_partition_is_better_than_the_one_that_is_found() {
    for (int seed = 0; seed < 40; seed++) {
      double jump = seed % 4;
      List<Line.Point> row = row(22, 0.2, seed, x -> x < 5 ? 0.1 * x : 0.1 * x - jump);
      List<Integer> found = Segments.of(row);
      double best = Double.POSITIVE_INFINITY;
      for (int a = Segments.LEAST; a <= row.size() - Segments.LEAST; a++) {
        best = Math.min(best, squares(row, List.of(0, a)));
        for (int b = a + Segments.LEAST; b <= row.size() - Segments.LEAST; b++) {
          if (found.size() == 3) {
            best = Math.min(best, squares(row, List.of(0, a, b)));
          }
        }
      }
      double whole = squares(row, List.of(0));
      if (found.size() > 1) {
        assertThat(squares(row, found)).as("seed %d", seed).isCloseTo(best, within(1e-9)).isLessThan(whole);
      }
    }
  }

  private static double squares(List<Line.Point> row, List<Integer> starts) {
    double sum = 0;
    for (int k = 0; k < starts.size(); k++) {
      SimpleRegression fit = new SimpleRegression();
      int to = k + 1 < starts.size() ? starts.get(k + 1) : row.size();
      row.subList(starts.get(k), to).forEach(p -> fit.addData(p.x(), p.y()));
      sum += fit.getSumSquaredErrors();
    }
    return sum;
  }

  /** Property: a row that never changes seldom seems to, and one that stops falling is cut where it does. */
  @Test
  public void changes_are_found_where_they_are_and_seldom_where_none_is() {
    int alarms = 0;
    int found = 0;
    int rounds = 500;
    for (int seed = 0; seed < rounds; seed++) {
      alarms += Segments.of(row(70, 0.1, seed, x -> 15 - 0.02 * x)).size() > 1 ? 1 : 0;
      List<Integer> starts = Segments.of(row(70, 0.1, seed, x -> x < 20 ? 15 - 0.1 * x : 15));
      found += starts.size() == 2 && Math.abs(starts.get(1) - 40) <= 2 ? 1 : 0;
    }
    assertThat((double) alarms / rounds).isLessThan(0.02);
    assertThat((double) found / rounds).isGreaterThan(0.95);
  }

  /** Eight months of checks of one tail whose left aileron loses a tenth of a degree a week. */
  private static List<Checked> months(double aWeek, int weeks) {
    List<Checked> checks = new ArrayList<>();
    for (int i = 0; i < 2 * weeks; i++) {
      SplittableRandom chance = new SplittableRandom(4_600 + i);
      List<Fault> faults = aWeek == 0 ? List.of()
          : List.of(new Fault(Fault.Kind.SHORT, "aileron-left", 0.01 + aWeek * i / 2));
      checks.add(new Checked(TAIL, FIRST.plus(Duration.ofHours(84L * i)), Measure.of(TWIN, ControlCheck.judge(TWIN,
          Practice.ANY, SimulatedCheck.drawn(TWIN, Hand.steady(), faults, Ground.STANDING,
          new Recorder(20, 0.1, 0.1, 0.05, 0, 0, 0), chance)))));
    }
    return checks;
  }

  @Test
  public void an_aileron_that_loses_a_tenth_of_a_degree_a_week_is_found_long_before_it_fails() {
    List<ControlTrend> trends = ControlTrend.of(months(0.02, 34));
    ControlTrend worst = trends.getFirst();
    assertThat(worst.of()).isEqualTo("Left aileron");
    assertThat(worst.trend().aWeek()).isCloseTo(-0.02, within(0.004));
    assertThat(worst.worsens()).isTrue();
    double left = (worst.trend().last() - worst.limit()) / 0.02;
    assertThat(worst.trend().weeks().orElseThrow()).isBetween((int) (left * 0.7), (int) (left * 1.3) + 1);
    assertThat(worst.trend().prudentWeeks().orElseThrow()).isLessThanOrEqualTo(worst.trend().weeks().orElseThrow());
    assertThat(worst.words()).contains("loses 0.02").contains("weeks");
    assertThat(trends.stream().filter(ControlTrend::worsens)).allMatch(t -> t.of().toLowerCase(java.util.Locale.ROOT)
        .contains("aileron"));
  }

  /** A control that stopped short says nothing of how far its surface goes. */
  @Test
  public void half_a_stick_is_no_travel() {
    List<Measure> half = Measure.of(TWIN, ControlCheck.judge(TWIN, Practice.ANY, SimulatedCheck.drawn(TWIN,
        Hand.steady().stoppingAt(Axis.YAW, 72), List.of(), Ground.STANDING, Recorder.GOOD, new SplittableRandom(1))));
    assertThat(half).filteredOn(m -> m.of().equals("Rudder")).extracting(Measure::quantity)
        .doesNotContain(Quantity.TRAVEL_POSITIVE, Quantity.TRAVEL_NEGATIVE);
    assertThat(half).filteredOn(m -> m.of().equals("Elevator")).extracting(Measure::quantity)
        .contains(Quantity.TRAVEL_POSITIVE, Quantity.TRAVEL_NEGATIVE);
  }

  @Test
  public void a_sound_tail_keeps() {
    assertThat(ControlTrend.of(months(0, 34))).isNotEmpty().noneMatch(ControlTrend::worsens)
        .extracting(ControlTrend::quantity).contains(Quantity.values());
  }
}
