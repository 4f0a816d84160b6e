package neatlanyard.core.sop;

/**
 * Name of a station outside or a panel inside, unique in its pack.
 *
 * @param value a place name: up to 40 lower-case letters, digits or hyphens
 */
public record PlaceId(String value) {
  public PlaceId {
    if (!value.matches("[a-z0-9][a-z0-9-]{0,39}")) {
      throw new IllegalArgumentException(
          "'%s' is not a place name: up to 40 lower-case letters, digits or hyphens".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
