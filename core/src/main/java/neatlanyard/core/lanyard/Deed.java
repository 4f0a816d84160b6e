package neatlanyard.core.lanyard;

import java.time.Instant;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.StepId;

/** A step that stands as done. @param number number of the log entry that made it so */
public record Deed(StepId step, CrewId by, Instant at, long number) {}
