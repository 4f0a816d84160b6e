package neatlanyard.core.timeline.ahead;

import java.util.List;
import java.util.Set;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.timeline.ActivityId;

/**
 * Steps of the card that are done in one go: a flow, the way round the outside or a piece of them, a whole list.
 *
 * @param id the same however much of it is done
 * @param place where it begins
 * @param outside whether it is done outside the aircraft
 * @param seats who works it; all of them at once, or one of them where {@code any}
 * @param items its steps, done or not
 * @param open those that still ask for something; empty once it is over
 */
public record Task(
    ActivityId id, Procedure procedure, PlaceId place, boolean outside, Set<Seat> seats, boolean any,
    List<Item> items, List<Item> open) {
  public Task {
    seats = Set.copyOf(seats);
    items = List.copyOf(items);
    open = List.copyOf(open);
  }

  /** Such as "Left flow". */
  public String what() {
    return procedure.title();
  }

  public Stage stage() {
    return procedure.stage();
  }

  public boolean over() {
    return open.isEmpty();
  }

  /** Whether some of it is done and some is not. */
  public boolean begun() {
    return !open.isEmpty() && open.size() < items.size();
  }
}
