package neatlanyard.core.sop;

import java.util.Map;
import java.util.Optional;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Tail;

/**
 * All that conditions may ask of one departure.
 *
 * @param latitudeDeg of {@code from}, north positive; empty where nobody knows it
 * @param measured what was measured so far, each in its quantity's unit
 */
public record Situation(
    Tail tail, AirfieldId from, AirfieldId to, Optional<Double> latitudeDeg, Day day,
    Map<QuantityId, Double> measured) {
  public Situation {
    measured = Map.copyOf(measured);
  }
}
