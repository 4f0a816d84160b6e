package neatlanyard.core.timeline.learned;

import java.util.List;
import java.util.Map;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TypeId;

/** What crews took, kept. */
public interface TookTimes {
  /** The newest of a type, the newest first. */
  List<Took> of(TypeId type, int most);

  /** All that is kept, by flight and procedure. */
  Map<FlightId, List<Took>> all();

  /** Keeps what departures took, in place of what was kept of them before. */
  void keep(Map<FlightId, List<Took>> took);
}
