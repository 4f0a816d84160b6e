package neatlanyard.core.timeline.ahead;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.lanyard.Standing;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.timeline.ActivityId;

/** Cuts a card into tasks, in its order. */
final class Tasks {
  private static final int MOST_OF_NAME = 50;

  private final Card card;
  private final Standing standing;
  /** Steps with which a task begins, because they wait for another. */
  private final Set<StepId> begins = new HashSet<>();
  /** Steps with which a task ends, because another waits for them. */
  private final Set<StepId> ends = new HashSet<>();

  private Tasks(Card card, Standing standing) {
    this.card = card;
    this.standing = standing;
    for (Item item : card.items()) {
      item.step().needs().forEach(n -> tie(item, n));
      item.step().afterWait().forEach(n -> tie(item, n));
      if (most(card, item).isPresent()) {
        begins.add(item.step().id());
      }
    }
  }

  /** How long before the departure a step is done at the most, for what it hangs. */
  static Optional<Duration> most(Card card, Item item) {
    return item.step().opens().stream().flatMap(o -> card.pack().tagKinds().stream()
        .filter(k -> k.id().equals(o.tag())).flatMap(k -> k.most().stream())).min(Comparator.naturalOrder());
  }

  private void tie(Item later, StepId earlier) {
    card.item(earlier).filter(e -> !goesOn(e, later)).ifPresent(e -> {
      begins.add(later.step().id());
      ends.add(earlier);
    });
  }

  /** Whether the order in which one seat works a procedure is all that is asked for, but for a moment between. */
  private static boolean goesOn(Item earlier, Item later) {
    boolean waits = later.step().afterWait().contains(earlier.step().id());
    return earlier.procedure().id().equals(later.procedure().id()) && earlier.seats().equals(later.seats())
        && earlier.order() < later.order() && (!waits || Takes.inOne(earlier, later));
  }

  /** @param last the last stage whose steps are wanted */
  static List<Task> of(Card card, Standing standing, Stage last) {
    Tasks tasks = new Tasks(card, standing);
    return card.parts().stream().filter(p -> p.procedure().stage().compareTo(last) <= 0)
        .flatMap(p -> tasks.of(p).stream()).toList();
  }

  private List<Task> of(Card.Part part) {
    List<Task> all = new ArrayList<>();
    List<Item> run = new ArrayList<>();
    for (Item item : part.items()) {
      if (!run.isEmpty() && apart(run.getLast(), item)) {
        all.add(task(part.procedure(), run, all.size()));
        run.clear();
      }
      run.add(item);
    }
    all.add(task(part.procedure(), run, all.size()));
    return all;
  }

  /**
   * Whether a task ends between two steps that follow each other: where another seat goes on, or where something else
   * waits. What is done panel by panel or round the outside is not broken off without need; a list never is.
   */
  private boolean apart(Item one, Item next) {
    Procedure.Kind kind = next.procedure().kind();
    boolean inParts = kind.byPanel() || kind == Procedure.Kind.WALKAROUND;
    return inParts && (!one.seats().equals(next.seats()) || one.any() != next.any()
        || begins.contains(next.step().id()) || ends.contains(one.step().id()));
  }

  private Task task(Procedure procedure, List<Item> items, int number) {
    Set<Seat> seats = EnumSet.noneOf(Seat.class);
    items.forEach(i -> seats.addAll(i.seats()));
    boolean any = items.stream().allMatch(Item::any);
    return new Task(id(procedure, number), procedure, items.getFirst().step().place(),
        procedure.kind() == Procedure.Kind.WALKAROUND, seats, any, items,
        items.stream().filter(i -> !standing.of(i.step().id()).settled()).toList());
  }

  private static ActivityId id(Procedure procedure, int number) {
    String name = Objects.requireNonNull(procedure.id().value());
    return new ActivityId("%s.%d".formatted(
        name.substring(0, Math.min(name.length(), MOST_OF_NAME)).replaceAll("[^A-Za-z0-9.-]", "-"), number + 1));
  }
}
