package neatlanyard.core.sop;

import neatlanyard.core.weather.StationReport;

/**
 * The state of the day as the crew and the report give it; with the tail's equipment it decides the card.
 *
 * @param simulatedReport whether the report came from the simulated station service rather than typed over
 * @param dark worked out from place and time, see {@link neatlanyard.core.weather.Sun}
 * @param fuelling whether a hose is or will be on while the crew prepares
 */
public record Day(
    StationReport report,
    boolean simulatedReport,
    boolean dark,
    boolean firstFlight,
    boolean fuelling,
    boolean afterMaintenance) {}
