package neatlanyard.bench;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Planner.Outcome;
import neatlanyard.core.timeline.Serial;
import neatlanyard.core.timeline.Timeline;
import neatlanyard.solver.ConstraintPlanner;
import org.openjdk.jmh.annotations.AuxCounters;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Demands of three seats as a card makes them, {@value #MADE} of each size one after the other, at most a second each:
 * by hand, and by the solver, with how many of those were shown to depart as early as anything can, and to be best.
 */
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 1, time = 5)
@Measurement(iterations = 1, time = 20)
public class TimelineOfCardsBench {
  private static final int MADE = 15;
  private static final int TRIES = 40;
  private static final Duration WITHIN = Duration.ofSeconds(1);

  /** Made up from seeds 0 to 14. */
  @State(Scope.Benchmark)
  public static class Cards {
    @Param({"30", "90", "300"})
    public int activities;

    private final ConstraintPlanner planner = new ConstraintPlanner(1);
    private List<Demands> all = List.of();
    private int next;

    private Demands next() {
      if (all.isEmpty()) {
        all = IntStream.range(0, MADE).mapToObj(i -> CardLike.demands(activities, new Random(i))).toList();
      }
      next = (next + 1) % MADE;
      return all.get(next);
    }
  }

  /** Counted over all that were planned. */
  @AuxCounters(AuxCounters.Type.EVENTS)
  @State(Scope.Thread)
  public static class Shown {
    public int planned;
    public int earliest;
    public int best;
  }

  @Benchmark
  public Optional<Timeline> by_hand(Cards cards) {
    return Serial.of(cards.next(), TRIES, new SplittableRandom(1));
  }

  /** The same without anything of ours; see {@link BareSolver}. */
  @Benchmark
  public boolean by_the_bare_solver(Cards cards, Shown shown) {
    boolean earliest = new BareSolver(cards.next()).shown(WITHIN);
    shown.planned++;
    shown.earliest += earliest ? 1 : 0;
    return earliest;
  }

  @Benchmark
  public Outcome by_the_solver(Cards cards, Shown shown) {
    Outcome outcome = cards.planner.plan(cards.next(), Optional.empty(), WITHIN);
    if (outcome instanceof Outcome.Planned p) {
      shown.planned++;
      shown.earliest += p.earliest() ? 1 : 0;
      shown.best += p.best() ? 1 : 0;
    }
    return outcome;
  }
}
