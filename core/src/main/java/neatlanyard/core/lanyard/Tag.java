package neatlanyard.core.lanyard;

import java.time.Instant;
import java.util.List;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagKind;

/**
 * Something somebody opened that must be closed again.
 *
 * @param key the same as long as it is the same thing, such as "covers" or "find/018f…"
 * @param title in words, with the counts filled in
 * @param detail which items are open, or what was said
 * @param hungBy who opened it
 * @param sinceNumber number of the log entry that opened it
 * @param due the stage by whose end it must be gone
 * @param closedBy steps of today's card that take it off; empty where something other than a step does
 * @param open the single things that are open, where steps open and close it; empty elsewhere
 * @param all of how many
 */
public record Tag(
    String key,
    TagKind kind,
    String title,
    String detail,
    CrewId hungBy,
    Instant since,
    long sinceNumber,
    Stage due,
    List<StepId> closedBy,
    List<String> open,
    int all) {
  public Tag {
    closedBy = List.copyOf(closedBy);
    open = List.copyOf(open);
  }

  /** Title and detail in one phrase. */
  public String words() {
    return detail.isEmpty() ? title : "%s (%s)".formatted(title, detail);
  }
}
