package neatlanyard.core.departure;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.StepId;

/** Something that is not as it should be, with the commander's decision once there is one. */
public record Find(
    UUID id, StepId step, String note, CrewId by, Instant at, long number, Optional<Decision> decision) {
  /** The commander's decision. */
  public record Decision(Verdict verdict, String words, CrewId by, Instant at, long number) {}

  Find decided(Decision decision) {
    return new Find(id, step, note, by, at, number, Optional.of(decision));
  }
}
