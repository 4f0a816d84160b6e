package neatlanyard.core.fleet;

import java.util.List;

/**
 * A runway with what is declared for each of its ends (ICAO Annex 14, 2.8).
 *
 * @param widthM in metres
 * @param ends usually two, each the way one takes off from it
 */
public record Runway(int widthM, Surface surface, List<End> ends) {
  public Runway {
    ends = List.copyOf(ends);
  }

  /** What it is made of. */
  public enum Surface {
    PAVED,
    GRAVEL
  }

  /**
   * One end, in the sense in which a take-off begins there.
   *
   * @param bearingTrueDeg in degrees true, 0..360
   * @param declared from the beginning of the runway
   * @param slopePercent of the whole length, uphill positive
   * @param intersections where a take-off may begin further on, the nearest to the beginning first
   * @param obstacles beyond the far end
   * @param firstTurn after take-off, in words; empty where the fleet's file does not say
   * @param engineOut the way that is flown with an engine out, in words; empty where it is the same
   */
  public record End(RunwayName name, double bearingTrueDeg, Declared declared, double slopePercent,
      List<Intersection> intersections, List<Obstacle> obstacles, String firstTurn, String engineOut) {
    public End {
      intersections = List.copyOf(intersections);
      obstacles = List.copyOf(obstacles);
    }
  }

  /**
   * Declared distances in metres.
   *
   * @param toraM take-off run available
   * @param todaM take-off distance available: the run and the clearway
   * @param asdaM accelerate-stop distance available: the run and the stopway
   * @param ldaM landing distance available
   */
  public record Declared(int toraM, int todaM, int asdaM, int ldaM) {
    /** What is left from a place further on. @param m metres from the beginning */
    public Declared less(int m) {
      return new Declared(toraM - m, todaM - m, asdaM - m, ldaM);
    }
  }

  /** A place where a taxiway meets the runway. @param fromBeginningM metres of runway that lie behind it */
  public record Intersection(String name, int fromBeginningM) {}

  /**
   * Something that stands in the way after take-off.
   *
   * @param beyondEndM metres from the end of the take-off run
   * @param heightFt above that end, in feet
   */
  public record Obstacle(String name, int beyondEndM, int heightFt) {}
}
