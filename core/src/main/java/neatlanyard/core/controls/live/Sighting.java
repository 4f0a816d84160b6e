package neatlanyard.core.controls.live;

import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Channel.Inceptor;

/**
 * What the crew saw of one movement.
 *
 * @param inceptor whose control was moved
 * @param sign +1 nose up or right, -1 nose down or left, 0 back to neutral
 * @param right whether it was full, free and the right way, or back at neutral
 */
public record Sighting(Inceptor inceptor, Axis axis, int sign, boolean right) {
  /** Whether it answers a wanted movement. */
  boolean answers(Wanted wanted) {
    return axis == wanted.axis() && sign == wanted.sign() && inceptor == wanted.inceptor();
  }

  String words() {
    return sign == 0 ? new Wanted(inceptor, axis, 1).stick() + axis.words() + " neutral"
        : new Wanted(inceptor, axis, sign).words();
  }
}
