package neatlanyard.core.dispatch;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.gauge.Alike;
import neatlanyard.core.gauge.Band;
import neatlanyard.core.gauge.Gauge;
import neatlanyard.core.gauge.Several;
import neatlanyard.core.sop.Quantity;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.trend.Trend;
import neatlanyard.core.units.Unit;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ReadingTrendTest {
  private static final Instant FIRST = Instant.parse("2026-05-04T06:00:00Z");
  private static final Gauge BAND = new Several(List.of(
      new Band(OptionalDouble.of(70), OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.of(100)),
      new Alike(List.of("another"), 5)));

  private static ReadingTrend trend(Optional<Gauge> gauge, double from, double aWeek) {
    Quantity oil = new Quantity(new QuantityId("oil"), "Oil pressure", Unit.PSI, gauge);
    List<ReadingHistory.Reading> read = IntStream.range(0, 20).mapToObj(i -> new ReadingHistory.Reading(
        new TailId("TL-BF4"), oil.id(), FIRST.plus(Duration.ofDays(7L * i)), i, i,
        from + aWeek * i + 0.1 * ((i * 7 % 5) - 2))).toList();
    return ReadingTrend.of(List.of(oil), read.reversed()).getFirst();
  }

  @DataProvider
  public Object[][] ways() {
    // The last lies 10 from its limit: at half a unit a week 20 weeks.
    return new Object[][] {{89.5, -0.5, "70 psi is the least; loses 0.50 psi a week, and meets it in 20 weeks"},
        {80.5, 0.5, "100 psi is the most; gains 0.50 psi a week, and meets it in"},
        {85, 0, "70 psi is the least; it keeps."}};
  }

  /** Which limit counts is the one it goes to; a rule that compares with another engine has none of its own. */
  @Test(dataProvider = "ways")
  public void it_goes_to_the_limit_that_lies_on_its_way(double from, double aWeek, String words) {
    ReadingTrend trend = trend(Optional.of(BAND), from, aWeek);
    assertThat(trend.words()).contains(words);
    assertThat(trend.worsens()).isEqualTo(aWeek != 0);
  }

  @Test
  public void without_a_limit_there_is_a_slope_and_nothing_to_meet() {
    ReadingTrend trend = trend(Optional.empty(), 80, -0.5);
    assertThat(trend.limit()).isEmpty();
    assertThat(trend.worsens()).isFalse();
    assertThat(trend.words()).startsWith("Oil pressure: 70.").endsWith("loses 0.50 psi a week.");
  }

  /** A voltmeter read to a tenth: two readings a tenth off are no change, and a fall by three tenths is one. */
  @Test
  public void what_is_read_in_steps_is_not_cut_at_its_rounding() {
    List<Trend.At> read = IntStream.range(0, 26).mapToObj(i -> new Trend.At(FIRST.plus(Duration.ofDays(7L * i)),
        i >= 17 ? 28.1 : i == 7 || i == 11 ? 28.5 : 28.4)).toList();
    assertThat(Trend.of(read.subList(0, 17), OptionalDouble.of(27.5), true).changes()).isEmpty();
    assertThat(Trend.of(read, OptionalDouble.of(27.5), true).changes()).containsExactly(read.get(17).at());
  }

  /** Property: of a thousand pointers that only scatter, read to a whole number once a week, few seem to go. */
  @Test
  public void what_only_scatters_seldom_seems_to_go() {
    SplittableRandom chance = new SplittableRandom(9);
    long going = IntStream.range(0, 1_000).filter(row -> Trend.of(IntStream.range(0, 26).mapToObj(i -> new Trend.At(
        FIRST.plus(Duration.ofHours(168L * i + chance.nextInt(40))), 2_490 + Math.rint(4 * chance.nextGaussian())))
        .toList(), OptionalDouble.of(2_450), true).aWeek() != 0).count();
    assertThat(going).isLessThan(10);
  }
}
