package neatlanyard.core.fleet;

/** A seat of the flight deck. */
public enum Seat {
  LEFT,
  RIGHT;

  /** The seat across. */
  public Seat other() {
    return this == LEFT ? RIGHT : LEFT;
  }
}
