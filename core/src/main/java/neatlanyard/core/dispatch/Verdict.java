package neatlanyard.core.dispatch;

/** What is decided on a find, the mildest first. */
public enum Verdict {
  NOTHING_TO_ENTER(true, "Nothing to enter"),
  FLY_WITH_ENTRY(true, "Fly with an entry"),
  MAINTENANCE_FIRST(false, "Maintenance first"),
  STOPS_THE_FLIGHT(false, "Stops the flight");

  private final boolean mayGo;
  private final String words;

  Verdict(boolean mayGo, String words) {
    this.mayGo = mayGo;
    this.words = words;
  }

  public boolean mayGo() {
    return mayGo;
  }

  public String words() {
    return words;
  }

  /** Whether this lets more go than the other. */
  public boolean milderThan(Verdict other) {
    return compareTo(other) < 0;
  }
}
