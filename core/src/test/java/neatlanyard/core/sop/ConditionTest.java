package neatlanyard.core.sop;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Equipment;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.Condition.All;
import neatlanyard.core.sop.Condition.Any;
import neatlanyard.core.sop.Condition.ColderThan;
import neatlanyard.core.sop.Condition.Dark;
import neatlanyard.core.sop.Condition.Fitted;
import neatlanyard.core.sop.Condition.Is;
import neatlanyard.core.sop.Condition.Not;
import neatlanyard.core.sop.Condition.Weather;
import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.StationReport;
import org.testng.annotations.Test;

public class ConditionTest {
  private static final Equipment APU = new Equipment("apu");

  private static Day day(OptionalInt temperatureC, boolean snow, boolean dark) {
    Phenomenon light = new Phenomenon(Phenomenon.Intensity.LIGHT, false, Phenomenon.Descriptor.NONE,
        List.of(Phenomenon.Kind.SN));
    StationReport report = new StationReport(
        "", "QTRN", Instant.EPOCH, Optional.empty(), OptionalInt.empty(), snow ? List.of(light) : List.of(), List.of(),
        temperatureC, OptionalInt.empty(), OptionalDouble.empty());
    return new Day(report, false, dark, Set.of(Circumstance.FIRST_FLIGHT));
  }

  private static Situation on(Set<Equipment> fitted, Day day) {
    Tail tail = new Tail(new TailId("TL-XXX"), new TypeId("type"), Optional.empty(), fitted);
    return new Situation(tail, new AirfieldId("QTRN"), new AirfieldId("QVSK"), Optional.empty(), day, Map.of());
  }

  private static Condition.Answer ask(Condition c, Set<Equipment> fitted, Day day) {
    return c.ask(Policy.DEFAULT, on(fitted, day));
  }

  private static final Day WINTER = day(OptionalInt.of(-2), true, true);

  @Test
  public void reasons_carry_the_facts_that_decided() {
    assertThat(ask(new ColderThan(3), Set.of(), WINTER).words()).isEqualTo("−2 °C, colder than 3 °C");
    assertThat(ask(new All(List.of(new Dark(), new Is(Circumstance.FUELLING))), Set.of(), WINTER).words())
        .isEqualTo("no fuelling");
    assertThat(ask(new Any(List.of(new Is(Circumstance.FUELLING), new Weather(Weather.Sky.PRECIPITATION))), Set.of(),
        WINTER).words()).isEqualTo("light snow");
    assertThat(ask(new Not(new Fitted(APU)), Set.of(), WINTER))
        .isEqualTo(new Condition.Answer(true, List.of("no APU on this tail")));
  }

  @Test
  public void a_report_without_temperature_counts_as_cold() {
    assertThat(ask(new ColderThan(3), Set.of(), day(OptionalInt.empty(), false, false)).holds()).isTrue();
  }

  /** Property: not all is any not, and whatever is answered has its reason. */
  @Test
  public void de_morgan() {
    Random random = new Random(11);
    for (int i = 0; i < 2_000; i++) {
      List<Condition> some = new ArrayList<>();
      for (int n = 0; n < 2 + random.nextInt(3); n++) {
        some.add(condition(random, 3));
      }
      Day day = day(OptionalInt.of(random.nextInt(20) - 10), random.nextBoolean(), random.nextBoolean());
      Set<Equipment> fitted = random.nextBoolean() ? Set.of(APU) : Set.of();
      Condition.Answer left = ask(new Not(new All(some)), fitted, day);
      Condition.Answer right = ask(new Any(some.stream().<Condition>map(Not::new).toList()), fitted, day);
      assertThat(left.holds()).isEqualTo(right.holds());
      assertThat(left.because()).isNotEmpty().containsExactlyElementsOf(right.because());
    }
  }

  private static Condition condition(Random random, int depth) {
    return switch (random.nextInt(depth > 0 ? 8 : 5)) {
      case 0 -> new Dark();
      case 1 -> new Is(Circumstance.FIRST_FLIGHT);
      case 2 -> new ColderThan(random.nextInt(10));
      case 3 -> new Fitted(APU);
      case 4 -> new Weather(Weather.Sky.PRECIPITATION);
      case 5 -> new Not(condition(random, depth - 1));
      case 6 -> new All(List.of(condition(random, depth - 1), condition(random, depth - 1)));
      default -> new Any(List.of(condition(random, depth - 1), condition(random, depth - 1)));
    };
  }
}
