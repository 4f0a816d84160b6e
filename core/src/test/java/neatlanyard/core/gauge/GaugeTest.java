package neatlanyard.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import neatlanyard.core.gauge.Judged.Level;
import neatlanyard.core.gauge.Readings.EarlierReading;
import neatlanyard.core.trend.Schedule;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class GaugeTest {
  private static final Tyre TYRE = new Tyre(100, 15, 5, 10, "other", 5);
  private static final Bottle FIRE = new Bottle(21, 550, 600, 750);
  private static final CrewOxygen OXYGEN = new CrewOxygen(50, 12, 20, Map.of("QBRN", 45.0), 300, "observers", 21);

  private static Readings at(double temperatureC, Map<String, Double> others) {
    return new Readings(OptionalDouble.of(temperatureC), others, List.of(), Optional.empty(), 2, "QVSK",
        Schedule.NONE);
  }

  private static Level level(Gauge gauge, double value, Readings around) {
    return gauge.judge(value, "", around).level();
  }

  /** FAA AC 20-97B: about 1 % for 3 °C (5 °F). */
  @Test
  public void a_tyre_is_judged_at_the_temperature_of_the_day() {
    assertThat(TYRE.should(12)).isCloseTo(99, within(1e-9));
    assertThat(TYRE.should(-15)).isCloseTo(90, within(1e-9));
    assertThat(level(TYRE, 90, at(-15, Map.of()))).isEqualTo(Level.AS_IT_SHOULD_BE);
    assertThat(level(TYRE, 90, at(15, Map.of()))).as("the same reading on a mild day").isEqualTo(Level.SOON);
    assertThat(level(TYRE, 85, at(15, Map.of()))).isEqualTo(Level.OUT);
    assertThat(level(TYRE, 92, at(-5, Map.of("other", 99.0)))).as("7 apart, 5 is the most").isEqualTo(Level.OUT);
    assertThat(TYRE.judge(92, "psi", at(-5, Map.of("other", 99.0))).words()).contains("7 psi apart");
  }

  /** Second opinion: the gas law over the same range agrees within 3 % of the pressure, well inside the bands. */
  @Test
  public void the_rule_of_thumb_follows_the_gas_law() {
    for (double t = -25; t <= 35; t += 2.5) {
      assertThat(TYRE.should(t)).isCloseTo(Gas.gaugePsi(100, 15, t), within(3.0));
    }
  }

  /** Ideal gas law: 1 850 psi (absolute) at 21 °C is 1 724 psi at 1 °C. */
  @Test
  public void gas_in_a_bottle_follows_its_temperature() {
    assertThat(1_850 * Gas.ratio(21, 1)).isCloseTo(1_724, within(0.5));
    Random random = new Random(5);
    for (int i = 0; i < 300; i++) {
      double p = random.nextDouble() * 3_000;
      double a = random.nextDouble() * 80 - 40;
      double b = random.nextDouble() * 80 - 40;
      assertThat(Gas.gaugePsi(Gas.gaugePsi(p, a, b), b, a)).isCloseTo(p, within(1e-6));
      assertThat(Gas.gaugePsi(p, a, b) > p).isEqualTo(b > a);
    }
    assertThat(level(FIRE, 560, at(-20, Map.of()))).as("650 psi at 21 °C").isEqualTo(Level.AS_IT_SHOULD_BE);
    assertThat(level(FIRE, 560, at(21, Map.of()))).isEqualTo(Level.SOON);
    assertThat(level(FIRE, 500, at(21, Map.of()))).isEqualTo(Level.OUT);
    assertThat(level(FIRE, 760, at(21, Map.of()))).isEqualTo(Level.OUT);
  }

  /** Common practice, no source: 1 000 psi may do for a route, 1 800 to 1 850 is usual. */
  @Test
  public void oxygen_is_judged_by_route_people_and_temperature() {
    assertThat(OXYGEN.needPsi(2, 20)).isCloseTo(2 * 20 * 12 / 50.0 * 14.696 + 300, within(0.1));
    assertThat(level(OXYGEN, 1_000, at(21, Map.of()))).isEqualTo(Level.AS_IT_SHOULD_BE);
    assertThat(level(OXYGEN, 420, at(21, Map.of()))).as("under what two people need").isEqualTo(Level.OUT);
    assertThat(level(OXYGEN, 440, at(-10, Map.of()))).as("cold, it holds more than the gauge says")
        .isEqualTo(Level.SOON);
    assertThat(OXYGEN.judge(500, "psi", at(21, Map.of("observers", 2.0))).words()).contains("4 people to QVSK");
    Readings far = new Readings(OptionalDouble.of(21), Map.of(), List.of(), Optional.empty(), 2, "QBRN",
        Schedule.NONE);
    assertThat(level(OXYGEN, 600, far)).as("45 min to Brannoch").isEqualTo(Level.OUT);
  }

  /** Common practice, no source: a sag of not more than 100 psi. */
  @Test
  public void a_sag_over_the_limit_names_the_valve() {
    Sag sag = new Sag("oxygen", 100);
    assertThat(level(sag, 1_750, at(15, Map.of("oxygen", 1_850.0)))).isEqualTo(Level.AS_IT_SHOULD_BE);
    assertThat(sag.judge(1_749, "psi", at(15, Map.of("oxygen", 1_850.0))).words()).contains("101 psi")
        .contains("valve is not fully open");
    assertThat(level(sag, 1_749, at(15, Map.of()))).isEqualTo(Level.SOON);
  }

  @Test
  public void a_pin_says_how_many_landings_are_left_and_on_what_day() {
    WearPin pin = new WearPin(0, 120, 8);
    List<EarlierReading> past = IntStream.range(0, 12).mapToObj(n -> new EarlierReading(1_000 + n * 20, 900,
        14 - n * 0.9 + (n % 3) * 0.1))
        .toList();
    LocalDate today = LocalDate.of(2027, 1, 14);
    Judged judged = pin.judge(4.0, "mm",
        new Readings(OptionalDouble.empty(), Map.of(), past, Optional.of(new Usage(1_240, 1_060)), 2, "",
        new Schedule(today, List.of(), 6)));
    assertThat(judged.level()).isEqualTo(Level.SOON);
    assertThat(judged.words()).contains("4 mm stands out").contains("landings left, safely").contains("2027-01-");
    assertThat(level(pin, 0, Readings.NONE)).as("flush is worn out").isEqualTo(Level.OUT);
    assertThat(level(pin, 9, Readings.NONE)).isEqualTo(Level.AS_IT_SHOULD_BE);
  }

  /** Common practice, no source: at least 20 US quarts before start on a large turbofan, 26 is plenty. */
  @Test
  public void oil_is_judged_by_quantity_and_by_what_it_uses() {
    Oil oil = new Oil(20, 26, 0.4);
    assertThat(level(oil, 19, Readings.NONE)).isEqualTo(Level.OUT);
    assertThat(level(oil, 22, Readings.NONE)).isEqualTo(Level.SOON);
    assertThat(level(oil, 26, Readings.NONE)).isEqualTo(Level.AS_IT_SHOULD_BE);
    assertThat(oil.judge(26, "qt", oilOf(30.0)).words()).as("4 quarts in 8 hours").contains("0.50 qt an hour");
    assertThat(level(oil, 26, oilOf(27.0))).isEqualTo(Level.AS_IT_SHOULD_BE);
    assertThat(level(oil, 26, oilOf(22.0))).as("filled since").isEqualTo(Level.AS_IT_SHOULD_BE);
  }

  private static Readings oilOf(double last) {
    return new Readings(OptionalDouble.empty(), Map.of(), List.of(new EarlierReading(9, 100, last)),
        Optional.of(new Usage(18, 108)), 2, "", Schedule.NONE);
  }

  @Test
  public void a_tail_has_flown_what_it_had_and_the_flights_since() {
    Usage usage = Usage.of(List.of(new EarlierReading(100, 70, 1), new EarlierReading(200, 140, 1)), 3).orElseThrow();
    assertThat(usage.landings()).isEqualTo(203);
    assertThat(usage.hours()).isCloseTo(142.1, within(1e-9));
    assertThat(Usage.of(List.of(), 3)).isEmpty();
  }

  @Test
  public void fuel_is_uplift_by_density_and_two_tanks_on_a_slope_are_judged_by_their_sum() {
    Uplift uplift = new Uplift("before", "litres", "density", "ordered", 60);
    Map<String, Double> entered = Map.of("before", 820.0, "litres", 1_500.0, "density", 0.8, "ordered", 2_000.0);
    assertThat(level(uplift, 2_020, at(0, entered))).isEqualTo(Level.AS_IT_SHOULD_BE);
    assertThat(uplift.judge(1_900, "kg", at(0, entered)).words()).contains("120 kg apart")
        .contains("100 kg less than ordered");
    Between tanks = new Between(
        new Band(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty()),
        "right", 90, true);
    assertThat(level(tanks, 1_000, at(0, Map.of("right", 1_050.0)))).isEqualTo(Level.AS_IT_SHOULD_BE);
    assertThat(tanks.judge(900, "kg", at(0, Map.of("right", 1_100.0))).words()).contains("judge the sum, 2 000 kg");
  }

  @Test
  public void missing_wicks_go_with_an_entry_up_to_the_allowance() {
    Missing wicks = new Missing(1);
    assertThat(IntStream.range(0, 3).mapToObj(n -> level(wicks, n, Readings.NONE)))
        .containsExactly(Level.AS_IT_SHOULD_BE, Level.ENTRY, Level.OUT);
  }

  @DataProvider
  static Object[][] gauges() {
    OptionalDouble none = OptionalDouble.empty();
    return new Object[][] {
      {new Band(OptionalDouble.of(20), OptionalDouble.of(30), none, none)}, {TYRE}, {FIRE}, {OXYGEN},
          {new Oil(20, 26, 1)},
      {new WearPin(2, 50, 8)}, {new Sag("other", 50)},
      {new Between(new Band(OptionalDouble.of(20), none, none, none), "x", 9, false)}};
  }

  /** Property: for what may only be too low, more never makes it worse; and no value whatever makes the rule fail. */
  @Test(dataProvider = "gauges")
  public void more_is_never_worse(Gauge gauge) {
    Readings around = at(4, Map.of("other", 60.0));
    Random random = new Random(9);
    for (int i = 0; i < 300; i++) {
      double value = random.nextDouble() * 90;
      double more = value + random.nextDouble() * 10;
      if (!(gauge instanceof Tyre)) {
        assertThat(level(gauge, more, around)).isLessThanOrEqualTo(level(gauge, value, around));
      }
      Judged judged = gauge.judge(value * 1e4 - 4e5, "psi", around);
      assertThat(judged.words()).isNotBlank();
      assertThat(judged.source()).isNotBlank();
    }
  }

  @DataProvider
  static Object[][] allGauges() {
    OptionalDouble none = OptionalDouble.empty();
    Band band = new Band(OptionalDouble.of(20), none, none, OptionalDouble.of(70));
    Object[][] more = {
      {band}, {new Between(band, "other", 9, true)}, {new Missing(2)},
          {new Uplift("other", "litres", "density", "ordered", 10)},
      {new TrimBand("other", List.of(new TrimBand.Row(10, 20, 30), new TrimBand.Row(60, 40, 55)))}};
    return Stream.of(gauges(), more).flatMap(Stream::of).toArray(Object[][]::new);
  }

  /** Property: what is allowed is told before anybody reads, and it is just what needs no find. */
  @Test(dataProvider = "allGauges")
  public void what_is_allowed_is_what_needs_no_find(Gauge gauge) {
    Random random = new Random(21);
    for (int i = 0; i < 500; i++) {
      Map<String, Double> others = new HashMap<>();
      Stream.of("other", "x", "litres", "density", "ordered").filter(q -> random.nextInt(4) > 0)
          .forEach(q -> others.put(q, q.equals("density") ? 0.8 : (double) random.nextInt(90)));
      Readings around = at(random.nextInt(70) - 30, others);
      double value = random.nextInt(900) / 10.0;
      assertThat(gauge.allowed(around).holds(value)).as("%s with %s", value, around)
          .isEqualTo(!level(gauge, value, around).find());
    }
  }

  @Test
  public void tenths_that_are_as_far_apart_as_they_may_be_are_not_too_far() {
    Between struts = new Between(
        new Band(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty()),
        "left", 0.2, false);
    for (int tenths = 0; tenths < 300; tenths++) {
      Readings around = at(15, Map.of("left", tenths / 10.0));
      assertThat(level(struts, (tenths + 2) / 10.0, around)).isEqualTo(Level.AS_IT_SHOULD_BE);
      assertThat(level(struts, (tenths + 3) / 10.0, around)).isEqualTo(Level.OUT);
    }
  }

  /**
   * Property: the band's ends move in a straight line, and what lies between them is in it. Numbers made up for the
   * test.
   */
  @Test
  public void the_trim_band_follows_the_centre_of_gravity() {
    TrimBand band = new TrimBand("cg", List.of(new TrimBand.Row(30, 1, 3), new TrimBand.Row(10, 5, 7)));
    Random random = new Random(3);
    for (int i = 0; i < 200; i++) {
      double percent = 10 + random.nextDouble() * 20;
      double least = 5 - (percent - 10) / 5;
      double trim = random.nextDouble() * 10;
      Level wanted = trim < least || trim > least + 2 ? Level.OUT : Level.AS_IT_SHOULD_BE;
      assertThat(level(band, trim, at(15, Map.of("cg", percent)))).as("%s at %s", trim, percent).isEqualTo(wanted);
    }
    assertThat(level(band, 4, at(15, Map.of()))).isEqualTo(Level.SOON);
    assertThat(level(band, 4, at(15, Map.of("cg", 31.0)))).isEqualTo(Level.OUT);
  }
}
