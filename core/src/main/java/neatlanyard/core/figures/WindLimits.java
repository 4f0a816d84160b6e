package neatlanyard.core.figures;

import java.util.Map;
import java.util.OptionalInt;

/**
 * The wind one may take off in.
 *
 * @param crossKt by the state of the runway, in knots; what is not named has no take-off
 * @param tailKt the most tail wind, in knots
 * @param whose in words: the type's, or the operator's
 */
public record WindLimits(Map<RunwayState, Integer> crossKt, int tailKt, String whose) {
  public WindLimits {
    crossKt = Map.copyOf(crossKt);
  }

  OptionalInt cross(RunwayState state) {
    Integer kt = crossKt.get(state);
    return kt == null ? OptionalInt.empty() : OptionalInt.of(kt);
  }
}
