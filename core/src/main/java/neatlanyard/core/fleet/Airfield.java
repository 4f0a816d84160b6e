package neatlanyard.core.fleet;

import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * An airfield.
 *
 * @param latitudeDeg north positive, -90..90
 * @param longitudeDeg east positive, -180..180
 * @param elevationFt feet above mean sea level
 * @param variationDeg by how much magnetic north lies east of true north, degrees, west negative
 * @param runways none where the fleet's file names none
 * @param outbound what it says to who takes off
 * @param ground its stands and taxiways; empty where the fleet's file does not say
 * @param deck where it is a ship
 */
public record Airfield(
    AirfieldId id, String name, double latitudeDeg, double longitudeDeg, int elevationFt, ZoneId zone,
    double variationDeg, List<Runway> runways, Outbound outbound, Optional<GroundPlan> ground,
    Optional<Deck> deck) {
  public Airfield {
    runways = List.copyOf(runways);
  }

  public Stream<Runway.End> ends() {
    return runways.stream().flatMap(r -> r.ends().stream());
  }

  /** The runway that has this end. */
  public Optional<Runway> runway(RunwayName end) {
    return runways.stream().filter(r -> r.ends().stream().anyMatch(e -> e.name().equals(end))).findFirst();
  }

  public Optional<Runway.End> end(RunwayName name) {
    return ends().filter(e -> e.name().equals(name)).findFirst();
  }
}
