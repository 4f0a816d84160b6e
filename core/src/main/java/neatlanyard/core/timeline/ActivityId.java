package neatlanyard.core.timeline;

/** Names an activity within the demands on a departure. */
public record ActivityId(String value) {
  /** Stands at the end of every order: the departure itself. */
  static final ActivityId DEPARTURE = new ActivityId("departure");

  /** @throws IllegalArgumentException when it is not 1 to 60 letters, digits, dots and hyphens */
  public ActivityId {
    if (!value.matches("[A-Za-z0-9.-]{1,60}")) {
      throw new IllegalArgumentException("'%s' is not an identifier".formatted(value));
    }
  }

  @Override
  public String toString() {
    return value;
  }
}
