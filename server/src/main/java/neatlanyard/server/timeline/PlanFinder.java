package neatlanyard.server.timeline;

import java.time.Duration;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.random.RandomGeneratorFactory;
import java.util.stream.Collectors;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Likelihood;
import neatlanyard.core.timeline.Order;
import neatlanyard.core.timeline.Planner;
import neatlanyard.core.timeline.Planner.Outcome;
import neatlanyard.core.timeline.Serial;
import neatlanyard.core.timeline.Timeline;
import neatlanyard.core.timeline.ahead.Ahead;
import neatlanyard.solver.ConstraintPlanner;

/** Finds plans: with the solver, or by hand where there is more than anybody would wait for. */
final class PlanFinder {
  /** A plan with a wish less has at least so long. */
  private static final Duration LEAST_WITHIN = Duration.ofMillis(250);
  private static final int RUNS = 10_000;
  private static final long SEED = 2_705;
  /** More activities than any card has: to put them before a solver takes longer than anybody waits. */
  private static final int MOST_SEARCHED = 300;

  /** The solver is native code: loaded when it is first asked, which takes a while, and not with the server. */
  private static final class Loaded {
    private static final Planner PLANNER = new ConstraintPlanner(1);
  }

  /** @param likelihood empty where there is no timeline */
  record Found(Ahead ahead, Outcome outcome, Optional<Likelihood> likelihood) {
    Optional<Timeline> timeline() {
      return outcome instanceof Outcome.Planned p ? Optional.of(p.timeline()) : Optional.empty();
    }

    /** When the last is over, also where that is before it is wanted. */
    Duration over() {
      return timeline().map(t -> t.slots().values().stream().map(Timeline.Slot::ends)
          .reduce(Duration.ZERO, (a, b) -> a.compareTo(b) >= 0 ? a : b)).orElse(Duration.ZERO);
    }

    /** What the departure hangs on. */
    Set<ActivityId> hangs() {
      return timeline().map(t -> Order.of(ahead.demands(), t).criticalChain().stream().map(Order.Link::activity)
          .collect(Collectors.toSet())).orElse(Set.of());
    }
  }

  private PlanFinder() {}

  /** What is only wished for is given up, one after the other, where it would cost time. */
  static Found found(Ahead ahead, Optional<Timeline> before, Duration within) {
    long ends = System.nanoTime() + within.toNanos();
    Found best = foundAs(ahead, before, within);
    Optional<Ahead> less = ahead.wantingLess();
    while (less.isPresent() && (best.timeline().isEmpty() || best.over().compareTo(ahead.demands().due()) > 0)) {
      Duration left = Duration.ofNanos(ends - System.nanoTime());
      Found eased = foundAs(less.get(), before, left.compareTo(LEAST_WITHIN) > 0 ? left : LEAST_WITHIN);
      boolean better = best.timeline().isEmpty()
          || eased.timeline().isPresent() && eased.over().compareTo(best.over()) < 0;
      best = better ? eased : best;
      less = less.get().wantingLess();
    }
    return best;
  }

  private static Found foundAs(Ahead ahead, Optional<Timeline> before, Duration within) {
    Outcome outcome = ahead.demands().activities().size() > MOST_SEARCHED ? byHand(ahead)
        : Loaded.PLANNER.plan(ahead.demands(), before, within);
    Optional<Likelihood> likelihood = outcome instanceof Outcome.Planned p
        ? Optional.of(Likelihood.of(ahead.demands(), p.timeline(), RUNS,
        RandomGeneratorFactory.of("L64X128MixRandom").create(SEED))) : Optional.empty();
    return new Found(ahead, outcome, likelihood);
  }

  private static Outcome byHand(Ahead ahead) {
    return Serial.of(ahead.demands(), 1, new SplittableRandom(SEED)).<Outcome>map(t ->
        new Outcome.Planned(t, ahead.demands().due(), false, false)).orElseGet(Outcome.NoTime::new);
  }
}
