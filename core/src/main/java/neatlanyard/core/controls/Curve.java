package neatlanyard.core.controls;

import java.util.List;
import neatlanyard.core.controls.ControlSpec.Point;

/** Straight lines from point to point. */
final class Curve {
  private Curve() {}

  /** The value at {@code x} between the two points beside it; beyond the ends, that of the end. */
  static double at(List<Point> points, double x) {
    if (x <= points.getFirst().pct()) {
      return points.getFirst().deg();
    }
    for (int i = 1; i < points.size(); i++) {
      Point to = points.get(i);
      if (x <= to.pct()) {
        Point from = points.get(i - 1);
        return from.deg() + (to.deg() - from.deg()) * (x - from.pct()) / (to.pct() - from.pct());
      }
    }
    return points.getLast().deg();
  }
}
