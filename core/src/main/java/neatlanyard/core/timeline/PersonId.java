package neatlanyard.core.timeline;

/** Names somebody who is busy with activities: a seat, or somebody outside the crew. */
public record PersonId(String value) {
  /** @throws IllegalArgumentException when it is not 1 to 60 letters, digits, dots and hyphens */
  public PersonId {
    if (!value.matches("[A-Za-z0-9.-]{1,60}")) {
      throw new IllegalArgumentException("'%s' is not an identifier".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
