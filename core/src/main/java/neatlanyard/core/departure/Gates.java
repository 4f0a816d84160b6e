package neatlanyard.core.departure;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;

/** What keeps a step closed: a step that must come before it, or a wait that is not over. */
public final class Gates {
  private Gates() {}

  /**
   * One thing that keeps a step closed.
   *
   * @param before the step that must be done first, or whose wait must pass
   * @param until when the wait is over; empty where the step itself is not done
   */
  public record Gate(Item before, Optional<Instant> until) {
    /** Such as "Before it comes Fire warning: bell, lights". */
    public String words() {
      return until.isPresent()
          ? "Wait: %s, %s".formatted(before.step().challenge(), before.step().waits().orElseThrow().words())
          : "Before it comes %s: %s.".formatted(before.step().challenge(), before.step().response());
    }
  }

  /** What keeps a step closed, by all that was said; a wait stands here until it is over, which is the reader's to tell. */
  public static List<Gate> of(Departure d, Item item) {
    Stream<Gate> needs = item.step().needs().stream().flatMap(n -> d.card().flatMap(c -> c.item(n)).stream())
        .filter(n -> d.said(n) != Status.DONE)
        .map(n -> new Gate(n, Optional.empty()));
    Stream<Gate> waits = item.step().afterWait().stream().flatMap(n -> d.card().flatMap(c -> c.item(n)).stream())
        .flatMap(n -> wait(d, n).map(w -> new Gate(n, Optional.of(w.until()))).or(() -> undone(d, n)).stream());
    return Stream.concat(needs, waits).toList();
  }

  private static Optional<Gate> undone(Departure d, Item item) {
    return d.said(item).settled() ? Optional.empty() : Optional.of(new Gate(item, Optional.empty()));
  }

  /** The wait that a step has begun; empty when it has not, or when nothing waits for it. */
  static Optional<Waiting> wait(Departure d, Item item) {
    Step step = item.step();
    if (step.waits().isEmpty() || d.said(item) != Status.DONE) {
      return Optional.empty();
    }
    return d.marks(step.id()).stream().max(Comparator.comparing(Mark::number)).map(m -> new Waiting(
        item, m.by(), m.at(), m.at().plus(step.waits().get().time()), m.number(), d.beside().waitSeen(step.id()) > m.number()));
  }

  /**
   * Whether the crew may find a step's state instead of making it. Never one that makes something safe: one that others
   * need, that reads, proves or is critical, or that puts a control into its first position, where it rests.
   */
  public static boolean mayBeFound(Pack pack, Item item) {
    Step step = item.step();
    boolean plain = item.procedure().kind() == Procedure.Kind.POWER_UP
        && !step.sets().isEmpty() && step.expects().isEmpty() && step.measures().isEmpty() && step.alternates().isEmpty() && !step.critical();
    return plain
        && step.sets().stream().noneMatch(s -> rests(pack, s))
        && pack.procedures().stream().flatMap(p -> p.steps().stream()).noneMatch(s -> s.needs().contains(step.id()));
  }

  private static boolean rests(Pack pack, State state) {
    return pack.points().stream().filter(p -> p.id().equals(state.point())).map(Point::states).anyMatch(all -> all.getFirst().equals(state.value()));
  }
}
