package neatlanyard.core.state;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.dispatch.DispatchCase;
import neatlanyard.core.dispatch.Verdict;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.log.FindDetail;
import neatlanyard.core.sop.StepId;

/**
 * Something that is not as it should be, with the commander's decision once there is one.
 *
 * @param measured whether a reading out of limits made it, rather than somebody's words
 */
public record Find(
    UUID id, StepId step, String note, FindDetail what, boolean measured, CrewId by, Instant at, long number,
    Optional<Decision> decision) {
  /** The commander's decision. @param proposed the case as it stood */
  public record Decision(Verdict verdict, String words, Optional<DispatchCase> proposed, CrewId by, Instant at,
      long number) {}

  /** The same find once it is decided. */
  public Find decided(Decision decision) {
    return new Find(id, step, note, what, measured, by, at, number, Optional.of(decision));
  }
}
