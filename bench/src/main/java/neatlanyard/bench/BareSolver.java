package neatlanyard.bench;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Person;

/**
 * The constraint solver with nothing of ours: the demands as they stand, one thread, its own settings, nothing to
 * begin with, and the earliest departure alone. For demands of which each activity has one way and nothing is kept
 * apart.
 */
final class BareSolver {
  private final Demands demands;
  private final CpModel cp = new CpModel();
  private final Map<ActivityId, IntVar> begins = new LinkedHashMap<>();

  BareSolver(Demands demands) {
    this.demands = demands;
  }

  /** Whether an earliest departure was shown within a time. */
  boolean shown(Duration within) {
    long horizon = demands.activities().stream().mapToLong(BareSolver::seconds).sum() * 2
        + demands.waits().stream().mapToLong(w -> w.least().toSeconds()).sum();
    IntVar departs = cp.newIntVar(demands.due().toSeconds(), horizon, "departs");
    for (Activity a : demands.activities()) {
      IntVar at = cp.newIntVar(a.from().toSeconds(), horizon, a.id().value());
      begins.put(a.id(), at);
      cp.addGreaterOrEqual(departs, after(a, 0));
    }
    demands.waits().forEach(w -> cp.addGreaterOrEqual(begins(w.before()),
        after(demands.activity(w.after()), w.least().toSeconds())));
    demands.people().forEach(this::person);
    cp.minimize(departs);
    CpSolver solver = new CpSolver();
    solver.getParameters().setNumWorkers(1).setRandomSeed(1).setMaxTimeInSeconds(within.toMillis() / 1_000.0);
    return solver.solve(cp) == CpSolverStatus.OPTIMAL;
  }

  private void person(Person who) {
    List<Activity> theirs = demands.activities().stream().filter(a -> a.ways().getFirst().contains(who.id())).toList();
    List<IntervalVar> busy = new ArrayList<>();
    for (Activity a : theirs) {
      busy.add(cp.newFixedSizeIntervalVar(begins(a.id()), seconds(a), a.id() + ".busy"));
      theirs.stream().takeWhile(b -> !b.equals(a)).filter(b -> !demands.walk(a, b).isZero()).forEach(b -> {
        BoolVar first = cp.newBoolVar("%s.before.%s".formatted(a.id(), b.id()));
        long walk = demands.walk(a, b).toSeconds();
        cp.addGreaterOrEqual(begins(b.id()), after(a, walk)).onlyEnforceIf(first);
        cp.addGreaterOrEqual(begins(a.id()), after(b, walk)).onlyEnforceIf(first.not());
      });
    }
    cp.addNoOverlap(busy.toArray(IntervalVar[]::new));
  }

  private IntVar begins(ActivityId id) {
    return Objects.requireNonNull(begins.get(id));
  }

  private LinearExpr after(Activity a, long wait) {
    return LinearExpr.newBuilder().add(begins(a.id())).add(seconds(a) + wait).build();
  }

  private static long seconds(Activity a) {
    return a.length().plannedSeconds();
  }
}
