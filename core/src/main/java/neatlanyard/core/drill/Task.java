package neatlanyard.core.drill;

/** What somebody does in a drill. */
public enum Task {
  /** The aircraft is moved by somebody else; one calls, and stops it when something is wrong. */
  WATCH("Watch", "It is moved for you. Call what is there; stop it when something is wrong."),
  /** One moves a sound aircraft: whole, held, in order. */
  MOVE("Move", "You move a sound aircraft: the whole of it, held at each stop."),
  /** One moves, and stops when something is wrong. */
  BOTH("Move and watch", "You move it, and stop when something is wrong.");

  private final String title;
  private final String words;

  Task(String title, String words) {
    this.title = title;
    this.words = words;
  }

  public String title() {
    return title;
  }

  public String words() {
    return words;
  }

  /** Whether something may be wrong with the aircraft. */
  public boolean hides() {
    return this != MOVE;
  }

  /** Whether one moves the controls oneself. */
  public boolean moves() {
    return this != WATCH;
  }
}
