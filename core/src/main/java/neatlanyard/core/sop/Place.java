package neatlanyard.core.sop;

/**
 * Where a step is done: a station on the ground or a panel in the flight deck.
 *
 * @param x metres right of the centre line for a station; column of a panel's left edge
 * @param y metres behind the nose for a station; row of a panel's upper edge
 * @param width columns of a panel; 0 for a station
 * @param height rows of a panel; 0 for a station
 */
public record Place(PlaceId id, String name, double x, double y, double width, double height) {
  public boolean station() {
    return width == 0;
  }
}
