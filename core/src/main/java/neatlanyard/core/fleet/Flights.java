package neatlanyard.core.fleet;

import java.util.List;
import java.util.Optional;

/** The flights that are known. */
public interface Flights {
  Optional<Flight> find(FlightId id);

  /** All flights by time of departure. */
  List<Flight> all();

  /** Adds flights, all or none. @throws IllegalArgumentException if one of that key is there already */
  void add(List<Flight> flights);

  /** Takes a flight away. @return whether it could be: not when its departure was opened */
  boolean withdraw(FlightId id);
}
