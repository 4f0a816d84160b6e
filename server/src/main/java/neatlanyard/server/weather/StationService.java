package neatlanyard.server.weather;

import java.util.Optional;
import neatlanyard.core.fleet.AirfieldId;

/** Where station reports come from. */
public interface StationService {
  /** The latest report of a station as text; empty when the service has none. */
  Optional<String> latest(AirfieldId station);

  /** Who answers, in words, to be shown wherever a report of it shows. */
  String name();

  /** Whether it is a stand-in. */
  boolean simulated();
}
