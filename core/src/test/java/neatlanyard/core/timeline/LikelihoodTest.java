package neatlanyard.core.timeline;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.hipparchus.distribution.continuous.LogNormalDistribution;
import org.testng.annotations.Test;

/** Likelihoods against closed forms, and lengths against a statistics library. */
public class LikelihoodTest {
  private static final int RUNS = 100_000;

  /** Mean (a + 4 m + b) / 6, standard deviation (b − a) / 6: PERT, Malcolm et al. 1959; a library has the same. */
  @Test
  public void three_estimates_give_the_moments_of_pert() {
    Random random = new Random(3);
    for (int n = 0; n < 1_000; n++) {
      int least = random.nextInt(60, 900);
      int likely = least + random.nextInt(900);
      int most = likely + random.nextInt(1, 1_800);
      Length length = Length.estimated(s(least), s(likely), s(most));
      double mean = (least + 4.0 * likely + most) / 6;
      double deviation = (most - least) / 6.0;
      assertThat(length.meanSeconds()).isCloseTo(mean, within(0.01));
      LogNormalDistribution same = new LogNormalDistribution(Math.log(length.medianSeconds()), length.spread());
      assertThat(same.getNumericalMean()).isCloseTo(mean, within(0.01));
      assertThat(Math.sqrt(same.getNumericalVariance())).isCloseTo(deviation, within(0.01));
    }
    assertThatThrownBy(() -> Length.estimated(s(0), s(1), s(2))).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Length(s(-1), 0)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new Length(s(1), Double.NaN)).isInstanceOf(IllegalArgumentException.class);
  }

  /** One alone: the distribution itself. Two side by side: the product. One after a fixed one: moved by it. */
  @Test
  public void simple_networks_are_as_their_closed_forms() {
    Length one = new Length(s(600), 0.3);
    Length other = new Length(s(540), 0.4);
    LogNormalDistribution first = new LogNormalDistribution(Math.log(600), 0.3);
    LogNormalDistribution second = new LogNormalDistribution(Math.log(540), 0.4);
    for (int due : new int[] {500, 600, 700, 900}) {
      assertThat(onTime(due, List.of(one), List.of())).isCloseTo(first.cumulativeProbability(due), within(0.006));
      assertThat(onTime(due, List.of(one, other), List.of())).isCloseTo(
          first.cumulativeProbability(due) * second.cumulativeProbability(due), within(0.006));
      assertThat(onTime(due, List.of(Length.always(s(100)), one), List.of(wait(0, 1, 50)))).isCloseTo(
          first.cumulativeProbability(due - 150), within(0.006));
    }
  }

  /** Of two side by side the one that is longer decides, once it is longer than planned. */
  @Test
  public void what_decides_is_what_is_longest() {
    List<Length> lengths = List.of(new Length(s(900), 0.2), new Length(s(300), 0.2), new Length(s(60), 0.1));
    Demands demands = demands(1_000, lengths, List.of(wait(0, 2, 0), wait(1, 2, 0)));
    Likelihood l = Likelihood.of(demands, early(demands), RUNS, new Random(5));
    assertThat(l.onTime()).isBetween(0.5, 0.7);
    assertThat(l.decides().getFirst().activity()).isEqualTo(id(0));
    assertThat(l.decides().getFirst().share()).isGreaterThan(0.95);
    assertThat(l.decides().stream().mapToDouble(Likelihood.Decides::share).sum()).isCloseTo(1, within(1e-9));
    assertThat(l.departs()).isBetween(s(940), s(980));
    assertThat(l.late()).isGreaterThan(l.departs());
  }

  /** Slack and the chain of a small order, worked out by hand. */
  @Test
  public void slack_and_the_chain_are_those_of_the_order() {
    List<Length> lengths = List.of(Length.always(s(60)), Length.always(s(120)), Length.always(s(30)));
    Demands demands = demands(300, lengths, List.of(wait(0, 1, 60), wait(0, 2, 0)));
    Order order = Order.of(demands, early(demands));
    assertThat(order.rooms().get(id(0))).isEqualTo(new Order.Room(s(0), s(60)));
    assertThat(order.rooms().get(id(1))).isEqualTo(new Order.Room(s(120), s(180)));
    assertThat(order.rooms().get(id(2))).isEqualTo(new Order.Room(s(60), s(270)));
    assertThat(order.criticalChain()).extracting(Order.Link::activity).containsExactly(id(0), id(1));
    assertThat(order.criticalChain().getLast().because()).isEqualTo("after Activity 0");
  }

  /** Of two that take no time at the same moment, what waits stands after what it waits for, whatever it is called. */
  @Test
  public void what_takes_no_time_runs_in_no_circle() {
    List<Length> lengths = List.of(Length.always(s(0)), Length.always(s(0)), Length.always(s(60)));
    Demands demands = demands(300, lengths, List.of(wait(1, 0, 0), wait(0, 2, 0)));
    Person one = new Person(new PersonId("one"), "One");
    List<Activity> busy = demands.activities().stream().map(a -> new Activity(a.id(), a.what(),
        List.of(Set.of(one.id())), a.length(), a.place(), a.from(), a.until())).toList();
    Demands theirs = new Demands(List.of(one), busy, demands.waits(), List.of(), List.of(), List.of(), s(300),
        Optional.empty());
    Map<ActivityId, Timeline.Slot> slots = new HashMap<>();
    busy.forEach(a -> slots.put(a.id(), new Timeline.Slot(s(0), s(a.length().plannedSeconds()), Set.of(one.id()))));
    Timeline timeline = new Timeline(slots);
    assertThat(theirs.broken(timeline)).isEmpty();
    assertThat(Order.early(theirs, timeline)).isEqualTo(timeline);
    assertThat(Order.of(theirs, timeline).rooms()).containsEntry(id(0), new Order.Room(s(0), s(240)));
  }

  @Test
  public void faults_are_named_with_their_place() {
    Demands circle = demands(60, List.of(Length.always(s(1)), Length.always(s(1)), Length.always(s(1))),
        List.of(wait(0, 1, 0), wait(1, 2, 0), wait(2, 0, 0), wait(0, 7, -5)));
    assertThat(circle.faults()).extracting(f -> f.where() + " " + f.what()).contains(
        "waits[3] There is no activity a7.", "waits[3] A wait of 0 min is none of a day.")
        .anyMatch(f -> f.startsWith("waits These wait for each other: a0"));
    Activity backwards = new Activity(id(0), "Backwards", List.of(Set.of(new PersonId("nobody"))), Length.always(s(1)),
        Optional.empty(), s(60), Optional.of(s(30)));
    Person twice = new Person(new PersonId("left"), "Left");
    assertThat(new Demands(List.of(twice, twice), List.of(backwards, backwards), List.of(), List.of(), List.of(),
        List.of(), s(1),
        Optional.of(id(9))).faults()).extracting(Demands.Fault::what).contains("left stands twice.",
        "There is nobody called nobody.", "Its window ends before it begins.", "There is no activity a9.",
        "a0 stands twice, or is the departure's own name.");
  }

  private static double onTime(int due, List<Length> lengths, List<Wait> waits) {
    Demands demands = demands(due, lengths, waits);
    return Likelihood.of(demands, early(demands), RUNS, new Random(1)).onTime();
  }

  private static Demands demands(int due, List<Length> lengths, List<Wait> waits) {
    List<Activity> all = new ArrayList<>();
    for (int i = 0; i < lengths.size(); i++) {
      all.add(new Activity(id(i), "Activity " + i, List.of(Set.of()), lengths.get(i), Optional.empty(), Duration.ZERO,
          Optional.empty()));
    }
    return new Demands(List.of(), all, waits, List.of(), List.of(), List.of(), s(due), Optional.empty());
  }

  /** Everything as early as it may be, nobody being busy. */
  private static Timeline early(Demands d) {
    Map<ActivityId, Timeline.Slot> slots = new HashMap<>();
    for (Activity a : d.activities()) {
      Duration begins = d.waits().stream().filter(w -> w.before().equals(a.id()))
          .map(w -> Objects.requireNonNull(slots.get(w.after())).ends().plus(w.least()))
          .reduce(Duration.ZERO, (x, y) -> x.compareTo(y) >= 0 ? x : y);
      slots.put(a.id(), new Timeline.Slot(begins, begins.plusSeconds(a.length().plannedSeconds()), Set.of()));
    }
    return new Timeline(slots);
  }

  private static Wait wait(int after, int before, int seconds) {
    return new Wait(id(after), id(before), s(seconds), Optional.empty(), "");
  }

  private static ActivityId id(int n) {
    return new ActivityId("a" + n);
  }

  private static Duration s(int seconds) {
    return Duration.ofSeconds(seconds);
  }
}
