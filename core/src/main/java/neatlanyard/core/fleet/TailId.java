package neatlanyard.core.fleet;

/**
 * Registration of one aircraft.
 *
 * @param value a registration: 2 to 10 capitals, digits or hyphens
 */
public record TailId(String value) {
  public TailId {
    if (!value.matches("[A-Z0-9][A-Z0-9-]{1,9}")) {
      throw new IllegalArgumentException(
          "'%s' is not a registration: 2 to 10 capitals, digits or hyphens".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
