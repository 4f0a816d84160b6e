package neatlanyard.core.units;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.OptionalDouble;
import java.util.Random;
import neatlanyard.core.sop.Measure;
import neatlanyard.core.sop.Quantity;
import neatlanyard.core.sop.QuantityId;
import org.testng.annotations.Test;

public class UnitTest {
  @Test
  public void a_value_reads_as_people_say_it() {
    assertThat(Unit.VOLT.words(24.8)).isEqualTo("24.8 V");
    assertThat(Unit.PSI.words(1_850)).isEqualTo("1 850 psi");
    assertThat(Unit.CELSIUS.words(-5)).isEqualTo("−5 °C");
    assertThat(Unit.COUNT.words(3)).isEqualTo("3");
    assertThat(Unit.IN_HG.words(46)).as("where crews mix two").isEqualTo("46 inHg (1 558 hPa)");
    assertThat(Unit.MPH.words(100)).isEqualTo("100 mph (87 kt)");
    assertThat(Unit.US_GALLON.words(24)).isEqualTo("24 US gal (91 L)");
    assertThat(Unit.LB.words(2_000)).isEqualTo("2 000 lb (907 kg)");
  }

  /** Property: a value is within its limits exactly when nothing is said against it. */
  @Test
  public void limits_hold_at_their_ends() {
    Random random = new Random(23);
    Quantity oil = new Quantity(new QuantityId("oil"), "Engine oil", Unit.QUART);
    for (int i = 0; i < 1_000; i++) {
      double least = random.nextInt(20);
      double most = least + random.nextInt(20);
      Measure measure = new Measure(oil, OptionalDouble.of(least), OptionalDouble.of(most));
      double value = random.nextInt(80) / 2.0;
      assertThat(measure.against(value).isEmpty()).as("%s in %s", value, measure.words())
          .isEqualTo(value >= least && value <= most);
      assertThat(measure.against(least)).isEmpty();
      assertThat(measure.against(most)).isEmpty();
    }
    assertThat(new Measure(oil, OptionalDouble.of(8), OptionalDouble.empty()).words()).isEqualTo("8 qt or more");
    assertThat(new Measure(oil, OptionalDouble.empty(), OptionalDouble.of(14)).against(15))
        .contains("15 qt is over the most, 14 qt");
  }
}
