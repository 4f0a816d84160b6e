package neatlanyard.core.fleet;

/**
 * Sign-in name of one person.
 *
 * @param value a sign-in name: 2 to 40 lower-case letters, digits, dots or hyphens
 */
public record CrewId(String value) {
  public CrewId {
    if (!value.matches("[a-z][a-z0-9.-]{1,39}")) {
      throw new IllegalArgumentException(
          "'%s' is not a sign-in name: 2 to 40 lower-case letters, digits, dots or hyphens".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
