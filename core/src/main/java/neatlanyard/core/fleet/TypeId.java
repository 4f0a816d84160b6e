package neatlanyard.core.fleet;

/**
 * Name of an aircraft type.
 *
 * @param value a type name: 2 to 40 lower-case letters, digits or hyphens
 */
public record TypeId(String value) {
  public TypeId {
    if (!value.matches("[a-z0-9][a-z0-9-]{1,39}")) {
      throw new IllegalArgumentException(
          "'%s' is not a type name: 2 to 40 lower-case letters, digits or hyphens".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
