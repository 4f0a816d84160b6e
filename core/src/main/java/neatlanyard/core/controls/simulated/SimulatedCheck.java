package neatlanyard.core.controls.simulated;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Channel.Aside;
import neatlanyard.core.controls.Channel.Inceptor;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.simulated.Fault.Kind;

/** A whole check: moved by a hand, followed by surfaces, recorded. */
public final class SimulatedCheck {
  /** Of the surfaces; the recorder sees them between these. */
  private static final int STEPS_HZ = MovingAircraft.STEPS_HZ;

  private final ControlSpec spec;
  private final Faults faults;
  private final RandomGenerator chance;
  private final Map<String, Linkage> linkages;
  private final Optional<Ground> ground;

  private SimulatedCheck(
      ControlSpec spec, Map<String, Linkage> linkages, List<Fault> faults, Optional<Ground> ground,
      RandomGenerator chance) {
    this.spec = spec;
    this.linkages = linkages;
    this.faults = new Faults(faults);
    this.ground = ground;
    this.chance = chance;
  }

  /** An aircraft exactly as it is drawn, but for these faults, which tells also what stands around the check. */
  public static Trace drawn(
      ControlSpec spec, Hand hand, List<Fault> faults, Ground ground, Recorder recorder, RandomGenerator chance) {
    return new SimulatedCheck(spec, Map.of(), faults, Optional.of(ground), chance).fly(hand, recorder);
  }

  /** A sound aircraft as they come, but for these faults, which tells nothing but its controls and surfaces. */
  public static Trace built(
      ControlSpec spec, Hand hand, List<Fault> faults, Recorder recorder, RandomGenerator chance) {
    Map<String, Linkage> linkages = new LinkedHashMap<>();
    for (Surface s : spec.surfaces()) {
      linkages.put(s.id(), Linkage.sound(Linkage.Allowed.of(spec, s), chance));
    }
    return new SimulatedCheck(spec, linkages, faults, Optional.empty(), chance).fly(hand, recorder);
  }

  private Trace fly(Hand hand, Recorder recorder) {
    List<Hand.Leg> legs = hand.legs();
    double total = legs.stream().mapToDouble(Hand.Leg::seconds).sum();
    int steps = (int) Math.round(total * STEPS_HZ);
    Map<Channel.Input, double[]> sticks = sticks(legs, steps, hand);
    double[][] controls = new double[Axis.values().length][steps];
    sticks.forEach((channel, values) -> {
      for (int i = 0; i < steps; i++) {
        controls[channel.axis().ordinal()][i] += values[i];
      }
    });
    return record(sticks, moved(controls), asides(controls[Axis.YAW.ordinal()]), total, recorder);
  }

  private Map<Channel, double[]> moved(double[][] controls) {
    List<String> ids = spec.channels();
    int steps = controls[0].length;
    double[][] moved = new double[ids.size()][steps];
    MovingAircraft aircraft = new MovingAircraft(
        spec, linkages, faults.all(), ground.map(Ground::pressure).orElse(1.0));
    int[] last = Stream.of(controls).mapToInt(SimulatedCheck::lastAway).toArray();
    for (int i = 0; i < steps; i++) {
      double[] now = new double[controls.length];
      boolean[] lastTime = new boolean[controls.length];
      for (int axis = 0; axis < controls.length; axis++) {
        now[axis] = controls[axis][i];
        lastTime[axis] = i >= last[axis];
      }
      double[] at = aircraft.step(now, lastTime);
      for (int c = 0; c < at.length; c++) {
        moved[c][i] = at[c];
      }
    }
    Map<Channel, double[]> columns = new LinkedHashMap<>();
    for (int c = 0; c < moved.length; c++) {
      columns.put(Channel.position(ids.get(c)), moved[c]);
    }
    return columns;
  }

  private static Map<Channel.Input, double[]> sticks(List<Hand.Leg> legs, int steps, Hand hand) {
    Map<Channel.Input, double[]> sticks = new LinkedHashMap<>();
    for (Axis axis : Axis.values()) {
      if (hand.bothSticks() && axis != Axis.YAW) {
        sticks.put(new Channel.Input(Inceptor.LEFT, axis), new double[steps]);
        sticks.put(new Channel.Input(Inceptor.RIGHT, axis), new double[steps]);
      } else {
        sticks.put(Channel.input(axis), new double[steps]);
      }
    }
    int leg = 0;
    double begun = 0;
    for (int i = 0; i < steps; i++) {
      double t = i / (double) STEPS_HZ;
      while (leg < legs.size() - 1 && t - begun >= legs.get(leg).seconds()) {
        begun += legs.get(leg).seconds();
        leg++;
      }
      Hand.Leg now = legs.get(leg);
      for (Map.Entry<Channel.Input, double[]> stick : sticks.entrySet()) {
        boolean moved = stick.getKey().axis() == now.axis() && stick.getKey().inceptor() == now.inceptor();
        boolean along = stick.getKey().axis() != now.axis() && stick.getKey().inceptor() == now.inceptor();
        stick.getValue()[i] = moved ? now.at(t - begun) : along ? now.along(t - begun, hand.alongPct()) : 0;
      }
    }
    return sticks;
  }

  /** What is told beside; the rudder's own begin and end say when the steering is disconnected. */
  private Map<Channel, double[]> asides(double[] yaw) {
    Map<Channel, double[]> asides = new LinkedHashMap<>();
    ground.ifPresent(g -> {
      int n = yaw.length;
      double[] disconnect = new double[n];
      double[] heading = new double[n];
      int first = 0;
      int last = n - 1;
      while (first < n - 1 && Math.abs(yaw[first]) < 1) {
        first++;
      }
      while (last > first && Math.abs(yaw[last]) < 1) {
        last--;
      }
      for (int i = 0; i < n; i++) {
        boolean during = i >= first - STEPS_HZ / 2 && (i <= last + STEPS_HZ / 2 || !g.released());
        disconnect[i] = g.disconnected() && during ? 1 : 0;
        heading[i] = (70 + g.turnDegPerS() * i / STEPS_HZ) % 360;
      }
      asides.put(Aside.STEERING_DISCONNECT, disconnect);
      asides.put(Aside.GROUND_SPEED, all(n, g.speedKt()));
      asides.put(Aside.HEADING, heading);
      asides.put(Aside.PARKING_BRAKE, all(n, g.brake() ? 1 : 0));
      asides.put(Aside.AUTOBRAKE, all(n, g.autobrake() ? 1 : 0));
      spec.supplies().forEach(s ->
          asides.put(new Channel.Pressure(s.system()), all(n, s.leastPsi() * g.pressure())));
    });
    return asides;
  }

  private static double[] all(int n, double value) {
    double[] values = new double[n];
    java.util.Arrays.fill(values, value);
    return values;
  }

  /** Where the last movement to the positive stop begins. */
  private static int lastAway(double[] own) {
    int last = own.length;
    for (int i = 1; i < own.length; i++) {
      last = own[i] > 5 && own[i - 1] <= 5 ? i : last;
    }
    return last;
  }

  private Trace record(
      Map<Channel.Input, double[]> sticks, Map<Channel, double[]> moved, Map<Channel, double[]> asides, double total,
      Recorder recorder) {
    List<Double> times = new ArrayList<>();
    double every = 1 / recorder.rateHz();
    boolean lost = true;
    for (int i = 0; i * every < total - every; i++) {
      // One by one: two lost in a row would be a gap.
      lost = !lost && chance.nextDouble() < recorder.lost();
      if (!lost) {
        times.add((i + (recorder.jitter() > 0 ? chance.nextDouble() * recorder.jitter() : 0)) * every);
      }
    }
    double[] seconds = times.stream().mapToDouble(t -> Math.round(t * 1_000) / 1_000.0).toArray();
    Map<Channel, double[]> columns = new LinkedHashMap<>();
    sticks.forEach((channel, values) -> columns.put(channel, seen(values, times, 0, recorder.noisePct(), 0.1)));
    moved.forEach((channel, values) -> {
      double[] seen = seen(values, times, recorder.skewS(), recorder.noiseDeg(), recorder.grainDeg());
      columns.put(channel, unrecorded(((Channel.Position) channel).id(), seconds, values, seen));
    });
    asides.forEach((channel, values) -> columns.put(channel, seen(values, times, 0, 0, 0)));
    return Trace.of(seconds, columns, List.of());
  }

  private double[] seen(double[] values, List<Double> times, double skew, double noise, double grain) {
    double[] out = new double[times.size()];
    for (int i = 0; i < out.length; i++) {
      double at = Math.clamp((times.get(i) - skew) * STEPS_HZ, 0, values.length - 1.001);
      int k = (int) at;
      double v = values[k] + (values[k + 1] - values[k]) * (at - k) + (noise > 0 ? noise * chance.nextGaussian() : 0);
      out[i] = grain > 0 ? Math.round(v / grain) * grain : v;
    }
    return out;
  }

  private double[] unrecorded(String surface, double[] seconds, double[] values, double[] seen) {
    if (faults.of(surface, Kind.FROZEN).isPresent()) {
      for (int i = seen.length / 2; i < seen.length; i++) {
        seen[i] = seen[seen.length / 2 - 1];
      }
    }
    double silent = faults.size(surface, Kind.SILENT, 0);
    double begun = begun(values);
    for (int i = 0; i < seen.length; i++) {
      seen[i] = seconds[i] > begun && seconds[i] < begun + silent ? Double.NaN : seen[i];
    }
    return seen;
  }

  /** When a surface is well under way for the first time, seconds. */
  private static double begun(double[] values) {
    int i = 0;
    while (i < values.length && Math.abs(values[i]) < 5) {
      i++;
    }
    return i / (double) STEPS_HZ;
  }
}
