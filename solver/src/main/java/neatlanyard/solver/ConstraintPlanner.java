package neatlanyard.solver;

import com.google.ortools.Loader;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Order;
import neatlanyard.core.timeline.Planner;
import neatlanyard.core.timeline.Serial;
import neatlanyard.core.timeline.Timeline;

/** Plans with a constraint solver, one aim after the other: each keeps what those before it reached. */
public final class ConstraintPlanner implements Planner {
  private static final double NANOS = 1e9;
  /** From below it goes second by second: only where so few lie between what is shown and what was made by hand. */
  private static final long NEAR_S = 60;
  /** Of the time there is, what the earliest departure may take, so that something is left for the other aims. */
  private static final double FIRST_AIM = 0.75;
  /** Of what is left then, what each of those may take. */
  private static final double LATER_AIM = 0.6;
  /** To begin with by hand: what they find takes thousandths of a second. */
  private static final int TRIES = 40;

  private final int workers;

  /**
   * Loads the solver, which takes about a second the first time.
   *
   * @param workers how many threads look at once; with one the same demands always give the same timeline
   */
  public ConstraintPlanner(int workers) {
    Loader.loadNativeLibraries();
    this.workers = workers;
  }

  @Override
  public Outcome plan(Demands demands, Optional<Timeline> before, Duration within) {
    if (!demands.faults().isEmpty()) {
      throw new IllegalArgumentException("The demands have faults: %s".formatted(demands.faults()));
    }
    return new Run(demands, within).plan(before);
  }

  private final class Run {
    private final Demands demands;
    private final Model model;
    private final long ends;
    private final double within;

    Run(Demands demands, Duration within) {
      this.demands = demands;
      this.ends = System.nanoTime() + within.toNanos();
      this.within = within.toNanos() / NANOS;
      this.model = Model.of(demands);
    }

    Outcome plan(Optional<Timeline> before) {
      Optional<Timeline> byHand = Serial.of(demands, model.load, TRIES, new SplittableRandom(1));
      return byHand.filter(t -> seconds(t) <= model.load.departs())
          .<Outcome>map(t -> withLaterAims(t, seconds(t), before))
          .orElseGet(() -> searched(byHand, before));
    }

    private long seconds(Timeline t) {
      return t.departs(demands).toSeconds();
    }

    /** Where it cannot be seen without search that what was made by hand departs as early as anything can. */
    private Outcome searched(Optional<Timeline> byHand, Optional<Timeline> before) {
      byHand.or(() -> before).ifPresent(model::hint);
      model.cp.minimize(model.departs);
      double some = Math.min(left(), within * FIRST_AIM);
      boolean near = byHand.filter(t -> seconds(t) - model.load.departs() <= NEAR_S).isPresent();
      CpSolver first = near ? fromBelow(some) : solver(some);
      return switch (first.solve(model.cp)) {
        case INFEASIBLE -> clash();
        case OPTIMAL -> withLaterAims(byHand.filter(t -> seconds(t) <= first.value(model.departs))
            .orElseGet(() -> model.timeline(first::value)), first.value(model.departs), before);
        case FEASIBLE -> {
          Timeline found = model.timeline(first::value);
          // By hand less is broken off than by who only looked for the departure.
          Timeline kept = byHand.filter(t -> seconds(t) <= seconds(found)).orElse(found);
          yield withLaterAims(kept, bound(first), before);
        }
        default -> byHand.<Outcome>map(t -> withLaterAims(t, Math.max(bound(first), model.load.departs()), before))
            .orElseGet(Outcome.NoTime::new);
      };
    }

    private static long bound(CpSolver solver) {
      return (long) Math.ceil(solver.bestObjectiveBound() - 1e-6);
    }

    private Outcome.Planned withLaterAims(Timeline first, long bound, Optional<Timeline> before) {
      boolean earliest = seconds(first) <= bound;
      Timeline found = first;
      model.cp.addLessOrEqual(model.departs, seconds(first));
      boolean best = earliest;
      List<Aim> kept = new ArrayList<>();
      for (Aim aim : Aim.after(demands, model, seconds(first), before)) {
        Timeline early = Order.early(demands, found);
        found = aim.better(early, found, kept) ? early : found;
        if (aim.of(found) > aim.least()) {
          model.hint(found);
          model.cp.minimize(aim.wanted());
          CpSolver next = fromBelow(left() * LATER_AIM);
          CpSolverStatus as = next.solve(model.cp);
          found = as == CpSolverStatus.OPTIMAL || as == CpSolverStatus.FEASIBLE ? model.timeline(next::value) : found;
          best &= as == CpSolverStatus.OPTIMAL;
        }
        model.cp.addLessOrEqual(aim.wanted(), aim.of(found));
        kept.add(aim);
      }
      return new Outcome.Planned(Order.early(demands, found), Duration.ofSeconds(bound), earliest, best);
    }

    private double left() {
      return Math.max(0.01, (ends - System.nanoTime()) / NANOS);
    }

    /** Where something is known already: it shows what cannot be, until what is left can. */
    private CpSolver fromBelow(double seconds) {
      CpSolver solver = solver(seconds);
      solver.getParameters().setOptimizeWithCore(true);
      return solver;
    }

    private CpSolver solver(double seconds) {
      CpSolver solver = new CpSolver();
      // What one person does after the other is no linear matter: to relax it costs time and shows nothing.
      solver.getParameters().setNumWorkers(workers).setRandomSeed(1).setLinearizationLevel(0)
          .setMaxTimeInSeconds(seconds);
      return solver;
    }

    /** Left out one by one, each for good when the others still clash: what stays is smallest. */
    private Outcome.Clash clash() {
      Set<Hard> kept = new HashSet<>(Hard.of(demands));
      boolean smallest = true;
      for (Hard one : Hard.of(demands)) {
        kept.remove(one);
        Model without = new Model(demands, kept::contains);
        CpSolverStatus status = solver(left()).solve(without.cp);
        if (status != CpSolverStatus.INFEASIBLE) {
          kept.add(one);
          smallest &= status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE;
        }
      }
      return new Outcome.Clash(
          Hard.of(demands).stream().filter(kept::contains).map(h -> h.words(demands)).toList(), smallest);
    }
  }
}
