package neatlanyard.core.log;

import java.time.Instant;
import java.util.List;
import neatlanyard.core.fleet.AirfieldId;

/**
 * What the fleet's files give for a flight: the ground at its airfields, and what this tail used last of what is used
 * in turn.
 */
public record Facts(List<Elevation> elevations, List<LastUse> lastUses) {
  public static final Facts NONE = new Facts(List.of(), List.of());

  public Facts {
    elevations = List.copyOf(elevations);
    lastUses = List.copyOf(lastUses);
  }

  /** @param name of the airfield @param ft above mean sea level */
  public record Elevation(AirfieldId airfield, String name, int ft) {}

  /** @param memory the name under which the pack remembers it */
  public record LastUse(String memory, String choice, Instant at) {}
}
