package neatlanyard.server.timeline;

import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.ahead.GroundEvents;
import neatlanyard.core.timeline.ahead.GroundEvents.OfFlight;
import org.springframework.stereotype.Service;

/** What others do for departures: what people say of it, and where they say nothing, what the service expects. */
@Service
class GroundDesk {
  private final GroundEvents events;
  private final GroundService service;
  private final InstantSource clock;

  GroundDesk(GroundEvents events, GroundService service, InstantSource clock) {
    this.events = events;
    this.service = service;
    this.clock = clock;
  }

  /** Of each kind one at most, in the order in which they begin. */
  List<GroundEvent> of(Flight flight, Instant now) {
    Map<GroundEvent.Kind, GroundEvent> all = new EnumMap<>(GroundEvent.Kind.class);
    service.expects(flight, now).forEach(e -> all.put(e.kind(), e));
    events.of(flight.id()).forEach(e -> all.put(e.kind(), e));
    List<GroundEvent> sorted = new ArrayList<>(all.values());
    sorted.sort(Comparator.comparing(GroundEvent::begins).thenComparing(GroundEvent::kind));
    return sorted;
  }

  /** @return whether something was said of it */
  boolean callOff(FlightId flight, GroundEvent.Kind kind) {
    return events.callOff(flight, kind);
  }

  /** All that people and files say. */
  List<OfFlight> said() {
    return events.all();
  }

  void say(List<OfFlight> said, CrewId by) {
    events.say(said, by, clock.instant());
  }
}
