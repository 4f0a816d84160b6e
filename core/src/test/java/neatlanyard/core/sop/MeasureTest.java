package neatlanyard.core.sop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import neatlanyard.core.gauge.Allowed;
import neatlanyard.core.gauge.Gauge;
import neatlanyard.core.gauge.Missing;
import neatlanyard.core.gauge.Readings;
import neatlanyard.core.gauge.Tyre;
import neatlanyard.core.gauge.WearPin;
import neatlanyard.core.trend.Schedule;
import neatlanyard.core.units.Unit;
import org.testng.annotations.Test;

public class MeasureTest {
  private static final OptionalDouble NONE = OptionalDouble.empty();

  private static Measure measure(Unit unit, OptionalDouble least, OptionalDouble most, Gauge... gauge) {
    return new Measure(
        new Quantity(new QuantityId("q"), "A quantity", unit, Optional.of(List.of(gauge)).filter(g -> !g.isEmpty())
        .map(List::getFirst)), least, most);
  }

  private static String words(Measure measure, double temperatureC, Map<String, Double> others) {
    return measure.words(
        measure.allowed(
        new Readings(OptionalDouble.of(temperatureC), others, List.of(), Optional.empty(), 2, "", Schedule.NONE)));
  }

  /** FAA AC 20-97B: about 1 % for 3 °C (5 °F); 10 % under it the wheel is not used in this made-up pack. */
  @Test
  public void what_is_right_today_is_told_before_it_is_read() {
    Measure tyre = measure(Unit.PSI, NONE, NONE, new Tyre(100, 15, 5, 10, "other", 5));
    assertThat(words(tyre, 15, Map.of())).isEqualTo("90 psi or more");
    assertThat(words(tyre, -15, Map.of())).isEqualTo("81 psi or more");
    assertThat(words(tyre, -16, Map.of())).as("80.7 rounds to what is still allowed").isEqualTo("80.7 psi or more");
    assertThat(words(tyre, 15, Map.of("other", 99.0))).as("5 psi from the other wheel").isEqualTo("94 psi to 104 psi");
  }

  @Test
  public void the_packs_own_limits_are_told_as_they_stand_there() {
    assertThat(measure(Unit.VOLT, OptionalDouble.of(24.25), NONE).words()).isEqualTo("24.25 V or more");
    assertThat(measure(Unit.KG_PER_LITRE, OptionalDouble.of(0.775), OptionalDouble.of(0.84)).words())
        .isEqualTo("0.775 kg/L to 0.84 kg/L");
    assertThat(measure(Unit.COUNT, NONE, NONE).words()).isEmpty();
    assertThat(words(measure(Unit.MM, NONE, NONE, new WearPin(2, 50, 8)), 0, Map.of())).isEqualTo("over 2 mm");
    assertThat(words(measure(Unit.MM, OptionalDouble.of(0), OptionalDouble.of(60), new WearPin(0, 50, 8)), 0,
        Map.of())).isEqualTo("over 0 mm to 60 mm");
    assertThat(words(measure(Unit.COUNT, OptionalDouble.of(0), OptionalDouble.of(2), new Missing(1)), 0, Map.of()))
        .isEqualTo("none");
    assertThat(words(measure(Unit.COUNT, NONE, NONE, new Missing(1)), 0, Map.of())).isEqualTo("none");
    assertThat(measure(Unit.MM, NONE, NONE).words(Allowed.NONE)).isEqualTo("no value");
  }
}
