package neatlanyard.core.sop;

/**
 * Name of a kind of tag, unique in its pack.
 *
 * @param value a tag name: up to 40 lower-case letters, digits or hyphens
 */
public record TagId(String value) {
  public TagId {
    if (!value.matches("[a-z0-9][a-z0-9-]{0,39}")) {
      throw new IllegalArgumentException(
          "'%s' is not a tag name: up to 40 lower-case letters, digits or hyphens".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
