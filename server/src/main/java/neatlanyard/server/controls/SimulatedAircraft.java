package neatlanyard.server.controls;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Trace.Sample;
import neatlanyard.core.flow.FoundSo;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.State;
import neatlanyard.formats.text.Doc;
import org.springframework.stereotype.Component;

/**
 * A stand-in for the aircraft's own data: a pilot who moves each axis to both stops and back, and surfaces that follow
 * with a small lag. It can be told to misbehave.
 */
@Component
public final class SimulatedAircraft implements AircraftData {
  /** Samples a second. */
  public static final int RATE_HZ = 50;

  /** What the aircraft does. */
  public enum Behaviour {
    SOUND("As it should be"),
    AILERON_REVERSED("Left aileron reversed"),
    ELEVATOR_SHORT("Elevator short of its travel"),
    SPOILER_STAYS_OUT("Right spoiler stays out"),
    HALF_HEARTED("Pilot stops short of the rudder stop");

    private final String words;

    Behaviour(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  private static final double STILL_S = 0.6;
  private static final double MOVE_S = 0.9;
  private static final double HOLD_S = 1.0;
  private static final double REST_S = 1.6;
  private static final double LAG_S = 0.08;

  @Override
  public String name() {
    return "simulated aircraft";
  }

  @Override
  public int rateHz() {
    return RATE_HZ;
  }

  @Override
  public List<ControlViews.Behaviour> behaviours() {
    return Stream.of(Behaviour.values()).map(b -> new ControlViews.Behaviour(Doc.written(b), b.words())).toList();
  }

  @Override
  public Optional<List<Sample>> check(ControlSpec spec, String behaviour) {
    return Stream.of(Behaviour.values()).filter(b -> Doc.written(b).equals(behaviour)).findFirst()
        .map(b -> check(spec, b));
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

  /** A whole check, pitch, roll and yaw to both stops. */
  public static List<Sample> check(ControlSpec spec, Behaviour behaviour) {
    List<double[]> inputs = inputs(behaviour);
    double[] state = new double[spec.channels().size()];
    double follow = 1 - Math.exp(-1.0 / RATE_HZ / LAG_S);
    List<Sample> samples = new ArrayList<>();
    for (int i = 0; i < inputs.size(); i++) {
      double[] in = inputs.get(i);
      List<Double> surfaces = new ArrayList<>();
      for (int c = 0; c < state.length; c++) {
        state[c] += (wanted(spec, c, in, behaviour, state[c]) - state[c]) * follow;
        surfaces.add(Math.round(state[c] * 100) / 100.0);
      }
      samples.add(new Sample(i / (double) RATE_HZ, in[0], in[1], in[2], surfaces));
    }
    return samples;
  }

  private static List<double[]> inputs(Behaviour behaviour) {
    List<double[]> inputs = new ArrayList<>();
    rest(inputs, STILL_S);
    for (Axis axis : Axis.values()) {
      double stop = behaviour == Behaviour.HALF_HEARTED && axis == Axis.YAW ? 72 : 100;
      move(inputs, axis, 0, stop, MOVE_S);
      move(inputs, axis, stop, stop, HOLD_S);
      move(inputs, axis, stop, -stop, 2 * MOVE_S);
      move(inputs, axis, -stop, -stop, HOLD_S);
      move(inputs, axis, -stop, 0, MOVE_S);
      rest(inputs, REST_S);
    }
    return inputs;
  }

  private static void rest(List<double[]> inputs, double seconds) {
    move(inputs, Axis.PITCH, 0, 0, seconds);
  }

  /** From one input to another, slow at both ends as a hand is. */
  private static void move(List<double[]> inputs, Axis axis, double from, double to, double seconds) {
    int n = (int) Math.round(seconds * RATE_HZ);
    for (int i = 1; i <= n; i++) {
      double[] in = new double[Axis.values().length];
      double share = (1 - Math.cos(Math.PI * i / n)) / 2;
      in[axis.ordinal()] = Math.round((from + (to - from) * share) * 10) / 10.0;
      inputs.add(in);
    }
  }

  private static double wanted(ControlSpec spec, int channel, double[] in, Behaviour behaviour, double now) {
    if (channel < spec.surfaces().size()) {
      Surface s = spec.surfaces().get(channel);
      double input = in[s.axis().ordinal()] / 100;
      double deg = input > 0 ? s.positiveDeg() * input : -s.negativeDeg() * input;
      boolean firstOfAxis = spec.surfaces().stream().filter(o -> o.axis() == s.axis()).findFirst().filter(s::equals)
          .isPresent();
      if (behaviour == Behaviour.AILERON_REVERSED && s.axis() == Axis.ROLL && firstOfAxis) {
        return -deg;
      }
      boolean stuck = behaviour == Behaviour.ELEVATOR_SHORT && s.axis() == Axis.PITCH && deg > 0;
      return stuck ? Math.min(deg, s.positiveDeg() * 0.74) : deg;
    }
    ControlSpec.Spoiler s = spec.spoilers().get(channel - spec.surfaces().size());
    double toward = Math.max(0, in[Axis.ROLL.ordinal()] * s.side() / 100);
    double out = (s.outDeg() + 3) * toward;
    boolean stays = behaviour == Behaviour.SPOILER_STAYS_OUT && s.side() > 0;
    return stays ? Math.max(out, Math.min(now, 11.5)) : out;
  }
}
