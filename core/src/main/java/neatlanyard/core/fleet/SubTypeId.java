package neatlanyard.core.fleet;

/**
 * Name of a sub-type, unique in its pack.
 *
 * @param value a sub-type name: up to 40 lower-case letters, digits or hyphens
 */
public record SubTypeId(String value) {
  public SubTypeId {
    if (!value.matches("[a-z0-9][a-z0-9-]{0,39}")) {
      throw new IllegalArgumentException(
          "'%s' is not a sub-type name: up to 40 lower-case letters, digits or hyphens".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
