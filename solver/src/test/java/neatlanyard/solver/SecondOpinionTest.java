package neatlanyard.solver;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Apart;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Planner.Outcome;
import neatlanyard.core.timeline.Wait;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.Solver;
import org.chocosolver.solver.variables.IntVar;
import org.testng.annotations.Test;

/** Another constraint solver on demands that are too large to try everything, written from the demands anew. */
public class SecondOpinionTest {
  private static final Duration WITHIN = Duration.ofSeconds(20);
  private static final int UNIT = 10;

  @Test
  public void another_solver_departs_at_the_same_time() {
    Random random = new Random(18);
    ConstraintPlanner planner = new ConstraintPlanner(1);
    int compared = 0;
    int clashes = 0;
    for (int n = 0; n < 80; n++) {
      Demands d = oneWay(Instances.random(random, 9 + random.nextInt(4), 3, UNIT, n % 3 == 0));
      Opinion other = opinion(d);
      if (!other.certain()) {
        continue;
      }
      Outcome outcome = planner.plan(d, Optional.empty(), WITHIN);
      if (outcome instanceof Outcome.Planned p) {
        assertThat(other.departs()).as("%d: %s", n, d).contains((int) p.timeline().departs(d).toSeconds());
        assertThat(p.earliest()).isTrue();
        compared++;
      } else {
        assertThat(other.departs()).as("%d: %s", n, d).isEmpty();
        clashes++;
      }
    }
    assertThat(compared).isGreaterThan(40);
    assertThat(clashes).isPositive();
  }

  /** The same, each by the first who may. */
  private static Demands oneWay(Demands d) {
    List<Activity> all = d.activities().stream().map(a -> new Activity(a.id(), a.what(),
        List.of(a.ways().getFirst()), a.length(), a.place(), a.from(), a.until())).toList();
    return new Demands(d.people(), all, d.waits(), d.apart(), d.walks(), d.inOneGo(), d.due(), d.runs());
  }

  /** @param departs empty where nothing is possible @param certain whether that was shown in the time there was */
  record Opinion(Optional<Integer> departs, boolean certain) {}

  static Opinion opinion(Demands d) {
    Model model = new Model();
    int horizon = (int) d.due().toSeconds() + d.activities().size() * 12 * UNIT;
    IntVar departs = model.intVar("departs", (int) d.due().toSeconds(), horizon);
    Map<ActivityId, IntVar> begins = new HashMap<>();
    for (Activity a : d.activities()) {
      IntVar at = model.intVar(a.id().value(), (int) a.from().toSeconds(), horizon);
      begins.put(a.id(), at);
      model.arithm(departs, ">=", at, "+", length(a)).post();
      a.until().ifPresent(u -> model.arithm(at, "<=", (int) u.toSeconds() - length(a)).post());
    }
    for (Wait w : d.waits()) {
      int over = length(d.activity(w.after()));
      IntVar after = get(begins, w.after());
      model.arithm(get(begins, w.before()), ">=", after, "+", over + (int) w.least().toSeconds()).post();
      w.most().ifPresent(m ->
          model.arithm(get(begins, w.before()), "<=", after, "+", over + (int) m.toSeconds()).post());
    }
    for (Pair p : pairs(d)) {
      IntVar one = get(begins, p.one().id());
      IntVar other = get(begins, p.other().id());
      model.or(model.arithm(other, ">=", one, "+", length(p.one()) + p.between()),
          model.arithm(one, ">=", other, "+", length(p.other()) + p.between())).post();
    }
    Solver solver = model.getSolver();
    solver.limitTime("5s");
    Solution best = solver.findOptimalSolution(departs, false);
    return new Opinion(Optional.ofNullable(best).map(b -> b.getIntVal(departs)), !solver.isStopCriterionMet());
  }

  /** Two that are not done at once, with so many seconds between. */
  private record Pair(Activity one, Activity other, int between) {}

  private static List<Pair> pairs(Demands d) {
    List<Pair> all = new ArrayList<>();
    for (int i = 0; i < d.activities().size(); i++) {
      for (int j = i + 1; j < d.activities().size(); j++) {
        Activity one = d.activities().get(i);
        Activity other = d.activities().get(j);
        boolean shares = one.ways().getFirst().stream().anyMatch(other.ways().getFirst()::contains);
        boolean apart = d.apart().stream().map(Apart::activities)
            .anyMatch(s -> s.containsAll(Stream.of(one.id(), other.id()).toList()));
        if (shares || apart) {
          all.add(new Pair(one, other, shares ? (int) d.walk(one, other).toSeconds() : 0));
        }
      }
    }
    return all;
  }

  private static int length(Activity a) {
    return a.length().plannedSeconds();
  }

  private static IntVar get(Map<ActivityId, IntVar> from, ActivityId id) {
    return Objects.requireNonNull(from.get(id));
  }
}
