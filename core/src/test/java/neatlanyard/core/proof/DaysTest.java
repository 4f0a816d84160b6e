package neatlanyard.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Packs;
import neatlanyard.core.sop.Policy;
import neatlanyard.core.sop.School;
import neatlanyard.core.sop.Situation;
import neatlanyard.core.sop.Step;
import org.testng.annotations.Test;

public class DaysTest {
  private static Condition condition(Random random, int depth) {
    return switch (random.nextInt(depth > 0 ? 13 : 9)) {
      case 0 -> new Condition.Dark();
      case 1 -> new Condition.ColderThan(random.nextInt(4) * 5 - 5);
      case 2 -> new Condition.Fitted(Packs.APU);
      case 3 -> new Condition.OnTail(random.nextBoolean() ? Packs.ONE : Packs.TWO);
      case 4 -> new Condition.OfSubType(Packs.LONG);
      case 5 -> new Condition.Weather(random.nextBoolean() ? Condition.Weather.Sky.SNOW
          : Condition.Weather.Sky.PRECIPITATION);
      case 6 -> new Condition.Is(Circumstance.FUELLING);
      case 7 -> new Condition.Is(Circumstance.FIRST_FLIGHT);
      case 8 -> new Condition.Follows(random.nextBoolean() ? School.HYDRAULICS_ON : School.HYDRAULICS_OFF);
      case 9, 10 -> new Condition.Not(condition(random, depth - 1));
      case 11 -> new Condition.All(List.of(condition(random, depth - 1), condition(random, depth - 1)));
      default -> new Condition.Any(List.of(condition(random, depth - 1), condition(random, depth - 1)));
    };
  }

  /** Every day there can be, one by one: two tails, temperatures on both sides of each limit, and every yes and no. */
  private static List<Situation> everyDay(Pack pack) {
    List<Situation> days = new ArrayList<>();
    for (int bits = 0; bits < 32; bits++) {
      boolean snow = (bits & 2) > 0;
      for (int celsius : new int[] {-20, -3, 2, 7, 20}) {
        List<Circumstance> so = new ArrayList<>();
        if ((bits & 4) > 0) {
          so.add(Circumstance.FUELLING);
        }
        if ((bits & 8) > 0) {
          so.add(Circumstance.FIRST_FLIGHT);
        }
        days.add(Packs.day(pack, (bits & 16) > 0 ? Packs.ONE : Packs.TWO, celsius, (bits & 1) > 0, snow,
            so.toArray(Circumstance[]::new)));
      }
    }
    return days;
  }

  /** Second opinion: asking each condition on every day there can be, one by one, decides the same. */
  @Test
  public void decides_what_trying_every_day_decides() {
    Random random = new Random(17);
    int never = 0;
    for (int round = 0; round < 400; round++) {
      Condition a = condition(random, 4);
      Condition b = condition(random, 4);
      Pack pack = Packs.of(Packs.flow(
          Step.of("a", "overhead", "a", "seen", Owner.LEFT).when(a).build(),
          Step.of("b", "overhead", "b", "seen", Owner.LEFT).when(b).build()));
      Days days = new Days(pack, Budget.FULL);
      List<Situation> every = everyDay(pack);
      boolean some = every.stream().anyMatch(d -> a.ask(Policy.DEFAULT, d).holds());
      // What a report can say is wider than these days only in rain, which no condition here tells from snow.
      assertThat(days.when(a).isEmpty()).as("%s", a.words()).isEqualTo(!some && !rainWould(pack, a));
      boolean within = every.stream()
          .allMatch(d -> !a.ask(Policy.DEFAULT, d).holds() || b.ask(Policy.DEFAULT, d).holds());
      if (!within) {
        assertThat(days.when(a).within(days.when(b))).as("%s within %s", a.words(), b.words()).isFalse();
      }
      never += some ? 0 : 1;
      assertThat(days.when(a).example().isEmpty()).isEqualTo(days.when(a).isEmpty());
    }
    assertThat(never).as("conditions that never hold were among them").isGreaterThan(20);
  }

  /** Whether a condition can hold with something falling that is not snow; not one of the days tried above. */
  private static boolean rainWould(Pack pack, Condition a) {
    return everyDay(pack).stream().anyMatch(d -> holdsInRain(a, d));
  }

  private static boolean holdsInRain(Condition c, Situation d) {
    return switch (c) {
      case Condition.Weather w -> w.sky() == Condition.Weather.Sky.PRECIPITATION;
      case Condition.Not not -> !holdsInRain(not.of(), d);
      case Condition.All all -> all.of().stream().allMatch(x -> holdsInRain(x, d));
      case Condition.Any any -> any.of().stream().anyMatch(x -> holdsInRain(x, d));
      case Condition.Fact fact -> fact.ask(Policy.DEFAULT, d).holds();
      case Condition.Always always -> true;
    };
  }

  @Test
  public void facts_that_exclude_or_imply_each_other_are_held_to_it() {
    Condition.ColderThan three = new Condition.ColderThan(3);
    Condition.ColderThan ten = new Condition.ColderThan(10);
    Condition.OnTail one = new Condition.OnTail(Packs.ONE);
    Condition snow = new Condition.Weather(Condition.Weather.Sky.SNOW);
    Condition falling = new Condition.Weather(Condition.Weather.Sky.PRECIPITATION);
    Pack pack = Packs.of(Packs.flow(Stream.of(three, ten, one, snow, falling, new Condition.Fitted(Packs.APU))
        .map(c -> Step.of("s" + Math.abs(c.hashCode()), "overhead", "s", "seen", Owner.LEFT).when(c).build())
        .toArray(Step[]::new)));
    Days days = new Days(pack, Budget.FULL);
    assertThat(days.when(three).within(days.when(ten))).isTrue();
    assertThat(days.when(ten).within(days.when(three))).isFalse();
    assertThat(days.when(one).within(days.when(new Condition.Fitted(Packs.APU)))).as("the long sub-type has it")
        .isTrue();
    assertThat(days.when(snow).within(days.when(falling))).isTrue();
    assertThat(days.when(new Condition.All(List.of(three, new Condition.Not(ten)))).isEmpty()).isTrue();
    assertThat(days.when(new Condition.All(List.of(ten, new Condition.Not(three)))).example())
        .as("only what matters is named").isEqualTo("not colder than 3 °C, colder than 10 °C");
  }
}
