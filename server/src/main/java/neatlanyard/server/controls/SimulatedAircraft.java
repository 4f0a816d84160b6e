package neatlanyard.server.controls;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.simulated.Fault.Kind;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.controls.simulated.Ground;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Recorder;
import neatlanyard.core.controls.simulated.SimulatedCheck;
import neatlanyard.core.flow.FoundSo;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.State;
import neatlanyard.formats.text.Doc;
import org.springframework.stereotype.Component;

/**
 * A stand-in for the aircraft's own data: a hand that moves each control to both stops and back, and surfaces that
 * follow as they are drawn. It can be told to misbehave.
 */
@Component
public final class SimulatedAircraft implements AircraftData {
  /** What it records with. */
  private enum Records {
    GOOD("Recorder good", Recorder.GOOD),
    SLOW("Recorder slow", new Recorder(10, 0.1, 0.05, 0.01, 0, 0, 0)),
    COARSE("Recorder coarse", new Recorder(25, 0.1, 0.05, 0.25, 0, 0.02, 0)),
    POOR("Recorder poor", new Recorder(12.5, 0.4, 0.25, 0.2, 0.1, 0.04, 0.02));

    private final String words;
    private final Recorder recorder;

    Records(String words, Recorder recorder) {
      this.words = words;
      this.recorder = recorder;
    }
  }

  /** What is chance in a check comes out so, unless it is told another. */
  public static final long USUAL_SEED = 16;

  /** What the aircraft does. */
  public enum Behaviour {
    SOUND("As it should be"),
    AILERON_REVERSED("Left aileron reversed"),
    ELEVATOR_SHORT("Elevator short of its travel"),
    AILERON_STICKS("Left aileron sticks the second time"),
    RUDDER_JUMPS("Rudder moves in jumps"),
    SPOILER_STAYS_OUT("Right spoiler stays out"),
    CHANNEL_STOPS("Rudder channel stops"),
    HALF_HEARTED("Pilot stops short of the rudder stop"),
    AUTOBRAKE_EARLY("Autobrake armed too early");

    private final String words;

    Behaviour(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  @Override
  public String name() {
    return "simulated aircraft";
  }

  @Override
  public List<ControlViews.Behaviour> behaviours() {
    return Stream.of(Behaviour.values()).map(b -> new ControlViews.Behaviour(Doc.written(b), b.words())).toList();
  }

  @Override
  public List<ControlViews.Behaviour> recorders() {
    return Stream.of(Records.values()).map(r -> new ControlViews.Behaviour(Doc.written(r), r.words)).toList();
  }

  @Override
  public List<ControlViews.Behaviour> links() {
    return Stream.of(SimulatedLink.values()).map(l -> new ControlViews.Behaviour(Doc.written(l), l.words())).toList();
  }

  @Override
  public Optional<Coming> check(Pack pack, Told told, List<Axis> axes) {
    return known(Behaviour.values(), told.behaviour()).flatMap(b ->
        known(Records.values(), told.recorder()).flatMap(r ->
        known(SimulatedLink.values(), told.link()).map(l ->
        new Coming(check(pack, b, r.recorder, told.pressurePct() / 100, axes, told.seed()), l))));
  }

  /** The constant of this name; the first where nothing is said. */
  private static <E extends Enum<E>> Optional<E> known(E[] all, String written) {
    return Stream.of(all).filter(e -> written.isEmpty() || Doc.written(e).equals(written)).findFirst();
  }

  private static final String AS_SAID = "as-said";
  private static final String LEFT_POWERED = "left-powered";

  @Override
  public List<ControlViews.Behaviour> states(Pack pack) {
    Stream<ControlViews.Behaviour> usual = Stream.of(
        new ControlViews.Behaviour(AS_SAID, "Standing as the crew has said"),
        new ControlViews.Behaviour(LEFT_POWERED, "Left powered by the last crew"));
    return Stream.concat(usual, pack.takeoff().stream()
        .map(s -> new ControlViews.Behaviour("not/" + s.point(),
        "%s not as wanted for take-off".formatted(pack.name(s.point()))))).toList();
  }

  @Override
  public Optional<List<State>> read(Pack pack, Map<PointId, String> told, String behaviour) {
    if (states(pack).stream().noneMatch(b -> b.name().equals(behaviour))) {
      return Optional.empty();
    }
    if (behaviour.equals(LEFT_POWERED)) {
      return Optional.of(pack.procedures().stream()
          .flatMap(p -> p.steps().stream().filter(s -> FoundSo.may(pack, p, s)))
          .flatMap(s -> s.sets().stream()).distinct().toList());
    }
    return Optional.of(pack.takeoff().stream().map(s -> behaviour.equals("not/" + s.point()) ? elsewhere(pack, s)
        : new State(s.point(), told.getOrDefault(s.point(), states(pack, s.point()).getFirst()))).toList());
  }

  private static State elsewhere(Pack pack, State wanted) {
    return new State(wanted.point(), states(pack, wanted.point()).stream().filter(v -> !v.equals(wanted.value()))
        .findFirst().orElseThrow());
  }

  private static List<String> states(Pack pack, PointId point) {
    return pack.point(point).map(Point::states).orElseThrow();
  }

  /** A whole check on a good recorder with full pressure. */
  public static Trace check(Pack pack, Behaviour behaviour) {
    return check(pack, behaviour, Recorder.GOOD, Ground.STANDING.pressure(), List.of(), USUAL_SEED);
  }

  /** These axes, or all, to both stops, from each stick where the fleet moves both. */
  private static Trace check(
      Pack pack, Behaviour behaviour, Recorder recorder, double pressure, List<Axis> axes, long seed) {
    ControlSpec spec = pack.flightControls();
    Hand usual = Hand.steady().inOrder(axes.isEmpty() ? pack.policy().controlCheck().order() : axes)
        .onSticks(pack.policy().controlCheck().bothSticks());
    Hand hand = switch (behaviour) {
      case AILERON_STICKS -> usual.times(2);
      case HALF_HEARTED -> usual.stoppingAt(Axis.YAW, 72);
      default -> usual;
    };
    Ground ground = switch (behaviour) {
      case AUTOBRAKE_EARLY -> Ground.STANDING.autobrakeArmed();
      default -> Ground.STANDING;
    };
    return SimulatedCheck.drawn(spec, hand, faults(spec, behaviour), ground.withPressure(pressure), recorder,
        new SplittableRandom(seed));
  }

  private static List<Fault> faults(ControlSpec spec, Behaviour behaviour) {
    return switch (behaviour) {
      case AILERON_REVERSED -> fault(spec, Axis.ROLL, Kind.REVERSED, s -> 1);
      case ELEVATOR_SHORT -> fault(spec, Axis.PITCH, Kind.SHORT, s -> Math.abs(s.positiveDeg()) * 0.26);
      case AILERON_STICKS -> fault(spec, Axis.ROLL, Kind.SHORT_LAST_TIME, s -> Math.abs(s.positiveDeg()) * 0.2);
      case RUDDER_JUMPS -> fault(spec, Axis.YAW, Kind.JUMPING, s -> spec.following().jumpDeg() * 2.5);
      case CHANNEL_STOPS -> fault(spec, Axis.YAW, Kind.FROZEN, s -> 0);
      case SPOILER_STAYS_OUT -> spec.spoilers().stream().filter(s -> s.side() > 0).limit(1)
          .map(s -> new Fault(Kind.STAYS, s.id(), 11.5)).toList();
      case SOUND, HALF_HEARTED, AUTOBRAKE_EARLY -> List.of();
    };
  }

  /** One of the first surface of an axis. */
  private static List<Fault> fault(ControlSpec spec, Axis axis, Kind kind, ToDoubleFunction<Surface> size) {
    return spec.surfaces(axis).stream().limit(1).map(s -> new Fault(kind, s.id(), size.applyAsDouble(s))).toList();
  }
}
