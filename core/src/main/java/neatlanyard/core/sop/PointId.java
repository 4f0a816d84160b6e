package neatlanyard.core.sop;

/**
 * Name of a control or an indication, unique in its pack.
 *
 * @param value a control or indication name: up to 40 lower-case letters, digits or hyphens
 */
public record PointId(String value) {
  public PointId {
    if (!value.matches("[a-z0-9][a-z0-9-]{0,39}")) {
      throw new IllegalArgumentException(
          "'%s' is not a control or indication name: up to 40 lower-case letters, digits or hyphens".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
