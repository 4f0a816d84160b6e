package neatlanyard.core.sop;

import java.util.EnumSet;
import java.util.Set;
import neatlanyard.core.fleet.Seat;

/** Whose step it is: a seat, a role in this flight, or both seats, each for itself. */
public enum Owner {
  LEFT,
  RIGHT,
  FLYING,
  MONITORING,
  BOTH;

  /** The seats that must answer, given which seat is flying. Never empty. */
  public Set<Seat> seats(Seat flying) {
    return switch (this) {
      case LEFT -> EnumSet.of(Seat.LEFT);
      case RIGHT -> EnumSet.of(Seat.RIGHT);
      case FLYING -> EnumSet.of(flying);
      case MONITORING -> EnumSet.of(flying.other());
      case BOTH -> EnumSet.allOf(Seat.class);
    };
  }
}
