package neatlanyard.core.taxi;

import java.util.ArrayList;
import java.util.List;

/**
 * A turn along a line on the ground: straight, a part of a circle, straight again.
 *
 * @param degrees by how much it turns, to the right
 * @param radiusM of the line
 */
public record GroundTurn(Wheels wheels, double degrees, double radiusM) {
  /** So many steps a metre of way; halving them changes nothing that is shown. */
  private static final int STEPS_A_METRE = 4;

  /** Straight before and behind, in wheelbases: by then less than a hundredth of the offset is left. */
  private static final double STRAIGHT = 5;

  /** @param x metres along the way in @param y metres to the right of it */
  public record Spot(double x, double y) {}

  /**
   * Where all goes while the middle of the main gear is kept on the line.
   *
   * @param line the line itself @param eyes the pilots' @param tip the outer wing tip
   * @param cut the middle of the main gear, if the nose wheel were kept on the line instead
   */
  public record Ways(List<Spot> line, List<Spot> eyes, List<Spot> tip, List<Spot> cut) {}

  /** @throws IllegalArgumentException when it is no turn, or so tight that the main gear would run backwards */
  public GroundTurn {
    if (!(degrees > 0 && degrees <= 180 && radiusM > wheels.wheelbaseM())) {
      throw new IllegalArgumentException("A turn of 1 to 180 degrees on a radius longer than the wheelbase");
    }
  }

  /** How far straight on past the begin of the turn the eyes go before steering, for the main gear to reach it. */
  public double straightOnM() {
    return wheels.eyeM();
  }

  /** How far outside the line the eyes are in the turn, while the main gear is on it. Pythagoras. */
  public double eyesPastM() {
    return Math.hypot(radiusM, wheels.eyeM()) - radiusM;
  }

  /** How far outside the line the outer wing tip sweeps, while the main gear is on it. */
  public double tipPastM() {
    return Math.hypot(radiusM + wheels.tipOutM(), wheels.tipM()) - radiusM;
  }

  /** How far outside the line the end of the tail sweeps, while the main gear is on it. */
  public double tailPastM() {
    return Math.hypot(radiusM, wheels.tailM()) - radiusM;
  }

  /** By how much the inner main wheels are inside the line, if the nose wheel were kept on it: the tractrix. */
  public double cutM(Ways ways) {
    return ways.cut.stream().mapToDouble(this::inside).max().orElse(0) + wheels.trackM() / 2;
  }

  /** How far inside the line a spot lies; negative outside. */
  private double inside(Spot s) {
    double turn = Math.toRadians(degrees);
    double fromMiddle = Math.hypot(s.x, radiusM - s.y);
    double at = Math.atan2(s.x, radiusM - s.y);
    if (s.x < 0 && s.y < radiusM) {
      return s.y;
    }
    if (at >= 0 && at <= turn) {
      return radiusM - fromMiddle;
    }
    // Behind the turn: across the straight that leaves it.
    return radiusM - ((radiusM - s.y) * Math.cos(turn) + s.x * Math.sin(turn));
  }

  /**
   * The ways, a spot a metre. The main gear behind a nose wheel on the line follows dψ/ds = sin(θ − ψ) / L,
   * with θ the way of the nose wheel, ψ the aircraft's heading and L the wheelbase: the tractrix, stepped by the
   * classic fourth-order rule of Runge and Kutta. ICAO Doc 9157 Part 2 lays out fillets by it (from memory).
   */
  public Ways ways() {
    double straight = STRAIGHT * wheels.wheelbaseM();
    double arc = radiusM * Math.toRadians(degrees);
    int steps = (int) Math.ceil((2 * straight + arc) * STEPS_A_METRE);
    double ds = (2 * straight + arc) / steps;
    List<Spot> line = new ArrayList<>();
    List<Spot> eyes = new ArrayList<>();
    List<Spot> tip = new ArrayList<>();
    List<Spot> cut = new ArrayList<>();
    double heading = 0;
    for (int i = 0; i <= steps; i++) {
      double s = i * ds - straight;
      Spot on = at(s);
      double way = way(s);
      if (i % STEPS_A_METRE == 0 || i == steps) {
        line.add(on);
        eyes.add(ahead(on, way, wheels.eyeM(), 0));
        tip.add(ahead(on, way, wheels.tipM(), -wheels.tipOutM()));
        cut.add(ahead(on, heading, -wheels.wheelbaseM(), 0));
      }
      heading = step(s, heading, ds);
    }
    return new Ways(line, eyes, tip, cut);
  }

  private double step(double s, double heading, double ds) {
    double a = rate(s, heading);
    double b = rate(s + ds / 2, heading + a * ds / 2);
    double c = rate(s + ds / 2, heading + b * ds / 2);
    double d = rate(s + ds, heading + c * ds);
    return heading + ds * (a + 2 * b + 2 * c + d) / 6;
  }

  private double rate(double s, double heading) {
    return Math.sin(way(s) - heading) / wheels.wheelbaseM();
  }

  /** The direction of the line, in radians. @param s metres from the begin of the turn */
  private double way(double s) {
    return Math.clamp(s / radiusM, 0, Math.toRadians(degrees));
  }

  private Spot at(double s) {
    double turn = Math.toRadians(degrees);
    double way = way(s);
    double over = s < 0 ? s : Math.max(0, s - radiusM * turn);
    return new Spot(radiusM * Math.sin(way) + over * Math.cos(way),
        radiusM * (1 - Math.cos(way)) + over * Math.sin(way));
  }

  private static Spot ahead(Spot from, double heading, double forward, double right) {
    return new Spot(from.x + forward * Math.cos(heading) - right * Math.sin(heading),
        from.y + forward * Math.sin(heading) + right * Math.cos(heading));
  }
}
