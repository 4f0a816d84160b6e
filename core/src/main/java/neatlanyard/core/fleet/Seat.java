package neatlanyard.core.fleet;

import java.util.EnumSet;
import java.util.Set;

/** A seat of the flight deck. */
public enum Seat {
  LEFT,
  RIGHT,
  /** Behind the pilots, on types and flights that have one. */
  ENGINEER;

  /** The two seats at the controls. */
  public static Set<Seat> pilots() {
    return EnumSet.of(LEFT, RIGHT);
  }

  /** The pilot's seat across. @throws IllegalStateException for a seat that is not at the controls */
  public Seat other() {
    return switch (this) {
      case LEFT -> RIGHT;
      case RIGHT -> LEFT;
      case ENGINEER -> throw new IllegalStateException("The engineer's seat has none across");
    };
  }
}
