package neatlanyard.solver;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Random;
import java.util.Set;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Length;
import neatlanyard.core.timeline.Order;
import neatlanyard.core.timeline.Person;
import neatlanyard.core.timeline.PersonId;
import neatlanyard.core.timeline.Planner.Outcome;
import neatlanyard.core.timeline.Serial;
import neatlanyard.core.timeline.Timeline;
import neatlanyard.core.timeline.Wait;
import org.testng.annotations.Test;

public class ConstraintPlannerTest {
  private static final Duration WITHIN = Duration.ofSeconds(20);
  private final ConstraintPlanner planner = new ConstraintPlanner(1);

  private static int horizon(Demands d) {
    return d.activities().stream().mapToInt(a -> a.length().plannedSeconds()).sum() + 14;
  }

  /** Thousands of small demands: as early as by trying everything, a clash where nothing is; by hand seldom later. */
  @Test
  public void it_departs_as_early_as_the_exhaustive_search() {
    Random random = new Random(20270114);
    int clashes = 0;
    int late = 0;
    int hands = 0;
    int asEarly = 0;
    for (int n = 0; n < 2_000; n++) {
      int i = n;
      Demands d = Instances.random(random, 1 + random.nextInt(4), 1 + random.nextInt(3), 1, true);
      OptionalLong best = Exhaustive.departs(d, horizon(d));
      Outcome outcome = planner.plan(d, Optional.empty(), WITHIN);
      if (best.isEmpty()) {
        assertThat(outcome).as("%d: %s", n, d).isInstanceOf(Outcome.Clash.class);
        clashes++;
      } else {
        Outcome.Planned planned = (Outcome.Planned) outcome;
        assertThat(planned.timeline().departs(d).toSeconds()).as("%d: %s", n, d).isEqualTo(best.getAsLong());
        assertThat(planned.earliest() && planned.best()).isTrue();
        assertThat(d.broken(planned.timeline())).as("%d: %s", n, d).isEmpty();
        Optional<Timeline> byHand = Serial.of(d, 20, random);
        byHand.ifPresent(t -> assertThat(d.broken(t)).as("%d: %s", i, d).isEmpty());
        byHand.ifPresent(t -> assertThat(t.departs(d)).isGreaterThanOrEqualTo(planned.timeline().departs(d)));
        hands += byHand.isPresent() ? 1 : 0;
        asEarly += byHand.filter(t -> t.departs(d).equals(planned.timeline().departs(d))).isPresent() ? 1 : 0;
        late += best.getAsLong() > d.due().toSeconds() ? 1 : 0;
      }
    }
    assertThat(clashes).isBetween(200, 1_500);
    assertThat(late).isGreaterThan(200);
    assertThat(hands).as("found by hand").isGreaterThan((2_000 - clashes) * 9 / 10);
    assertThat(asEarly).as("as early").isGreaterThan(hands * 9 / 10);
  }

  /** Of what departs earliest, what runs is shortest, then least is broken off, then the rest is over earliest. */
  @Test
  public void nothing_that_departs_as_early_is_better_by_what_else_is_wanted() {
    Random random = new Random(1_812);
    int compared = 0;
    for (int n = 0; n < 600; n++) {
      Demands some = Instances.random(random, 2 + random.nextInt(3), 1 + random.nextInt(2), 1, n % 4 == 0);
      Demands d = new Demands(some.people(), some.activities(), some.waits(), some.apart(), some.walks(),
          List.of(List.of(Instances.id(0), Instances.id(1))), some.due(), some.runs());
      if (planner.plan(d, Optional.empty(), WITHIN) instanceof Outcome.Planned p) {
        assertThat(p.best()).isTrue();
        assertThat(wanted(d, p.timeline())).as("%d: %s", n, d).isEqualTo(
            Exhaustive.least(d, horizon(d), t -> wanted(d, new Timeline(t))));
        compared++;
      }
    }
    assertThat(compared).isGreaterThan(400);
  }

  /** One number for the aims in their order. */
  private static long wanted(Demands d, Timeline t) {
    long ran = d.runs().map(r -> -t.of(r).begins().toSeconds()).orElse(0L);
    long broken = t.of(Instances.id(1)).begins().equals(t.of(Instances.id(0)).ends()) ? 0 : 1;
    Set<ActivityId> last = d.runs().map(d::waitingFor).orElse(Set.of());
    long rest = d.activities().stream().map(Activity::id).filter(id -> !last.contains(id))
        .mapToLong(id -> t.of(id).ends().toSeconds()).max().orElse(0);
    return (ran * 2 + broken) * 1_000 + rest;
  }

  /** What is named clashes, and without any one of it nothing does. */
  @Test
  public void a_clash_is_named_by_its_smallest_part() {
    Demands d = demands(List.of(
        activity(0, "power", Duration.ofMinutes(10), Optional.empty()),
        activity(1, "stall", Duration.ZERO, Optional.of(Duration.ofMinutes(12))),
        activity(2, "other", Duration.ZERO, Optional.of(Duration.ofMinutes(30)))),
        List.of(new Wait(Instances.id(0), Instances.id(1), Duration.ofMinutes(4), Optional.empty(),
        "the stall test needs 4 min of AC")), Duration.ofMinutes(40));
    Outcome.Clash clash = (Outcome.Clash) planner.plan(d, Optional.empty(), WITHIN);
    assertThat(clash.smallest()).isTrue();
    assertThat(clash.demands()).containsExactly(
        "stall begins at least 4 min after power: the stall test needs 4 min of AC.", "stall is over by minute 12.");
  }

  /** Over many plans of the size of a departure nothing that is demanded is broken, and its order gives it again. */
  @Test
  public void larger_timelines_keep_to_everything() {
    Random random = new Random(7);
    int planned = 0;
    for (int n = 0; n < 60; n++) {
      Demands d = Instances.random(random, 30, 3, 20, n % 3 == 0);
      if (!(planner.plan(d, Optional.empty(), WITHIN) instanceof Outcome.Planned p)) {
        continue;
      }
      planned++;
      assertThat(d.broken(p.timeline())).as("%d", n).isEmpty();
      Order order = Order.of(d, p.timeline());
      List<Order.Link> chain = order.criticalChain();
      order.rooms().forEach((id, room) ->
          assertThat(room.begins()).as("no later than planned").isLessThanOrEqualTo(p.timeline().of(id).begins()));
      assertThat(chain.getLast().ends()).isLessThanOrEqualTo(p.timeline().departs(d));
      for (int i = 1; i < chain.size(); i++) {
        assertThat(chain.get(i).begins()).isGreaterThanOrEqualTo(chain.get(i - 1).ends());
      }
    }
    assertThat(planned).isGreaterThan(30);
  }

  /** What runs begins as late as it may; what anybody may do stays with who had it. */
  @Test
  public void less_runs_and_people_keep_what_they_had() {
    Demands d = new Demands(
        List.of(new Person(new PersonId("left"), "Left"), new Person(new PersonId("right"), "Right")),
        List.of(either(0, "apu", 1), either(1, "walk", 5), either(2, "flow", 5)),
        List.of(new Wait(Instances.id(0), Instances.id(2), Duration.ofMinutes(2), Optional.empty(), "")), List.of(),
        List.of(), List.of(), Duration.ofMinutes(20), Optional.of(Instances.id(0)));
    Timeline first = ((Outcome.Planned) planner.plan(d, Optional.empty(), WITHIN)).timeline();
    assertThat(first.of(Instances.id(0)).begins()).isEqualTo(Duration.ofMinutes(12));
    assertThat(first.of(Instances.id(1)).begins()).isEqualTo(Duration.ZERO);
    for (String who : List.of("left", "right")) {
      Timeline had = new Timeline(Map.of(Instances.id(1), new Timeline.Slot(Duration.ZERO,
          Duration.ofMinutes(5), Set.of(new PersonId(who)))));
      Timeline again = ((Outcome.Planned) planner.plan(d, Optional.of(had), WITHIN)).timeline();
      assertThat(again.of(Instances.id(1)).who()).containsExactly(new PersonId(who));
    }
  }

  /** Two pieces of one flow follow each other where there is time, also where the second waits for somebody else. */
  @Test
  public void what_is_done_in_one_go_is_not_broken_off_without_need() {
    for (int due : new int[] {25, 40}) {
      Demands d = new Demands(List.of(new Person(new PersonId("left"), "Left")),
          List.of(only(0, "flow", 3), only(1, "rest of the flow", 4), only(2, "other", 2), only(3, "last", 10),
          activity(4, "sheet", Duration.ofMinutes(9), Optional.empty())),
          List.of(new Wait(Instances.id(4), Instances.id(1), Duration.ZERO, Optional.empty(), ""),
          new Wait(Instances.id(1), Instances.id(3), Duration.ZERO, Optional.empty(), "")), List.of(), List.of(),
          List.of(List.of(Instances.id(0), Instances.id(1))), Duration.ofMinutes(due), Optional.empty());
      Timeline t = ((Outcome.Planned) planner.plan(d, Optional.empty(), WITHIN)).timeline();
      assertThat(t.of(Instances.id(1)).begins()).isEqualTo(t.of(Instances.id(0)).ends());
      assertThat(t.of(Instances.id(1)).begins()).isEqualTo(Duration.ofMinutes(10));
    }
  }

  private static Activity only(int n, String what, int minutes) {
    return new Activity(Instances.id(n), what, List.of(Set.of(new PersonId("left"))),
        Length.always(Duration.ofMinutes(minutes)), Optional.empty(), Duration.ZERO, Optional.empty());
  }

  private static Activity activity(int n, String what, Duration from, Optional<Duration> until) {
    return new Activity(Instances.id(n), what, List.of(Set.of()), Length.always(Duration.ofMinutes(1)),
        Optional.empty(), from, until);
  }

  private static Activity either(int n, String what, int minutes) {
    return new Activity(Instances.id(n), what, List.of(Set.of(new PersonId("left")), Set.of(new PersonId("right"))),
        Length.always(Duration.ofMinutes(minutes)), Optional.empty(), Duration.ZERO, Optional.empty());
  }

  private static Demands demands(List<Activity> activities, List<Wait> waits, Duration due) {
    return new Demands(List.of(), activities, waits, List.of(), List.of(), List.of(), due, Optional.empty());
  }
}
