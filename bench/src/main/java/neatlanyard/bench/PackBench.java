package neatlanyard.bench;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.proof.Finding;
import neatlanyard.core.proof.PackCheck;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.Condition.Weather.Sky;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Policy;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Procedure.Kind;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.Situation;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.TagId;
import neatlanyard.core.sop.TagKind;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.Warmup;

/** Cards and the pack check as packs grow: so many steps over fourteen independent conditions. */
@org.openjdk.jmh.annotations.State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(2)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
public class PackBench {
  /** None of these says anything of another. */
  private static final List<Condition> FACTS = Stream.concat(
      Stream.of(Circumstance.values()).map(Condition.Is::new),
      Stream.of(
          new Condition.Dark(), new Condition.ColderThan(3), new Condition.WindAbove(25),
          new Condition.VisibilityBelow(550),
          new Condition.Weather(Sky.FREEZING), new Condition.Weather(Sky.THUNDERSTORM),
          new Condition.Weather(Sky.FOG)))
      .map(c -> (Condition) c).toList();

  @Param({"50", "100", "200", "300", "500", "1000", "2000"})
  private int steps;

  private Pack pack = pack(50);
  private Situation day = day();

  @Setup
  public void build() {
    pack = pack(steps);
    day = day();
  }

  private Situation day() {
    return new Situation(pack.tail(new TailId("TL-ONE")).orElseThrow(), new AirfieldId("QTRN"),
        new AirfieldId("QVSK"), Optional.empty(), Demo.DAY, Map.of());
  }

  @Benchmark
  public Card cut_a_card() {
    return Card.cut(pack, Seat.LEFT, day);
  }

  @Benchmark
  public List<Finding> check_a_pack() {
    return PackCheck.of(pack);
  }

  /**
   * Procedures of forty steps: three of four flows, the fourth a checklist of what they set; two steps in three have a
   * condition.
   */
  private static Pack pack(int steps) {
    SplittableRandom random = new SplittableRandom(steps);
    List<Place> panels = new ArrayList<>();
    List<Point> points = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      panels.add(new Place(new PlaceId("panel-" + i), "Panel " + i, i % 4 * 2, i / 4 * 2, 2, 2, i % 4 < 2 ? Seat.LEFT
          : Seat.RIGHT, true));
    }
    for (int i = 0; i < Math.max(8, steps / 3); i++) {
      points.add(new Point(new PointId("point-" + i), "Point " + i, panels.get(i % 12).id(), true,
          List.of("off", "on")));
    }
    List<Procedure> procedures = new ArrayList<>();
    Stage[] stages = {Stage.POWER_UP, Stage.FLOWS, Stage.START, Stage.TAXI, Stage.BEFORE_TAKEOFF};
    for (int from = 0; from < steps; from += 40) {
      boolean list = from / 40 % 4 == 3;
      List<Step> some = new ArrayList<>();
      for (int i = from; i < Math.min(steps, from + 40); i++) {
        some.add(step(i, list, points, random));
      }
      procedures.add(
          new Procedure(new ProcedureId("p" + from), "Procedure " + from, stages[from * stages.length / steps],
          list ? Kind.CHECKLIST : Kind.FLOW, List.of(), some));
    }
    return new Pack(
        new PackId("bench"), "1", "Bench", new TypeId("bench"), Policy.DEFAULT, List.of(), List.of(),
        List.of(new Pack.PackTail(new TailId("TL-ONE"), Optional.empty(), Set.of())), List.of(),
        Map.of(Stage.FLOWS, Duration.ofMinutes(5)),
        Demo.PACK.planform(), panels, points,
        List.of(new TagKind(new TagId("tag"), "Tag", TagKind.Trigger.STEP, Stage.TAXI, true)),
        procedures, List.of(), Demo.PACK.flightControls(), List.of(), List.of(),
        List.of());
  }

  private static Step step(int i, boolean list, List<Point> points, SplittableRandom random) {
    Point point = points.get(random.nextInt(points.size()));
    State state = new State(point.id(), random.nextInt(5) == 0 ? "off" : "on");
    Step.Builder step = Step.of("s" + i, point.place().value(), "Point " + i, "on, seen", i % 2 == 0 ? Owner.LEFT
        : Owner.RIGHT);
    if (random.nextInt(3) > 0) {
      step.when(condition(random));
    }
    if (list) {
      return step.verifies(state).build();
    }
    if (random.nextInt(12) == 0) {
      step.opens(new Step.Hook(new TagId("tag"), List.of("item " + i)));
    }
    if (random.nextInt(10) == 0) {
      step.critical();
    }
    return step.sets(state).build();
  }

  private static Condition condition(SplittableRandom random) {
    Condition a = FACTS.get(random.nextInt(FACTS.size()));
    Condition b = FACTS.get(random.nextInt(FACTS.size()));
    return switch (random.nextInt(4)) {
      case 0 -> a;
      case 1 -> new Condition.Not(a);
      case 2 -> new Condition.All(List.of(a, new Condition.Not(b)));
      default -> new Condition.Any(List.of(a, b));
    };
  }
}
