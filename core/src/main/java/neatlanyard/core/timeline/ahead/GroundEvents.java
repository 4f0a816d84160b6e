package neatlanyard.core.timeline.ahead;

import java.time.Instant;
import java.util.List;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FlightId;

/** What people or files say of events on the ground. Of each kind what was said last of a flight stands. */
public interface GroundEvents {
  /** One of a flight. */
  record OfFlight(FlightId flight, GroundEvent event) {}

  /** Of each kind what stands; empty where nobody said anything. */
  List<GroundEvent> of(FlightId flight);

  /** Takes back what was said of one. @return whether something was */
  boolean callOff(FlightId flight, GroundEvent.Kind kind);

  /** All that stand, by flight and kind. */
  List<OfFlight> all();

  /** All at once, or none of them. */
  void say(List<OfFlight> events, CrewId by, Instant at);
}
