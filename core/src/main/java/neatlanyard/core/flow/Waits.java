package neatlanyard.core.flow;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Step;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Mark;
import neatlanyard.core.state.Status;

/** The times that steps begin. Whether one is over is the reader's to tell: nothing here looks at a clock. */
public final class Waits {
  private Waits() {}

  /** The wait that a step has begun; empty when it has not, or when nothing waits for it. */
  public static Optional<Waiting> of(DepartureState d, Item item) {
    Step step = item.step();
    if (step.waits().isEmpty() || d.marked(item) != Status.DONE) {
      return Optional.empty();
    }
    return d.marks(step.id()).stream().max(Comparator.comparing(Mark::number)).map(m -> new Waiting(
        item, m.by(), m.at(), m.at().plus(step.waits().get().time()), m.number(),
        d.notes(step.id()).waitSeen() > m.number()));
  }

  /** The waits that steps have begun and that nobody has seen over, in the order of the card. */
  public static List<Waiting> running(DepartureState d) {
    return d.items().stream().flatMap(i -> of(d, i).stream()).filter(w -> !w.seen() && !used(d, w)).toList();
  }

  /** Whether all that waited for it was done since, without words to go past it. */
  private static boolean used(DepartureState d, Waiting w) {
    List<Item> after = after(d, w);
    return !after.isEmpty() && after.stream().allMatch(i -> d.marked(i).settled()
        && d.lastWord(i.step().id()) > w.number() && d.notes(i.step().id()).override().isEmpty());
  }

  /** The steps of the card that a wait is for. */
  public static List<Item> after(DepartureState d, Waiting w) {
    return d.card().map((Card c) -> c.waitingFor(w.item().step().id())).orElse(List.of());
  }
}
