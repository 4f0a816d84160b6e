package neatlanyard.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.random.RandomGeneratorFactory;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Likelihood;
import neatlanyard.core.timeline.Planner;
import neatlanyard.core.timeline.Timeline;
import neatlanyard.formats.timeline.PlanReader;
import neatlanyard.solver.ConstraintPlanner;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The demo's forty minutes: planned, planned again with a plan in people's heads, and how likely it is on time. */
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(2)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class TimelineBench {
  private static final Duration WITHIN = Duration.ofSeconds(5);
  private static final int RUNS = 10_000;

  /** Read once, the solver loaded. */
  @State(Scope.Benchmark)
  public static class Forty {
    private Demands demands = new Demands(List.of(), List.of(), List.of(), List.of(), List.of(), List.of(),
        Duration.ZERO, Optional.empty());
    private Optional<ConstraintPlanner> planner = Optional.empty();
    private Optional<Timeline> before = Optional.empty();

    @Setup
    public void read() throws IOException {
      Path file = Path.of(System.getProperty("lanyard.root", "."), "demo/plans/flight-14.yaml");
      demands = PlanReader.read(Files.readString(file)).orThrow("plan").demands();
      planner = Optional.of(new ConstraintPlanner(1));
      before = Optional.of(timeline(Optional.empty()));
    }

    private Timeline timeline(Optional<Timeline> had) {
      Planner.Outcome outcome = planner.orElseThrow().plan(demands, had, WITHIN);
      if (outcome instanceof Planner.Outcome.Planned p && p.best()) {
        return p.timeline();
      }
      throw new IllegalStateException("The demo's plan was not proven best");
    }
  }

  @Benchmark
  public Timeline planned(Forty f) {
    return f.timeline(Optional.empty());
  }

  @Benchmark
  public Timeline planned_again(Forty f) {
    return f.timeline(f.before);
  }

  @Benchmark
  public double likelihood(Forty f) {
    return Likelihood.of(f.demands, f.before.orElseThrow(), RUNS,
        RandomGeneratorFactory.of("L64X128MixRandom").create(1)).onTime();
  }
}
