package neatlanyard.core.log;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.GroundPlan;
import neatlanyard.core.fleet.Outbound;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.sop.State;

/**
 * What the fleet's files give for a flight: the ground at its airfields, what this tail used last of what is used in
 * turn, and what is said to who leaves the airfield of departure.
 *
 * @param departing empty where the fleet has the airfield no more, and in records of earlier versions
 * @param ground of the airfield of departure; empty where the fleet has none, and in records of earlier versions
 * @param left how the last crew left the tail; empty where they held no such list
 * @param runs what is declared of each runway end one may leave from; none in records of earlier versions
 * @param latitudeDeg of the airfield of departure, north positive; empty where the fleet has it no more, and in
 *     records of earlier versions
 */
public record Facts(List<Elevation> elevations, List<LastUse> lastUses, Optional<Departing> departing,
    Optional<GroundPlan> ground, Optional<Left> left, List<Run> runs, Optional<Double> latitudeDeg) {
  public static final Facts NONE = new Facts(List.of(), List.of(), Optional.empty(), Optional.empty(),
      Optional.empty(), List.of(), Optional.empty());

  public Facts {
    elevations = List.copyOf(elevations);
    lastUses = List.copyOf(lastUses);
    runs = List.copyOf(runs);
  }

  /** How the last crew left the tail. @param by whole name @param flight its number */
  public record Left(String by, String flight, Instant at, List<State> states) {
    public Left {
      states = List.copyOf(states);
    }
  }

  /** @param toraM take-off run available of the whole runway, metres @param begins where else a take-off begins */
  public record Run(RunwayName runway, int toraM, List<Runway.Intersection> begins) {
    public Run {
      begins = List.copyOf(begins);
    }
  }

  /** @param name of the airfield @param ft above mean sea level */
  public record Elevation(AirfieldId airfield, String name, int ft) {}

  /** @param memory the name under which the pack remembers it */
  public record LastUse(String memory, String choice, Instant at) {}

  /**
   * What is said to who leaves an airfield.
   *
   * @param variationDeg by how much magnetic north lies east of true north, degrees
   * @param alternate name of the take-off alternate; empty where there is none
   */
  public record Departing(double variationDeg, Outbound outbound, String alternate, List<ClimbOut> climbOuts) {
    public Departing {
      climbOuts = List.copyOf(climbOuts);
    }
  }

  /**
   * The way out from one end of a runway.
   *
   * @param bearingTrueDeg in degrees true
   * @param firstTurn and {@code engineOut}, in words; empty where the fleet's file does not say
   * @param obstacle the highest beyond the end; empty where there is none
   * @param obstacleFt height above that end, feet; 0 where there is none
   */
  public record ClimbOut(
      RunwayName runway, double bearingTrueDeg, String firstTurn, String engineOut, String obstacle,
      int obstacleFt) {}
}
