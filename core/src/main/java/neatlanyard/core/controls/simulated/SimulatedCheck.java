package neatlanyard.core.controls.simulated;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Channel.Aside;
import neatlanyard.core.controls.Channel.Inceptor;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.ControlSpec.Following;
import neatlanyard.core.controls.ControlSpec.Spoiler;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.simulated.Fault.Kind;

/** A whole check: moved by a hand, followed by surfaces, recorded. */
public final class SimulatedCheck {
  /** Steps a second in which the surfaces move; the recorder sees them between these. */
  private static final int STEPS_HZ = 200;

  /** About the middle of a control, per cent. */
  private static final double NEAR_PCT = 10;

  private final ControlSpec spec;
  private final List<Fault> faults;
  private final RandomGenerator chance;
  private final Map<String, Linkage> linkages;
  private final Optional<Ground> ground;

  private SimulatedCheck(
      ControlSpec spec, Map<String, Linkage> linkages, List<Fault> faults, Optional<Ground> ground,
      RandomGenerator chance) {
    this.spec = spec;
    this.linkages = linkages;
    this.faults = List.copyOf(faults);
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
      Following f = spec.following();
      double full = Math.max(Math.abs(s.positiveDeg()), Math.abs(s.negativeDeg()));
      linkages.put(s.id(), Linkage.sound(new Linkage.Allowed(s.toleranceDeg() / full, spec.neutralDeg(), f.playDeg(),
          f.jumpDeg(), f.deadBandPct(), f.crossDeg()), chance));
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
    Map<Channel, double[]> moved = new LinkedHashMap<>();
    for (Surface s : spec.surfaces()) {
      moved.put(Channel.position(s.id()), surface(s, controls));
    }
    for (Spoiler s : spec.spoilers()) {
      moved.put(Channel.position(s.id()), spoiler(s, controls[Axis.ROLL.ordinal()]));
    }
    return record(sticks, moved, asides(controls[Axis.YAW.ordinal()]), total, recorder);
  }

  /** Slow at both ends as a hand is. */
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
      double share = (1 - Math.cos(Math.PI * Math.min(1, (t - begun) / now.seconds()))) / 2;
      double at = now.from() + (now.to() - now.from()) * share;
      for (Map.Entry<Channel.Input, double[]> stick : sticks.entrySet()) {
        boolean moved = stick.getKey().axis() == now.axis() && stick.getKey().inceptor() == now.inceptor();
        boolean along = stick.getKey().axis() != now.axis() && stick.getKey().inceptor() == now.inceptor();
        // Another control comes along a little, as the same hand or foot is at work.
        stick.getValue()[i] = moved ? at : along ? Math.abs(at) / 100 * hand.alongPct() : 0;
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

  private Optional<Fault> fault(String surface, Kind kind) {
    return faults.stream().filter(f -> f.surface().equals(surface) && f.kind() == kind).findFirst();
  }

  private double size(String surface, Kind kind, double otherwise) {
    return fault(surface, kind).map(Fault::size).orElse(otherwise);
  }

  private Linkage linkage(Surface s) {
    Linkage l = linkages.getOrDefault(s.id(), Linkage.RIGHT);
    double full = Math.max(Math.abs(s.positiveDeg()), Math.abs(s.negativeDeg()));
    boolean crossed = fault(s.id(), Kind.CROSSED).isPresent();
    double gain = crossed || fault(s.id(), Kind.JAMMED).isPresent() ? 0
        : fault(s.id(), Kind.REVERSED).map(f -> -f.size())
            .orElse(fault(s.id(), Kind.GEARED).map(f -> 1 - f.size() / full).orElse(l.gain()));
    return new Linkage(gain, size(s.id(), Kind.OFFSET, l.offsetDeg()), size(s.id(), Kind.PLAY, l.playDeg()),
        size(s.id(), Kind.JUMPING, l.stictionDeg()), size(s.id(), Kind.DEAD_BAND, l.deadBandPct()),
        size(s.id(), Kind.LATE, l.lagS()), l.rateDegS() * Math.min(1, ground.map(Ground::pressure).orElse(1.0)
            * ground.map(Ground::pressure).orElse(1.0)),
        crossed ? size(s.id(), Kind.CROSSED, 0) * full : size(s.id(), Kind.COUPLED, l.crossedDeg()));
  }

  private double[] surface(Surface s, double[][] controls) {
    Linkage l = linkage(s);
    double[] own = controls[s.axis().ordinal()];
    double[] other = controls[s.axis() == Axis.PITCH ? Axis.ROLL.ordinal() : Axis.PITCH.ordinal()];
    double towards = Math.signum(s.full(1));
    double least = Math.abs(s.full(1)) - size(s.id(), Kind.SHORT, 0);
    double lastTime = Math.abs(s.full(1)) - size(s.id(), Kind.SHORT_LAST_TIME, 0);
    int last = lastAway(own);
    double stays = size(s.id(), Kind.STAYS, 0);
    double[] out = new double[own.length];
    double slack = 0;
    double at = l.offsetDeg();
    double stuck = at;
    boolean was = false;
    double follow = 1 - Math.exp(-1.0 / STEPS_HZ / l.lagS());
    // A surface late by a fault waits first and then goes as the others do.
    boolean late = fault(s.id(), Kind.LATE).isPresent();
    int wait = late ? (int) Math.round((l.lagS() - Linkage.RIGHT.lagS()) * STEPS_HZ) : 0;
    follow = late ? 1 - Math.exp(-1.0 / STEPS_HZ / Linkage.RIGHT.lagS()) : follow;
    for (int i = 0; i < out.length; i++) {
      double pct = own[Math.max(0, i - wait)];
      double answered = Math.signum(pct) * Math.max(0, Math.abs(pct) - l.deadBandPct() / 2)
          / (1 - l.deadBandPct() / 200);
      double target = s.wanted(answered) * l.gain() + l.crossedDeg() * Math.clamp(other[i] / 100, -1, 1);
      slack = Math.clamp(slack, target - l.playDeg() / 2, target + l.playDeg() / 2);
      double aim = slack + l.offsetDeg();
      double cap = i >= last ? Math.min(least, lastTime) : least;
      aim = aim * towards > cap ? cap * towards : aim;
      was |= aim * towards > stays + 1;
      aim = was && stays > 0 && pct * towards > -NEAR_PCT && aim * towards < stays ? stays * towards : aim;
      double step = (aim - at) * follow;
      at += Math.clamp(step, -l.rateDegS() / STEPS_HZ, l.rateDegS() / STEPS_HZ);
      // Stiffness sits at the hinge: what moves it goes on, and it jumps after.
      stuck = Math.abs(at - stuck) >= l.stictionDeg() ? at : stuck;
      out[i] = stuck;
    }
    return out;
  }

  /** Where the last movement to the positive stop begins. */
  private static int lastAway(double[] own) {
    int last = own.length;
    for (int i = 1; i < own.length; i++) {
      last = own[i] > 5 && own[i - 1] <= 5 ? i : last;
    }
    return last;
  }

  private double[] spoiler(Spoiler s, double[] roll) {
    double shortBy = size(s.id(), Kind.SHORT, 0);
    double stays = size(s.id(), Kind.STAYS, 0);
    // Where there is no schedule it comes out a tenth further than the least that is wanted.
    double more = s.schedule().isEmpty() ? 1.1 : 1;
    double follow = 1 - Math.exp(-1.0 / STEPS_HZ / Linkage.RIGHT.lagS());
    double[] out = new double[roll.length];
    double at = 0;
    boolean was = false;
    for (int i = 0; i < out.length; i++) {
      double aim = Math.min(s.wanted(roll[i]) * more, shortBy > 0 ? s.outDeg() - shortBy : Double.MAX_VALUE);
      was |= aim > stays;
      aim = was ? Math.max(aim, stays) : aim;
      at += (aim - at) * follow;
      out[i] = at;
    }
    return out;
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
    if (fault(surface, Kind.FROZEN).isPresent()) {
      for (int i = seen.length / 2; i < seen.length; i++) {
        seen[i] = seen[seen.length / 2 - 1];
      }
    }
    double silent = size(surface, Kind.SILENT, 0);
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
