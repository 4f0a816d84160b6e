package neatlanyard.core.timeline.learned;

import java.time.Instant;
import java.util.List;
import neatlanyard.core.fleet.FlightId;

/** What was said of departures, kept: of each what was said first. */
public interface ForetoldPlans {
  /** Those of which nothing was kept yet, all at once. */
  void keep(List<Foretold> said);

  /** Says of a departure when it was over. Nothing where nothing was said of it before. */
  void over(FlightId flight, Instant at);

  /** The newest that are over, the newest first. */
  List<Foretold> over(int most);
}
