package neatlanyard.core.sop;

import java.util.List;
import neatlanyard.core.fleet.Code;

/**
 * A checklist of the time after the line-up, worked by itself once the departure is tied off. It opens no tag and bars
 * nothing.
 */
public record LaterList(Phase phase, String title, List<Item> items) {
  public LaterList {
    items = List.copyOf(items);
  }

  /** When it is read; there is at most one of each. */
  public enum Phase implements Code {
    AFTER_TAKEOFF,
    DESCENT,
    APPROACH,
    LANDING,
    SHUTDOWN,
    SECURING
  }

  /** @param sets how it leaves controls, which the next crew finds after the last list */
  public record Item(String challenge, String response, Condition when, List<State> sets) {
    public Item {
      sets = List.copyOf(sets);
    }
  }

  /** What of it is read on a day, in its order. */
  public List<Item> items(Policy policy, Situation now) {
    return items.stream().filter(i -> i.when().ask(policy, now).holds()).toList();
  }
}
