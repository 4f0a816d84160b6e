package neatlanyard.core.flow;

import java.time.Instant;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.Card;

/**
 * A time that must pass after a step that was done.
 *
 * @param item the step that began it
 * @param until when it is over
 * @param number number of the entry that began it
 * @param seen whether somebody has seen that it was over
 */
public record Waiting(Card.Item item, CrewId by, Instant since, Instant until, long number, boolean seen) {
  /** Such as "APU: 3 min before bleed air is taken". */
  public String words() {
    return "%s: %s".formatted(item.step().challenge(), item.step().waits().orElseThrow().words());
  }
}
