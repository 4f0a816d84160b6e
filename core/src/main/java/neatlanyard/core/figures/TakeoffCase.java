package neatlanyard.core.figures;

import java.util.Optional;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.weather.Air;

/**
 * One way to take off.
 *
 * @param from where it begins; empty for the whole runway
 * @param headKt along the runway, whole knots that may be counted on; a tail wind is negative
 * @param weightKg at the beginning of the take-off
 */
public record TakeoffCase(
    Runway.End end, Runway.Surface surface, Optional<Runway.Intersection> from, Air air, int headKt,
    RunwayState state, double weightKg, String flap, Thrust thrust, boolean antiIce, boolean airConditioning) {
  /** What is left from where it begins. */
  public Runway.Declared left() {
    return from.map(i -> end.declared().less(i.fromBeginningM())).orElse(end.declared());
  }

  public TakeoffCase with(Thrust other) {
    return new TakeoffCase(
        end, surface, from, air, headKt, state, weightKg, flap, other, antiIce, airConditioning);
  }

  /** The same from another place. @param head of the wind there, in knots */
  TakeoffCase at(Runway.End other, Runway.Surface of, Optional<Runway.Intersection> begins, int head) {
    return new TakeoffCase(
        other, of, begins, air, head, state, weightKg, flap, thrust, antiIce, airConditioning);
  }

  public TakeoffCase withWeight(double kg) {
    return new TakeoffCase(end, surface, from, air, headKt, state, kg, flap, thrust, antiIce, airConditioning);
  }

  public TakeoffCase withFlap(String other) {
    return new TakeoffCase(
        end, surface, from, air, headKt, state, weightKg, other, thrust, antiIce, airConditioning);
  }

  /** Such as "07 from B, flap 15, full". */
  public String words() {
    return "%s%s, flap %s, %s".formatted(
        end.name(), from.map(i -> " from " + i.name()).orElse(""), flap, thrust.words());
  }
}
