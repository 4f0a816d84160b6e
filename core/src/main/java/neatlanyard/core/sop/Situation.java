package neatlanyard.core.sop;

import java.util.Map;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Tail;

/**
 * All that conditions may ask of one departure.
 *
 * @param measured what was measured so far, each in its quantity's unit
 */
public record Situation(Tail tail, AirfieldId from, AirfieldId to, Day day, Map<QuantityId, Double> measured) {
  public Situation {
    measured = Map.copyOf(measured);
  }
}
