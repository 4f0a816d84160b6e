package neatlanyard.core.departure;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;

/** What keeps a step closed: a step that comes before it, a wait that is not over, or what closes its whole stage. */
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
    static Gate first(Item before, boolean waits) {
      String words = "Before it comes %s: %s.".formatted(before.step().challenge(), before.step().response());
      return new Gate(words, Optional.of(before), waits, false, Optional.empty());
    }

    static Gate wait(Waiting w) {
      Step step = w.item().step();
      String words = "Wait: %s, %s".formatted(step.challenge(), step.waits().orElseThrow().words());
      return new Gate(words, Optional.of(w.item()), true, false, Optional.of(w.until()));
    }

    static Gate ofStage(String words, Optional<Item> before) {
      return new Gate(words, before, false, true, Optional.empty());
    }
  }

  /** From here on one stage follows the other; before it people work in several at once. */
  private static final Stage IN_ORDER = Stage.START;

  /**
   * What keeps all steps of a stage closed: the tags that were to be gone before it, and on the runway what of the
   * take-off configuration is not so. Words said since at one of its steps count for all of it. The stages before the
   * start are worked side by side, so that a cover outside does not stop the flows inside.
   *
   * @param tags those that hang now
   */
  public static List<Gate> ofStage(Departure d, Stage stage, List<Tag> tags) {
    return late(d, stage, tags).filter(l -> !passed(d, stage, l.since())).map(Late::gate).toList();
  }

  /**
   * Whether there is anything to say words about: what keeps the step closed, or did until somebody else said words or
   * its time ran out. Two people may see it closed and say words in the same moment.
   */
  static boolean maySayWords(Departure d, Item item, List<Tag> tags) {
    return !of(d, item).isEmpty() || late(d, item.procedure().stage(), tags).findAny().isPresent();
  }

  /** @param since number of the entry from which on it has been so */
  private record Late(Gate gate, long since) {}

  private static Stream<Late> late(Departure d, Stage stage, List<Tag> tags) {
    if (stage.compareTo(IN_ORDER) < 0) {
      return Stream.empty();
    }
    Stream<Late> late = tags.stream()
        .filter(t -> t.due().compareTo(stage) < 0)
        .map(t -> new Late(Gate.ofStage("Before it must be gone: %s.".formatted(t.words()),
            t.closedBy().stream().flatMap(s -> d.card().flatMap(c -> c.item(s)).stream()).findFirst()),
            t.sinceNumber()));
    Stream<Late> configuration = stage != Stage.LINE_UP ? Stream.empty() : Takeoff.of(d).stream()
        .filter(c -> !c.so())
        .map(c -> new Late(Gate.ofStage("Take-off configuration. %s.".formatted(c.words()), Optional.empty()),
            c.told().map(Positions.Told::number).orElse(0L)));
    return Stream.concat(late, configuration);
  }

  /** Words that say why a value differs say nothing of the stage. */
  private static boolean passed(Departure d, Stage stage, long since) {
    return d.items().stream().filter(i -> i.procedure().stage() == stage)
        .filter(i -> d.beside().override(i.step().id()).filter(o -> o.number() > since).isPresent())
        .anyMatch(i -> DayValues.differing(d, i).isEmpty());
  }

  /** All that keeps a step closed. @param ofStage what closes its stage, which is worked out once a stage */
  public static List<Gate> all(Departure d, Item item, List<Gate> ofStage) {
    return Stream.concat(of(d, item).stream(), ofStage.stream()).toList();
  }

  /**
   * The steps and waits that come before one step; a wait stands here until it is over, which is the reader's to tell.
   */
  public static List<Gate> of(Departure d, Item item) {
    Stream<Gate> needs = item.step().needs().stream().flatMap(n -> d.card().flatMap(c -> c.item(n)).stream())
        .filter(n -> d.said(n) != Status.DONE)
        .map(n -> Gate.first(n, false));
    Stream<Gate> waits = item.step().afterWait().stream().flatMap(n -> d.card().flatMap(c -> c.item(n)).stream())
        .flatMap(n -> wait(d, n).map(Gate::wait).or(() -> undone(d, n)).stream());
    return Stream.concat(needs, waits).toList();
  }

  private static Optional<Gate> undone(Departure d, Item item) {
    return d.said(item).settled() ? Optional.empty() : Optional.of(Gate.first(item, item.step().waits().isPresent()));
  }

  /** The wait that a step has begun; empty when it has not, or when nothing waits for it. */
  static Optional<Waiting> wait(Departure d, Item item) {
    Step step = item.step();
    if (step.waits().isEmpty() || d.said(item) != Status.DONE) {
      return Optional.empty();
    }
    return d.marks(step.id()).stream().max(Comparator.comparing(Mark::number)).map(m -> new Waiting(
        item, m.by(), m.at(), m.at().plus(step.waits().get().time()), m.number(), d.beside()
        .waitSeen(step.id()) > m.number()));
  }

  /**
   * Whether the crew may find a step's state instead of making it. Never one that makes something safe: one that
   * others need, that reads, proves or is critical, or that puts a control into its first position, where it rests.
   */
  public static boolean mayBeFound(Pack pack, Procedure procedure, Step step) {
    boolean plain = procedure.kind() == Procedure.Kind.POWER_UP
        && !step.sets().isEmpty() && step.expects().isEmpty() && step.measures().isEmpty() && step.alternates()
        .isEmpty() && !step.critical();
    return plain
        && step.sets().stream().noneMatch(s -> rests(pack, s))
        && pack.procedures().stream().flatMap(p -> p.steps().stream()).noneMatch(s -> s.needs().contains(step.id()));
  }

  /** The open steps that these states say are so already. */
  public static Stream<Item> foundSo(Departure d, List<State> states) {
    return d.items().stream().filter(i -> mayBeFound(d.pack(), i.procedure(), i.step()) && !d.said(i).settled()
        && states.containsAll(i.step().sets()));
  }

  private static boolean rests(Pack pack, State state) {
    return pack.points().stream().filter(p -> p.id().equals(state.point())).map(Point::states)
        .anyMatch(all -> all.getFirst().equals(state.value()));
  }
}
