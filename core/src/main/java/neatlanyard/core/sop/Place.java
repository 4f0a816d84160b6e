package neatlanyard.core.sop;

import neatlanyard.core.fleet.Seat;

/**
 * Where a step is done: a station on the ground or a panel in the flight deck.
 *
 * @param x metres right of the centre line for a station; column of a panel's left edge
 * @param y metres behind the nose for a station; row of a panel's upper edge
 * @param width columns of a panel; 0 for a station
 * @param height rows of a panel; 0 for a station
 * @param half whose half of the flight deck a panel lies in, where the seats share the overhead
 * @param shared whether flows of both seats may work this panel
 * @param glance how it looks at one look when all is right, such as "all upright"; empty where nobody said it
 */
public record Place(PlaceId id, String name, double x, double y, double width, double height, Seat half,
    boolean shared, String glance) {
  public Place(PlaceId id, String name, double x, double y, double width, double height, Seat half, boolean shared) {
    this(id, name, x, y, width, height, half, shared, "");
  }

  public boolean station() {
    return width == 0;
  }

  /** Distance between the middles, in metres or in columns and rows. */
  public double distance(Place other) {
    return Math.hypot(x + width / 2 - other.x - other.width / 2, y + height / 2 - other.y - other.height / 2);
  }
}
