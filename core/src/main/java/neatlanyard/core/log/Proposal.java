package neatlanyard.core.log;

import java.time.Instant;
import java.util.UUID;
import neatlanyard.core.fleet.CrewId;

/** An event somebody wants in the log. */
public record Proposal(UUID id, Instant deviceAt, CrewId by, String device, Event event) {}
