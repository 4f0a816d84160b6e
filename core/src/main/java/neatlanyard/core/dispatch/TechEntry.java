package neatlanyard.core.dispatch;

import java.time.Instant;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.TailId;

/** One line of a tail's technical log. @param name of who wrote it, as it was then */
public record TechEntry(TailId tail, Instant at, CrewId by, String name, TechAct act) {}
