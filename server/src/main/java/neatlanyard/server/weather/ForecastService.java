package neatlanyard.server.weather;

import java.util.Optional;
import neatlanyard.core.fleet.AirfieldId;

/** Where aerodrome forecasts come from. */
public interface ForecastService {
  /** The latest forecast of an airfield in the code form; empty when the service has none. */
  Optional<String> latest(AirfieldId station);

  /** Who answers, in words, to be shown wherever a forecast of it shows. */
  String name();

  /** Whether it is a stand-in. */
  boolean simulated();
}
