package neatlanyard.core.sop;

import java.util.Collections;
import java.util.Set;
import java.util.TreeSet;
import neatlanyard.core.weather.StationReport;

/**
 * The state of the day as the crew and the report give it; with the tail it decides the card.
 *
 * @param simulatedReport whether the report came from the simulated station service rather than typed over
 * @param dark worked out from place and time, see {@link neatlanyard.core.weather.Sun}
 */
public record Day(StationReport report, boolean simulatedReport, boolean dark, Set<Circumstance> circumstances) {
  public Day {
    circumstances = Collections.unmodifiableSet(
        new TreeSet<>(circumstances)); // in one order, so that a record is written one way
  }

  public boolean is(Circumstance c) {
    return circumstances.contains(c);
  }
}
