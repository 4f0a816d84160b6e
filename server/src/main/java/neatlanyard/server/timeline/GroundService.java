package neatlanyard.server.timeline;

import java.time.Instant;
import java.util.List;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.timeline.ahead.GroundEvent;

/** Whoever fuels, boards, loads and clears flights, and says when. */
public interface GroundService {
  /** What it expects for a flight by what it knows at a moment; empty where it says nothing. */
  List<GroundEvent> expects(Flight flight, Instant now);

  String name();

  boolean simulated();
}
