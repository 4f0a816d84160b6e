package neatlanyard.core.lanyard;

import java.time.Instant;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.StepId;

/**
 * Somebody worked a step.
 *
 * @param number number of the log entry that said so last
 * @param stands whether the step stands as done. One that somebody did but another doubts, or that has a find, does
 *     not: it may have opened something, but it has closed nothing
 */
public record Deed(StepId step, CrewId by, Instant at, long number, boolean stands) {}
