package neatlanyard.core.controls;

import java.time.Duration;
import java.util.List;

/**
 * What a type's controls must do on the ground.
 *
 * @param fullInputPct input from which the control counts as at its stop, per cent of full travel
 * @param neutralInputPct input within which the control counts as released, per cent
 * @param hold how long it must be held at each stop, so that the surface gets there and is seen
 * @param settle how long a surface may take to come back once the control is released
 * @param travelToleranceDeg how much short of its full deflection a surface may stay
 * @param neutralDeg how far from its neutral a surface may rest
 * @param correlation least correlation of a surface with its input, 0..1
 * @param lag longest delay between input and surface over which the correlation is sought
 */
public record ControlSpec(
    double fullInputPct,
    double neutralInputPct,
    Duration hold,
    Duration settle,
    double travelToleranceDeg,
    double neutralDeg,
    double correlation,
    Duration lag,
    List<Surface> surfaces,
    List<Spoiler> spoilers) {
  public ControlSpec {
    surfaces = List.copyOf(surfaces);
    spoilers = List.copyOf(spoilers);
  }

  /**
   * A surface that follows one axis both ways.
   *
   * @param id its channel in a trace
   * @param positiveDeg deflection at full positive input; trailing edge up or right is positive
   * @param negativeDeg deflection at full negative input, of the opposite sign
   */
  public record Surface(String id, String name, Axis axis, double positiveDeg, double negativeDeg) {
    /** +1 where the surface's positive deflection belongs to the positive input. */
    public double sense() {
      return Math.signum(positiveDeg - negativeDeg);
    }

    double wanted(double inputSign) {
      return inputSign > 0 ? positiveDeg : negativeDeg;
    }
  }

  /**
   * A roll spoiler: out with roll to its own side, in otherwise.
   *
   * @param side +1 the right one, -1 the left one
   * @param outDeg least extension at full roll to its side
   * @param inDeg most extension when it should be in
   */
  public record Spoiler(String id, String name, int side, double outDeg, double inDeg) {}

  /** The channels a trace of this type has beside time and the three inputs, in order. */
  public List<String> channels() {
    return java.util.stream.Stream.concat(
            surfaces.stream().map(Surface::id), spoilers.stream().map(Spoiler::id))
        .toList();
  }
}
