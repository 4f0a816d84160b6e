package neatlanyard.core.fleet;

import java.util.List;

/**
 * The deck of a ship from above, and what can hurt on it.
 *
 * @param outline its edge, corner by corner
 */
public record Deck(List<Corner> outline, List<Area> areas) {
  public Deck {
    outline = List.copyOf(outline);
    areas = List.copyOf(areas);
  }

  /** @param rightM metres right of the ship's middle line, looking ahead @param aheadM metres ahead of its stern */
  public record Corner(double rightM, double aheadM) {}

  /**
   * A place on deck.
   *
   * @param corners one where an aircraft stands, two or more of a line, three or more round an area
   * @param remark what can hurt there; empty where nothing can
   */
  public record Area(String name, Kind kind, List<Corner> corners, String remark) {
    public Area {
      corners = List.copyOf(corners);
    }

    /** What it is. */
    public enum Kind implements Code {
      /** Where an aircraft stands. */
      SPOT(1, false),
      /** A painted way to walk. */
      WALKWAY(2, false),
      /** The track that throws an aircraft off the bow. */
      CATAPULT(2, true),
      /** A plate that is raised behind an aircraft on the catapult. */
      DEFLECTOR(2, true),
      /** A wire that catches what lands. */
      WIRE(2, true),
      /** A part of the deck that goes up and down. */
      LIFT(3, true),
      /** What stands on deck. */
      ISLAND(3, false),
      /** Where jets blow. */
      WASH(3, true);

      private final int least;
      private final boolean hurts;

      Kind(int least, boolean hurts) {
        this.least = least;
        this.hurts = hurts;
      }

      /** The fewest corners it has. */
      public int least() {
        return least;
      }

      /** Whether somebody can be hurt there, so that the file says how. */
      public boolean hurts() {
        return hurts;
      }

      /** Whether its corners lie round an area, rather than along a line. */
      public boolean area() {
        return least == 3;
      }
    }
  }

  /** Whether a place lies on deck: it is inside where a line from it crosses the edge an odd number of times. */
  public boolean has(Corner place) {
    boolean inside = false;
    for (int i = 0; i < outline.size(); i++) {
      Corner a = outline.get(i);
      Corner b = outline.get((i + 1) % outline.size());
      if (a.aheadM > place.aheadM != b.aheadM > place.aheadM
          && place.rightM < a.rightM + (b.rightM - a.rightM) * (place.aheadM - a.aheadM) / (b.aheadM - a.aheadM)) {
        inside = !inside;
      }
    }
    return inside;
  }
}
