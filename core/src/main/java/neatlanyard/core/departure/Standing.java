package neatlanyard.core.departure;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.StepId;

/** How the steps of the card stand, and by whom and why they are asked for again; worked out once, then asked. */
public final class Standing {
  private final Departure d;
  private final Map<StepId, Again.Why> again;

  /** Number of the entry that made what was said of a step untrue. */
  private final Map<StepId, Long> untrueSince = new HashMap<>();

  /** @param tags those that hang now: what closes one is asked for again */
  public Standing(Departure d, List<Tag> tags) {
    this.d = d;
    this.again = Again.of(d);
    tags.forEach(t -> t.closedBy().forEach(s -> untrueSince.merge(s, t.sinceNumber(), Math::max)));
    again.forEach((s, why) -> untrueSince.merge(s, why.since(), Math::max));
  }

  private long untrueSince(StepId step) {
    return untrueSince.getOrDefault(step, -1L);
  }

  /** Every step of the card, in its order. */
  public Map<StepId, Status> statuses() {
    Map<StepId, Status> statuses = new LinkedHashMap<>();
    for (Item item : d.items()) {
      Status said = d.said(item);
      boolean stale = said == Status.DONE && d.stands(item) < untrueSince(item.step().id());
      statuses.put(item.step().id(), stale ? Status.AGAIN : said);
    }
    return statuses;
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
    Again.Why why = again.get(item.step().id());
    return why != null && why.since() > d.stands(item) ? why.words() : "";
  }
}
