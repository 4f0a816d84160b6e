package neatlanyard.core.sop;

/**
 * Name of a procedure pack, the same over its revisions.
 *
 * @param value a pack name: 2 to 40 lower-case letters, digits or hyphens
 */
public record PackId(String value) {
  public PackId {
    if (!value.matches("[a-z0-9][a-z0-9-]{1,39}")) {
      throw new IllegalArgumentException(
          "'%s' is not a pack name: 2 to 40 lower-case letters, digits or hyphens".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
