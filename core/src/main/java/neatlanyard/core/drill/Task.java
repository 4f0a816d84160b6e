package neatlanyard.core.drill;

/** What somebody does in a drill. */
public enum Task {
  /** The aircraft is moved by somebody else; one calls, and stops it when something is wrong. */
  WATCH,
  /** One moves a sound aircraft: whole, held, in order. */
  MOVE,
  /** One moves, and stops when something is wrong. */
  BOTH;

  /** Whether something may be wrong with the aircraft. */
  public boolean hides() {
    return this != MOVE;
  }

  /** Whether one moves the controls oneself. */
  public boolean moves() {
    return this != WATCH;
  }
}
