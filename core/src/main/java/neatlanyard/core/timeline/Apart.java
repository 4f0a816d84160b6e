package neatlanyard.core.timeline;

import java.util.Set;

/** Activities of which no two may be done at once. @param because such as "HF is not keyed while fuelling" */
public record Apart(Set<ActivityId> activities, String because) {
  public Apart {
    activities = Set.copyOf(activities);
  }
}
