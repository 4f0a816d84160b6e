package neatlanyard.core.timeline.learned;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TypeId;
import org.testng.annotations.Test;

/** How what was said came true. */
public class CalibrationTest {
  private static final Instant AT = Instant.parse("2027-01-14T07:00:00Z");

  private static Foretold said(double likely, boolean byClock, boolean came) {
    Instant wanted = AT.plusSeconds(600);
    return new Foretold(new FlightId("f"), new TypeId("xx"), AT, wanted, likely, byClock,
        Optional.of(came ? wanted : wanted.plusMillis(1)));
  }

  /** @param truth how likely it is of which so much was said */
  private static List<Foretold> made(int n, DoubleUnaryOperator truth) {
    Random random = new Random(2705);
    List<Foretold> all = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      double likely = Math.round(random.nextDouble() * 1_000) / 1_000.0;
      all.add(said(likely, random.nextBoolean(), random.nextDouble() < truth.applyAsDouble(likely)));
    }
    return all;
  }

  /** Worked by hand: (0.2² + 0.3² + 0.6²) / 3, and of a clock that was right twice of three times. */
  @Test
  public void the_score_is_that_of_brier() {
    Calibration c = Calibration.of(List.of(said(0.8, true, true), said(0.3, false, false), said(0.6, true, false)));
    assertThat(c.brier()).isCloseTo((0.04 + 0.09 + 0.36) / 3, within(1e-12));
    assertThat(c.clock()).isCloseTo(1.0 / 3, within(1e-12));
    assertThat(c.base()).isCloseTo(2.0 / 9, within(1e-12));
    assertThat(Calibration.of(List.of())).isEqualTo(new Calibration(0, List.of(), 0, 0, 0, 0));
  }

  /** Solved by hand of (p - s)² = z² p (1 - p) / n: of 10 of 10 n / (n + z²), of half half less or more. */
  @Test
  public void the_bounds_are_those_of_wilson() {
    double z2 = 1.959964 * 1.959964;
    List<Foretold> sure = new ArrayList<>();
    List<Foretold> half = new ArrayList<>();
    for (int i = 0; i < 20; i++) {
      sure.add(said(0.9, true, true));
      half.add(said(0.5, true, i < 10));
    }
    Calibration.Group all = Calibration.of(sure).groups().getFirst();
    assertThat(all.least()).isCloseTo(20 / (20 + z2), within(1e-6));
    assertThat(all.most()).isEqualTo(1);
    Calibration.Group some = Calibration.of(half).groups().getFirst();
    assertThat(some.least()).isCloseTo(0.5 - Math.sqrt(z2 / (20 + z2)) / 2, within(1e-6));
    assertThat(some.most()).isCloseTo(0.5 + Math.sqrt(z2 / (20 + z2)) / 2, within(1e-6));
  }

  /** Whoever says the truth has it within bounds; who says too much has not, and scores worse. */
  @Test
  public void who_says_the_truth_is_told_so_and_who_says_too_much_too() {
    Calibration good = Calibration.of(made(4_000, p -> p));
    assertThat(good.groups()).hasSize(8).allSatisfy(g ->
        assertThat(g.said()).isBetween(g.least() - 0.02, g.most() + 0.02));
    Calibration sure = Calibration.of(made(4_000, p -> 0.5 + (p - 0.5) / 3));
    assertThat(sure.groups().getLast().most()).isLessThan(sure.groups().getLast().said());
    assertThat(sure.groups().getFirst().least()).isGreaterThan(sure.groups().getFirst().said());
    assertThat(sure.brier()).isGreaterThan(good.brier());
    assertThat(good.groups().stream().mapToInt(Calibration.Group::count).sum()).isEqualTo(4_000);
  }
}
