package neatlanyard.core.fleet;

/**
 * Something a tail may have fitted, such as a freight door.
 *
 * @param value an equipment name: 2 to 40 lower-case letters, digits or hyphens
 */
public record Equipment(String value) {
  public Equipment {
    if (!value.matches("[a-z0-9][a-z0-9-]{1,39}")) {
      throw new IllegalArgumentException(
          "'%s' is not an equipment name: 2 to 40 lower-case letters, digits or hyphens".formatted(value));
    }
  }

  /** As people say it: "freight door", and short ones as abbreviations: "APU". */
  public String words() {
    return value.length() <= 3 ? value.toUpperCase(java.util.Locale.ROOT) : value.replace('-', ' ');
  }

  @Override
  public String toString() {
    return value;
  }
}
