package neatlanyard.core.figures;

import java.util.List;
import java.util.OptionalInt;

/**
 * What the take-off figures of a type rest on.
 *
 * @param engines one to four
 * @param leastV1Kt with which the rudder holds it on the ground with an engine out; 0 with one engine
 * @param vmcKt minimum control speed in the air; 0 with one engine
 * @param tyreKt the most over the ground
 * @param antiIceC by how many degrees engine anti-ice makes the tables hotter
 * @param airConditioningC the same for air taken for the cabin
 * @param assumes whether thrust may be reduced by an assumed temperature
 * @param steps fixed steps of thrust in per cent of full
 * @param leastThrustPercent of the full thrust of the day, to which it may be reduced
 * @param reducedOnContaminated whether thrust may be reduced on a contaminated runway
 * @param gravelPercent by which distances are longer on gravel; empty where the type does not use gravel
 * @param shortStripM a run of this length or less is flown with the check at its half
 */
public record TakeoffType(
    TakeoffTables tables, int engines, int leastV1Kt, int vmcKt, int tyreKt, double antiIceC, double airConditioningC,
    boolean assumes, List<Integer> steps, int leastThrustPercent, boolean reducedOnContaminated,
    OptionalInt gravelPercent, int shortStripM) {
  public TakeoffType {
    steps = List.copyOf(steps);
  }

  /** What its take-off must keep to. */
  TakeoffRules rules() {
    return engines == 1 ? TakeoffRules.ONE_ENGINE : TakeoffRules.ENGINE_OUT;
  }

  /** Least gross gradient with an engine out, gear up, in per cent (14 CFR 25.121(b)). */
  double leastClimb() {
    return switch (engines) {
      case 2 -> 2.4;
      case 3 -> 2.7;
      default -> 3.0;
    };
  }

  /** By how much the net gradient lies below the gross one, in per cent (14 CFR 25.115(b)). */
  double netLess() {
    return switch (engines) {
      case 2 -> 0.8;
      case 3 -> 0.9;
      default -> 1.0;
    };
  }
}
