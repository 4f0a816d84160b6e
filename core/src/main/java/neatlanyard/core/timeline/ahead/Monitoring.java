package neatlanyard.core.timeline.ahead;

import java.time.Instant;
import java.util.Set;
import neatlanyard.core.timeline.ActivityId;

/**
 * What the pilot monitoring has done some time before the departure, where it can be had.
 *
 * @param what as people call it, such as "Overhead flow"
 * @param tasks those of it that are not over
 */
public record Monitoring(String what, Set<ActivityId> tasks, Instant wanted) {
  public Monitoring {
    tasks = Set.copyOf(tasks);
  }
}
