package neatlanyard.core.sop;

import java.util.EnumSet;
import java.util.Set;
import neatlanyard.core.fleet.Seat;

/** Whose step it is: a seat, a role in this flight, both seats each for itself, or whichever has time. */
public enum Owner {
  LEFT("left seat"),
  RIGHT("right seat"),
  FLYING("pilot flying"),
  MONITORING("pilot monitoring"),
  BOTH("both pilots"),
  /** Falls to the pilot monitoring on a flight without one. */
  ENGINEER("engineer's seat"),
  /** The overhead, which falls to a seat by the fleet's school, see {@link Matter#OVERHEAD_SCAN}. */
  OVERHEAD("whoever scans the overhead");

  private final String words;

  Owner(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** Who must answer. @param any whether one of them is enough */
  public record Answering(Set<Seat> seats, boolean any) {
    public Answering {
      seats = Set.copyOf(seats);
    }
  }

  /** The seats that must answer, given which seat is flying. Never empty. */
  public Answering answering(Seat flying, Policy policy, Place place) {
    return switch (this) {
      case LEFT -> new Answering(EnumSet.of(Seat.LEFT), false);
      case RIGHT -> new Answering(EnumSet.of(Seat.RIGHT), false);
      case FLYING -> new Answering(EnumSet.of(flying), false);
      case MONITORING -> new Answering(EnumSet.of(flying.other()), false);
      case BOTH -> new Answering(Seat.pilots(), false);
      case ENGINEER -> new Answering(EnumSet.of(Seat.ENGINEER), false);
      case OVERHEAD -> switch (policy.of(Matter.OVERHEAD_SCAN)) {
        case EACH_HALF -> new Answering(EnumSet.of(place.half()), false);
        case EITHER -> new Answering(Seat.pilots(), true);
        default -> new Answering(EnumSet.of(flying.other()), false);
      };
    };
  }
}
