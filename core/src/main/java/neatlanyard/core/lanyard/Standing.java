package neatlanyard.core.lanyard;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Mark;
import neatlanyard.core.state.Status;
import neatlanyard.core.state.StepNotes.Change;

/** How the steps of the card stand, and by whom and why they are asked for again. */
public final class Standing {
  private final DepartureState d;
  private final Map<StepId, Change> stale;

  /** Number of the entry that made what was said of a step untrue. */
  private final Map<StepId, Long> untrueSince = new HashMap<>();

  private final Map<StepId, Status> statuses = new LinkedHashMap<>();

  /**
   * @param tags those that hang now: what closes one is asked for again
   * @param stale answers that are no longer true
   */
  public Standing(DepartureState d, List<Tag> tags, Map<StepId, Change> stale) {
    this.d = d;
    this.stale = stale;
    tags.forEach(t -> t.closedBy().forEach(s -> untrueSince.merge(s, t.sinceNumber(), Math::max)));
    stale.forEach((s, why) -> untrueSince.merge(s, why.since(), Math::max));
    for (Item item : d.items()) {
      Status marked = d.marked(item);
      boolean again = marked == Status.DONE && d.standsSince(item) < untrueSince(item.step().id());
      statuses.put(item.step().id(), again ? Status.AGAIN : marked);
    }
  }

  private long untrueSince(StepId step) {
    return untrueSince.getOrDefault(step, -1L);
  }

  /** Every step of the card, in its order. */
  public Map<StepId, Status> statuses() {
    return statuses;
  }

  /** How one stands; open where it is not on the card. */
  public Status of(StepId step) {
    return statuses.getOrDefault(step, Status.OPEN);
  }

  /** How many of these ask for nothing more. */
  public int settled(List<Item> items) {
    return (int) items.stream().filter(i -> of(i.step().id()).settled()).count();
  }

  /** The seats that must still answer a step. */
  public List<Seat> owes(Item item) {
    StepId id = item.step().id();
    Predicate<Seat> answered = seat -> d.marks(id).stream()
        .anyMatch(m -> m.outcome() != Mark.Outcome.LATER && m.number() > untrueSince(id) && m.seat()
        .filter(seat::equals).isPresent());
    boolean one = item.any() && item.seats().stream().anyMatch(answered);
    return one ? List.of() : item.seats().stream().filter(answered.negate()).sorted().toList();
  }

  /** Why a step that was done is asked for again; empty where it is not, or where a tag says why. */
  public String because(Item item) {
    Change why = stale.get(item.step().id());
    return why != null && why.since() > d.standsSince(item) ? why.words() : "";
  }
}
