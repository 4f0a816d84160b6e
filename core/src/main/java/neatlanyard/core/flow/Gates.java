package neatlanyard.core.flow;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Step;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Status;

/** What keeps one step closed: a step that comes before it, or a wait that is not over. */
public final class Gates {
  private Gates() {}

  /**
   * One thing that keeps a step closed.
   *
   * @param words such as "Before it comes Fire warning: bell, lights"
   * @param before the step that must be done first, or whose wait must pass; empty where it is no step of the card
   * @param waits whether the wait that this step begins must pass too
   * @param ofStage whether it closes all of the stage
   * @param until when the wait is over; empty where it is no wait
   */
  public record Gate(String words, Optional<Item> before, boolean waits, boolean ofStage, Optional<Instant> until) {
    private static Gate first(Item before, boolean waits) {
      String words = "Before it comes %s: %s.".formatted(before.step().challenge(), before.step().response());
      return new Gate(words, Optional.of(before), waits, false, Optional.empty());
    }

    private static Gate wait(Waiting w) {
      Step step = w.item().step();
      String words = "Wait: %s, %s".formatted(step.challenge(), step.waits().orElseThrow().words());
      return new Gate(words, Optional.of(w.item()), true, false, Optional.of(w.until()));
    }

    /** One that closes all of a stage. */
    public static Gate ofStage(String words, Optional<Item> before) {
      return new Gate(words, before, false, true, Optional.empty());
    }
  }

  /**
   * The steps and waits that come before one step; a wait stands here until it is over, which is the reader's to tell.
   */
  public static List<Gate> of(DepartureState d, Item item) {
    if (item.step().needs().isEmpty() && item.step().afterWait().isEmpty()) {
      return List.of();
    }
    Stream<Gate> needs = item.step().needs().stream().flatMap(n -> d.item(n).stream())
        .filter(n -> d.marked(n) != Status.DONE)
        .map(n -> Gate.first(n, false));
    Stream<Gate> waits = item.step().afterWait().stream().flatMap(n -> d.item(n).stream())
        .flatMap(n -> Waits.of(d, n).map(Gate::wait).or(() -> undone(d, n)).stream());
    return Stream.concat(needs, waits).toList();
  }

  private static Optional<Gate> undone(DepartureState d, Item item) {
    return d.marked(item).settled() ? Optional.empty()
        : Optional.of(Gate.first(item, item.step().waits().isPresent()));
  }
}
