package neatlanyard.core.timeline;

import java.time.Duration;
import java.util.Map;
import java.util.Set;

/** When everything begins and who does it. */
public record Timeline(Map<ActivityId, Slot> slots) {
  public Timeline {
    slots = Map.copyOf(slots);
  }

  /** @param begins since the plan begins */
  public record Slot(Duration begins, Duration ends, Set<PersonId> who) {
    public Slot {
      who = Set.copyOf(who);
    }

    boolean meets(Slot other) {
      return begins.compareTo(other.ends) < 0 && other.begins.compareTo(ends) < 0;
    }
  }

  public Slot of(ActivityId id) {
    Slot slot = slots.get(id);
    if (slot == null) {
      throw new IllegalArgumentException("%s is not in this timeline".formatted(id));
    }
    return slot;
  }

  /** When the last of all is over, or it is due, whichever is later. */
  public Duration departs(Demands demands) {
    return slots.values().stream().map(Slot::ends).reduce(demands.due(), (a, b) -> a.compareTo(b) >= 0 ? a : b);
  }
}
