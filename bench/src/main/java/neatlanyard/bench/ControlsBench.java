package neatlanyard.bench;

import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.simulated.Ground;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Recorder;
import neatlanyard.core.controls.simulated.SimulatedCheck;
import neatlanyard.core.sop.Pack;
import neatlanyard.formats.controls.TraceCsv;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.text.Read;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The control check by itself: a minute at 50 Hz with 20 channels, read and judged. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(2)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class ControlsBench {
  private static final int HZ = 50;
  private static final int CHANNELS = 20;

  private final Pack pack = PackReader.read(Demo.text("packs/halyard-210.yaml")).orThrow("halyard-210.yaml");
  private final Trace minute = minute();
  private final String csv = TraceCsv.write(minute);

  private Trace minute() {
    Hand hand = new Hand(List.of(Axis.values()), 2, 2.0, 1.2, 1.5, 1.83, false, Map.of(), 1, false);
    Trace trace = SimulatedCheck.drawn(pack.flightControls(), hand, List.of(), Ground.STANDING,
        new Recorder(HZ, 0.1, 0.05, 0.01, 0, 0, 0), new SplittableRandom(60));
    if (trace.channels().size() < CHANNELS || trace.size() < 60 * HZ) {
      throw new IllegalStateException(trace.channels().size() + " channels, " + trace.size() + " samples");
    }
    return trace;
  }

  @Benchmark
  public Judgement judge_a_minute_at_50_hz() {
    return ControlCheck.judge(pack.flightControls(), pack.policy().controlCheck(), minute);
  }

  @Benchmark
  public Read<Trace> read_a_minute_at_50_hz() {
    return TraceCsv.read(csv, pack.flightControls());
  }
}
