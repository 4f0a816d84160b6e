package neatlanyard.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Packs;
import neatlanyard.core.sop.Quantity;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.sop.Step;
import neatlanyard.core.units.Unit;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Packs made to be dear: what pairs is decided, what cannot be is said, and nothing goes on for ever. */
public class BudgetTest {
  private static Condition low(String name, int i) {
    Quantity quantity = new Quantity(new QuantityId(name + i), name + " " + i, Unit.PSI);
    return new Condition.MeasuredBelow(quantity, 10);
  }

  private static Pack pack(List<Condition> conditions) {
    Step[] steps = IntStream.range(0, conditions.size())
        .mapToObj(i -> Step.of("s" + i, "overhead", "Step " + i, "seen", Owner.LEFT).when(conditions.get(i)).build())
        .toArray(Step[]::new);
    return Packs.of(Packs.scanned(), Packs.flow(steps));
  }

  private static List<Condition> range(int n, java.util.function.IntFunction<Condition> of) {
    return IntStream.range(0, n).mapToObj(of).toList();
  }

  @DataProvider
  static Object[][] paired() {
    int n = 40;
    List<Condition> pairs = range(n, i -> new Condition.All(List.of(low("a", i), low("b", i))));
    List<Condition> mixed = new ArrayList<>(pairs);
    Collections.shuffle(mixed, new Random(5));
    List<Condition> routes = range(n, i -> new Condition.All(List.of(
        new Condition.From(airfield('A', i)), new Condition.To(airfield('B', n - 1 - i)))));
    Condition allFirst = new Condition.Any(
        Stream.concat(range(n, i -> low("a", i)).stream(), range(n, i -> low("b", i)).stream()).toList());
    return new Object[][] {
      {"in one condition", List.of(new Condition.Any(pairs))},
      {"a step each", pairs},
      {"in any order", List.of(new Condition.Any(mixed))},
      {"all of the one kind named first", List.of(allFirst, new Condition.Any(mixed))},
      {"as either of two in all",
      List.of(new Condition.All(range(n, i -> new Condition.Any(List.of(low("a", i), low("b", i))))))},
      {"routes", List.of(new Condition.Any(routes))},
    };
  }

  private static AirfieldId airfield(char kind, int i) {
    return new AirfieldId("Q" + kind + (char) ('A' + i / 10) + (char) ('A' + i % 10));
  }

  @Test(dataProvider = "paired")
  public void forty_facts_paired_with_forty_are_decided(String how, List<Condition> conditions) {
    assertThat(PackCheck.of(pack(conditions))).as(how).noneMatch(f -> f.rule() == Rule.UNDECIDED);
  }

  /** Facts joined at random have no good order: their diagrams grow exponentially in any (Bryant 1986). */
  private static Pack tangled() {
    Random random = new Random(7);
    List<Condition> triples = range(400, i -> new Condition.Any(Stream.generate(() -> random.nextInt(90)).limit(3)
        .map(f -> random.nextBoolean() ? low("f", f) : new Condition.Not(low("f", f))).toList()));
    return pack(List.of(new Condition.All(triples)));
  }

  @Test
  public void what_takes_too_much_is_said_where_it_is_and_keeps_the_pack_from_being_published() {
    List<Finding> findings = PackCheck.of(tangled());
    assertThat(findings).singleElement().satisfies(f -> {
      assertThat(f.rule()).isEqualTo(Rule.UNDECIDED);
      assertThat(f.at()).isEqualTo("s0");
      assertThat(f.stops()).isTrue();
    });
  }

  @Test
  public void a_check_ends_when_its_asker_is_gone() {
    AtomicInteger asked = new AtomicInteger();
    Budget gone = Budget.until(() -> asked.incrementAndGet() > 3);
    assertThatThrownBy(() -> PackCheck.of(tangled(), gone)).isInstanceOf(Budget.Stopped.class);
    assertThat(asked.get()).isEqualTo(4);
  }
}
