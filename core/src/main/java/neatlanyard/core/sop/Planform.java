package neatlanyard.core.sop;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.Seating;

/**
 * The type seen from above, in metres; x to the right of the centre line, y back from the nose.
 *
 * @param seating how the pilots sit
 */
public record Planform(
    double lengthM, double fuselageWidthM, Aerofoil wing, Aerofoil tailplane, List<Engine> engines, List<Gear> gear,
    List<Door> doors, List<Hazard> hazards, Seating seating, Optional<Ground> ground) {
  public Planform {
    engines = List.copyOf(engines);
    gear = List.copyOf(gear);
    doors = List.copyOf(doors);
    hazards = List.copyOf(hazards);
  }

  /**
   * How it moves on the ground.
   *
   * @param eyeY where the pilots' eyes are, metres back from the nose
   * @param steeringDeg most that the wheel that steers turns
   * @param radiusM of a usual turn between taxiways
   * @param speeds by where it is
   * @param cooling how long brakes take that grew hot; none where the type does not say
   */
  public record Ground(double eyeY, double steeringDeg, double radiusM, Speeds speeds, List<Cooling> cooling) {
    public Ground {
      cooling = List.copyOf(cooling);
    }

    /** The row that covers a temperature; empty where the table ends below it, or there is none. */
    public Optional<Cooling> cooling(int hottestC) {
      return cooling.stream().filter(c -> c.upToC() >= hottestC).findFirst();
    }
  }

  /**
   * How long brakes cool before a rejected take-off may be counted on.
   *
   * @param upToC of brakes not hotter than this, °C; rows ascend
   * @param minutes without their fan; 0 where they need not cool
   * @param fanMinutes with it; the same where there is none
   */
  public record Cooling(int upToC, int minutes, int fanMinutes) {
    /** How long it takes. @param fan whether it runs */
    public Duration takes(boolean fan) {
      return Duration.ofMinutes(fan ? fanMinutes : minutes);
    }
  }

  /** Most speed by where one is, in knots. */
  public record Speeds(int apronKt, int turnKt, int straightKt, int backtrackKt) {}

  /** A leg with its wheels side by side. */
  public record Gear(double x, double y, int wheels) {}

  /** A door or hatch in the side: where its middle is, and how long it is. */
  public record Door(String name, double x, double y, double lengthM) {}

  /**
   * Where somebody can be hurt, besides the engines' discs and inlets: a box about its middle.
   *
   * @param during a tag during which it is so; without one it always is
   */
  public record Hazard(Kind kind, String name, double x, double y, double widthM, double lengthM,
      Optional<TagId> during) {
    /** What it is that hurts. */
    public enum Kind { EXHAUST, SURFACE, HEAT }
  }

  /**
   * A wing or tailplane, both sides alike.
   *
   * @param rootY where the leading edge meets the centre line
   * @param tipY where the leading edge meets the tip
   */
  public record Aerofoil(double spanM, double rootY, double rootChordM, double tipY, double tipChordM) {}

  /** A propeller disc or a fan inlet to keep clear of: its middle and its diameter. */
  public record Engine(Kind kind, double x, double y, double diameterM) {
    /** What turns in it. */
    public enum Kind { PROPELLER, FAN }
  }
}
