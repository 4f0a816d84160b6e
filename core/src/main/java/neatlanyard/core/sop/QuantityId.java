package neatlanyard.core.sop;

/**
 * Name of something measured, unique in its pack.
 *
 * @param value a quantity name: up to 40 lower-case letters, digits or hyphens
 */
public record QuantityId(String value) {
  public QuantityId {
    if (!value.matches("[a-z0-9][a-z0-9-]{0,39}")) {
      throw new IllegalArgumentException(
          "'%s' is not a quantity name: up to 40 lower-case letters, digits or hyphens".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
