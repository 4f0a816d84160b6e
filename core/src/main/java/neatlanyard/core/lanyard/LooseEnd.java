package neatlanyard.core.lanyard;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagKind.Trigger;

/**
 * Something left open that is not a step's own opening: a find, a stopped checklist, a disagreement.
 *
 * @param subject what it is about, unique among loose ends of its trigger
 * @param open how many things are open under it
 * @param all of how many
 * @param due the stage by whose end it must be gone; empty: as its kind says
 */
public record LooseEnd(
    Trigger trigger,
    String subject,
    String detail,
    int open,
    int all,
    CrewId by,
    Instant since,
    long sinceNumber,
    List<StepId> closedBy,
    Optional<Stage> due) {
  /** By whom it is where nobody made it so. */
  public static final CrewId NOBODY = new CrewId("nobody");
}
