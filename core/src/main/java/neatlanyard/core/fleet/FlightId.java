package neatlanyard.core.fleet;

/**
 * One flight of one day.
 *
 * @param value a flight key: up to 64 letters, digits, dots or hyphens
 */
public record FlightId(String value) {
  public FlightId {
    if (!value.matches("[A-Za-z0-9][A-Za-z0-9.-]{0,63}")) {
      throw new IllegalArgumentException(
          "'%s' is not a flight key: up to 64 letters, digits, dots or hyphens".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
