package neatlanyard.core.controls.live;

import java.util.ArrayList;
import java.util.List;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Channel.Inceptor;
import neatlanyard.core.controls.Practice;

/**
 * One movement that a whole check has.
 *
 * @param sign +1 nose up or right, -1 nose down or left
 */
public record Wanted(Inceptor inceptor, Axis axis, int sign) {
  private static final int[] SIGNS = {1, -1};

  /** All by a fleet's practice: pitch and roll from each stick where both are checked, the linked pedals once. */
  public static List<Wanted> of(Practice practice) {
    List<Wanted> all = new ArrayList<>();
    List<Axis> order = practice.order().isEmpty() ? List.of(Axis.values()) : practice.order();
    for (Inceptor seat : practice.bothSticks() ? List.of(Inceptor.LEFT, Inceptor.RIGHT) : List.of(Inceptor.ANY)) {
      order.stream().filter(a -> !practice.bothSticks() || a != Axis.YAW).forEach(a -> add(all, seat, a));
    }
    if (practice.bothSticks()) {
      add(all, Inceptor.ANY, Axis.YAW);
    }
    return all;
  }

  private static void add(List<Wanted> all, Inceptor seat, Axis axis) {
    for (int sign : SIGNS) {
      all.add(new Wanted(seat, axis, sign));
    }
  }

  /** Such as "roll left" or "right stick, roll left". */
  public String words() {
    return stick() + axis.words() + " " + axis.toward(sign);
  }

  /** Which stick, to begin with; nothing where it is the only one. */
  String stick() {
    return switch (inceptor) {
      case ANY -> "";
      case LEFT -> "left stick, ";
      case RIGHT -> "right stick, ";
    };
  }
}
