package neatlanyard.core.controls.recording;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TailId;

/** The recordings that departures kept of their control checks. */
public interface KeptRecordings {
  /** @param flight its number @param sha256 of the recording; a departure may have kept several */
  record Kept(FlightId departure, String flight, Instant departs, String sha256) {}

  /** Those of every tail, the latest departure first. @param most how many at most of one tail */
  Map<TailId, List<Kept>> byTail(int most);

  /** One of them, in the open format. */
  Optional<String> csv(FlightId departure, String sha256);
}
