package neatlanyard.core.timeline.ahead;

import java.time.Instant;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FlightId;

/** What crews say of the other end of their flights, in place of what operations or services say. */
public interface OtherEnds {
  /**
   * What was said of a flight last.
   *
   * @param wanted when it should have landed
   * @param forecast of its destination, in the code form
   */
  record Told(Optional<Instant> wanted, Optional<String> forecast) {
    public static final Told NOTHING = new Told(Optional.empty(), Optional.empty());
  }

  /** {@link Told#NOTHING} where nobody said anything. */
  Told of(FlightId flight);

  void say(FlightId flight, Told told, CrewId by, Instant at);
}
