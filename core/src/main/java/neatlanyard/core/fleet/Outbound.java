package neatlanyard.core.fleet;

import java.util.Optional;
import java.util.OptionalInt;

/**
 * What an airfield's own papers say to who takes off from it, besides its runways.
 *
 * @param landing below which nobody lands there; empty where the fleet's file does not say
 * @param alternate where one goes when one cannot come back
 * @param minimumFt altitude below which nobody flies around there, feet above mean sea level, not corrected for cold
 */
public record Outbound(Optional<LandingLimits> landing, Optional<AirfieldId> alternate, OptionalInt minimumFt) {
  public static final Outbound NONE = new Outbound(Optional.empty(), Optional.empty(), OptionalInt.empty());

  /** @param ceilingFt height above the airfield in feet @param visibilityM in metres */
  public record LandingLimits(int ceilingFt, int visibilityM) {}
}
