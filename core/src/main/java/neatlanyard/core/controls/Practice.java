package neatlanyard.core.controls;

import java.util.List;

/**
 * How a fleet makes the check, and where this one may be made.
 *
 * @param order in which the axes are moved; empty where the fleet leaves it free
 * @param bothSticks whether pitch and roll are moved from each seat
 * @param disconnected whether the steering is disconnected for the rudder
 * @param standing whether the aircraft must stand still; otherwise it may roll straight
 * @param called whether full travel and neutral are called
 */
public record Practice(List<Axis> order, boolean bothSticks, boolean disconnected, boolean standing, boolean called) {
  /** Nothing but the check itself is asked for. */
  public static final Practice ANY = new Practice(List.of(), false, false, false, false);

  /** Fastest that still counts as standing, knots: the scatter of a position source. Common practice, no source. */
  public static final double STANDING_KT = 1.0;

  /** Fastest change of heading that still counts as straight, degrees a second. Common practice, no source. */
  public static final double STRAIGHT_DEG_PER_S = 1.5;

  public Practice {
    order = List.copyOf(order);
  }

  /** The same, standing. */
  public Practice standingStill() {
    return new Practice(order, bothSticks, disconnected, true, called);
  }

  /** The same with the axes in this order. */
  public Practice inOrder(List<Axis> axes) {
    return new Practice(axes, bothSticks, disconnected, standing, called);
  }
}
