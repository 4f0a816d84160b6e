package neatlanyard.core.sop;

/**
 * Name of a step, unique in its pack.
 *
 * @param value a step name: up to 60 lower-case letters, digits, dots, strokes or hyphens
 */
public record StepId(String value) {
  public StepId {
    if (!value.matches("[a-z0-9][a-z0-9./-]{0,59}")) {
      throw new IllegalArgumentException(
          "'%s' is not a step name: up to 60 lower-case letters, digits, dots, strokes or hyphens".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
