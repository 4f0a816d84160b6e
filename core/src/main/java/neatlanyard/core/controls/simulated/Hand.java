package neatlanyard.core.controls.simulated;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Channel.Inceptor;
import neatlanyard.core.controls.ControlSpec;

/**
 * How somebody moves the controls.
 *
 * @param order of the axes
 * @param rounds how often each axis is moved to both stops before the next
 * @param stillS before the first movement
 * @param moveS from the middle to a stop
 * @param holdS at each stop
 * @param restS after each axis, and at the middle where it is not moved across
 * @param across from stop to stop without resting in between
 * @param stopPct how far each axis is moved, per cent
 * @param alongPct how far another control comes along
 * @param bothSticks whether pitch and roll are moved from the left and then from the right
 */
public record Hand(
    List<Axis> order, int rounds, double stillS, double moveS, double holdS, double restS, boolean across,
    Map<Axis, Double> stopPct, double alongPct, boolean bothSticks) {
  private static final double FULL_PCT = 100;

  public Hand {
    order = List.copyOf(order);
    stopPct = Map.copyOf(stopPct);
  }

  /** As it is meant to be: pitch, roll, yaw, each to both stops, held for a second, let go for long enough to see. */
  public static Hand steady() {
    return new Hand(List.of(Axis.values()), 1, 2.0, 0.9, 1.0, 1.8, true, Map.of(), 0, false);
  }

  /** Somebody who does it well enough in their own way: quick or slow, in any order, once or twice. */
  public static Hand somebody(ControlSpec spec, RandomGenerator chance) {
    List<Axis> order = anyOrder(chance);
    double hold = spec.hold().toMillis() / 1_000.0;
    double settle = spec.settle().toMillis() / 1_000.0;
    Map<Axis, Double> stops = new EnumMap<>(Axis.class);
    for (Axis axis : Axis.values()) {
      stops.put(axis, chance.nextDouble(98, 101));
    }
    return new Hand(order, chance.nextInt(4) == 0 ? 2 : 1, settle + chance.nextDouble(0.8, 2),
        chance.nextDouble(0.5, 1.6), hold + chance.nextDouble(0.3, 1.2), settle + chance.nextDouble(0.6, 1.8),
        chance.nextBoolean(), stops, chance.nextDouble(0, 4), false);
  }

  /** The axes in an order of chance. */
  public static List<Axis> anyOrder(RandomGenerator chance) {
    List<Axis> order = new ArrayList<>(List.of(Axis.values()));
    for (int i = order.size() - 1; i > 0; i--) {
      Collections.swap(order, i, chance.nextInt(i + 1));
    }
    return order;
  }

  /** The same, but stopping short on one axis. */
  public Hand stoppingAt(Axis axis, double pct) {
    return new Hand(order, rounds, stillS, moveS, holdS, restS, across, Map.of(axis, pct), alongPct, bothSticks);
  }

  /** The same, each axis so often. */
  public Hand times(int often) {
    return new Hand(order, often, stillS, moveS, holdS, restS, across, stopPct, alongPct, bothSticks);
  }

  /** The same in this order of the axes; where it is empty, in its own. */
  public Hand inOrder(List<Axis> axes) {
    return new Hand(
        axes.isEmpty() ? order : axes, rounds, stillS, moveS, holdS, restS, across, stopPct, alongPct, bothSticks);
  }

  /** The same from both sticks, or as one. */
  public Hand onSticks(boolean both) {
    return new Hand(order, rounds, stillS, moveS, holdS, restS, across, stopPct, alongPct, both);
  }

  /** One stretch of time: a control from one input to another, per cent. */
  record Leg(Inceptor inceptor, Axis axis, double from, double to, double seconds) {
    /** Slow at both ends as a hand is. @param since its begin, seconds */
    double at(double since) {
      double share = (1 - Math.cos(Math.PI * Math.min(1, since / seconds))) / 2;
      return from + (to - from) * share;
    }

    /** What another control of the same hand or foot does meanwhile. */
    double along(double since, double alongPct) {
      return Math.abs(at(since)) / FULL_PCT * alongPct;
    }
  }

  /** How long a whole check takes. */
  public double seconds() {
    return legs().stream().mapToDouble(Leg::seconds).sum();
  }

  /** Where the controls are at a time, by axis, per cent; of separate sticks their sum. */
  public double[] controls(double seconds) {
    List<Leg> legs = legs();
    double begun = 0;
    int leg = 0;
    while (leg < legs.size() - 1 && seconds - begun >= legs.get(leg).seconds()) {
      begun += legs.get(leg).seconds();
      leg++;
    }
    Leg now = legs.get(leg);
    double[] controls = new double[Axis.values().length];
    Arrays.fill(controls, now.along(seconds - begun, alongPct));
    controls[now.axis().ordinal()] = now.at(seconds - begun);
    return controls;
  }

  List<Leg> legs() {
    List<Leg> legs = new ArrayList<>();
    legs.add(new Leg(Inceptor.ANY, order.getFirst(), 0, 0, stillS));
    if (!bothSticks) {
      order.forEach(a -> axis(legs, Inceptor.ANY, a));
      return legs;
    }
    order.stream().filter(a -> a != Axis.YAW).forEach(a -> axis(legs, Inceptor.LEFT, a));
    order.stream().filter(a -> a != Axis.YAW).forEach(a -> axis(legs, Inceptor.RIGHT, a));
    order.stream().filter(a -> a == Axis.YAW).forEach(a -> axis(legs, Inceptor.ANY, a));
    return legs;
  }

  private void axis(List<Leg> legs, Inceptor from, Axis axis) {
    double stop = stopPct.getOrDefault(axis, FULL_PCT);
    for (int round = 0; round < rounds; round++) {
      legs.add(new Leg(from, axis, 0, stop, moveS));
      legs.add(new Leg(from, axis, stop, stop, holdS));
      if (across) {
        legs.add(new Leg(from, axis, stop, -stop, 2 * moveS));
      } else {
        legs.add(new Leg(from, axis, stop, 0, moveS));
        legs.add(new Leg(from, axis, 0, 0, restS));
        legs.add(new Leg(from, axis, 0, -stop, moveS));
      }
      legs.add(new Leg(from, axis, -stop, -stop, holdS));
      legs.add(new Leg(from, axis, -stop, 0, moveS));
      legs.add(new Leg(from, axis, 0, 0, restS));
    }
  }
}
