package neatlanyard.core.controls;

import java.time.Duration;
import java.util.List;
import java.util.stream.Stream;

/**
 * What a type's controls must do on the ground.
 *
 * @param fullInputPct input from which the control counts as at its stop, per cent of full travel
 * @param neutralInputPct input within which the control counts as released, per cent
 * @param hold how long it must be held at each stop, so that the surface gets there and is seen
 * @param settle how long a surface may take to come back once the control is released
 * @param travelToleranceDeg how much short of its full deflection a surface may stay
 * @param neutralDeg how far from its neutral a surface may rest
 * @param correlation least correlation of a surface with its input, 0..1
 * @param lag longest delay between input and surface
 * @param following how closely a surface must follow on the way
 * @param pairs surfaces that are held against each other
 * @param supplies hydraulic systems that must hold their pressure
 */
public record ControlSpec(
    double fullInputPct,
    double neutralInputPct,
    Duration hold,
    Duration settle,
    double travelToleranceDeg,
    double neutralDeg,
    double correlation,
    Duration lag,
    Following following,
    List<Surface> surfaces,
    List<Spoiler> spoilers,
    List<Pair> pairs,
    List<Supply> supplies) {
  public ControlSpec {
    surfaces = List.copyOf(surfaces);
    spoilers = List.copyOf(spoilers);
    pairs = List.copyOf(pairs);
    supplies = List.copyOf(supplies);
  }

  /**
   * How closely a surface must follow its control between the stops.
   *
   * @param awayDeg most that it may be away from all that the control asked for within the longest delay
   * @param playDeg most that its way out may differ from its way back at one place of the control
   * @param deadBandPct most that the control may move about its middle without the surface
   * @param jumpDeg most that it may move at once while the control moves evenly
   * @param crossDeg most that it may move with the control of another axis
   * @param arrival longest time from the control's arrival at the stop to the surface's
   */
  public record Following(
      double awayDeg, double playDeg, double deadBandPct, double jumpDeg, double crossDeg, Duration arrival) {
    /** What is wanted where a pack says nothing: in keeping with its tolerances. Common practice, no source. */
    public static Following usual(double travelToleranceDeg, double neutralDeg, double neutralInputPct,
        Duration settle) {
      return new Following(
          travelToleranceDeg, 2 * neutralDeg, 2 * neutralInputPct, travelToleranceDeg, travelToleranceDeg, settle);
    }
  }

  /** A point of a curve: at this input, so many degrees. */
  public record Point(double pct, double deg) {}

  /** So much droop with so much flap, both in degrees. */
  public record Droop(double flapDeg, double deg) {}

  /**
   * A surface that follows one axis both ways.
   *
   * @param id its channel in a trace
   * @param positiveDeg deflection at full positive input; trailing edge up or right is positive
   * @param negativeDeg deflection at full negative input, of the opposite sign
   * @param toleranceDeg how much short of its full deflection it may stay
   * @param gearing deflection by input between the stops, inputs rising; empty where it is a straight line each way
   * @param droop how far its neutral moves with the flaps, flap rising; empty where it does not
   */
  public record Surface(
      String id, String name, Axis axis, double positiveDeg, double negativeDeg, double toleranceDeg,
      List<Point> gearing, List<Droop> droop) {
    public Surface {
      gearing = List.copyOf(gearing);
      droop = List.copyOf(droop);
    }

    /** +1 where the surface's positive deflection belongs to the positive input. */
    public double sense() {
      return Math.signum(positiveDeg - negativeDeg);
    }

    /** Its full deflection with the control at the stop of this sign. */
    public double full(double inputSign) {
      return inputSign > 0 ? positiveDeg : negativeDeg;
    }

    /** The deflection that belongs to an input in per cent, from its neutral. */
    public double wanted(double pct) {
      double within = Math.clamp(pct, -100, 100);
      return gearing.isEmpty() ? full(within) * Math.abs(within) / 100 : Curve.at(gearing, within);
    }

    /** How far its neutral is moved with so much flap, degrees. */
    public double droopAt(double flapDeg) {
      return droop.isEmpty() ? 0
          : Curve.at(droop.stream().map(d -> new Point(d.flapDeg(), d.deg())).toList(), flapDeg);
    }
  }

  /**
   * A roll spoiler: out with roll to its own side, in otherwise.
   *
   * @param side +1 the right one, -1 the left one
   * @param outDeg least extension at full roll to its side
   * @param inDeg most extension when it should be in
   * @param schedule extension by input to its own side, 0..100 per cent, rising; empty where only the ends are judged
   * @param toleranceDeg how far it may be from its schedule
   */
  public record Spoiler(
      String id, String name, int side, double outDeg, double inDeg, List<Point> schedule, double toleranceDeg) {
    public Spoiler {
      schedule = List.copyOf(schedule);
    }

    /** The extension that belongs to a roll input in per cent. */
    public double wanted(double rollPct) {
      double toSide = Math.clamp(rollPct * side, 0, 100);
      return schedule.isEmpty() ? outDeg * toSide / 100 : Curve.at(schedule, toSide);
    }
  }

  /**
   * A surface on the left and its like on the right.
   *
   * @param toleranceDeg most that their full deflections the same way may differ
   */
  public record Pair(String left, String right, String name, double toleranceDeg) {}

  /**
   * A hydraulic system.
   *
   * @param leastPsi least pressure while surfaces move
   */
  public record Supply(String system, String name, double leastPsi) {}

  /** The surfaces and spoilers a trace of this type has, in order. */
  public List<String> channels() {
    return Stream.concat(surfaces.stream().map(Surface::id), spoilers.stream().map(Spoiler::id)).toList();
  }

  /** The surfaces of an axis. */
  public List<Surface> surfaces(Axis axis) {
    return surfaces.stream().filter(s -> s.axis() == axis).toList();
  }
}
