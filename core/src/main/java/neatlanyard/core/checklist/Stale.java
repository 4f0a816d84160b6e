package neatlanyard.core.checklist;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.flow.ByFigure;
import neatlanyard.core.flow.DayValues;
import neatlanyard.core.flow.Positions.Statement;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Status;
import neatlanyard.core.state.StepNotes.Change;

/** Answers that were given and are no longer true: they come back by themselves and say why. */
public final class Stale {
  private Stale() {}

  /** The answers that something has made untrue, each with what did last; an answer after that stands again. */
  public static Map<StepId, Change> of(DepartureState d, Map<PointId, List<Statement>> statements) {
    Map<StepId, Change> stale = new LinkedHashMap<>();
    d.notes().forEach((step, notes) -> notes.changed().ifPresent(c -> stale.put(step, c)));
    ByFigure.stale(d).forEach((step, c) -> later(stale, step, c));
    for (Item item : d.items()) {
      if (item.procedure().kind() == Procedure.Kind.CHECKLIST && d.marked(item) == Status.DONE) {
        long answered = d.standsSince(item);
        for (State verified : item.step().verifies()) {
          moved(item, ByFigure.position(d, verified), answered, statements.getOrDefault(verified.point(), List.of()))
              .or(() -> takenBack(d, verified, answered))
              .ifPresent(c -> later(stale, item.step().id(), c));
        }
      }
    }
    return stale;
  }

  private static void later(Map<StepId, Change> stale, StepId step, Change change) {
    stale.merge(step, change, (a, b) -> a.since() > b.since() ? a : b);
  }

  /**
   * Something else was said of it since, and not by a step that comes later in the order of the card: that one was to
   * move it.
   */
  private static Optional<Change> moved(Item item, State verified, long answered, List<Statement> statements) {
    List<String> planned = new ArrayList<>();
    Optional<Change> why = Optional.empty();
    for (Statement s : statements) {
      if (s.by().filter(i -> i.order() > item.order()).isPresent()) {
        planned.add(s.value());
      }
      if (s.number() > answered && s.by().filter(item::equals).isEmpty()) {
        boolean untrue = !s.value().equals(verified.value()) && !planned.contains(s.value());
        why = untrue ? Optional.of(new Change(s.number(), "%s since, by %s".formatted(s.value(), s.source())))
            : Optional.empty();
      }
    }
    return why;
  }

  /** What made it so was taken back since and has not been done again. */
  private static Optional<Change> takenBack(DepartureState d, State verified, long answered) {
    return d.card().map((Card c) -> c.makers(verified)).orElse(List.of()).stream()
        .filter(i -> d.notes(i.step().id()).takenBack() > answered && !d.marked(i).settled())
        .map(i -> new Change(d.notes(i.step().id()).takenBack(),
        "%s was taken back since".formatted(i.step().challenge())))
        .findFirst();
  }

  /**
   * What a new card makes untrue of the answers given, in words: another value of today, another reason to be on the
   * card.
   */
  public static Map<StepId, String> changes(DepartureState before, DepartureState after) {
    Map<StepId, String> changes = new LinkedHashMap<>();
    for (Item now : after.items()) {
      before.item(now.step().id()).filter(was -> before.marked(was) == Status.DONE)
          .flatMap(was -> change(before, was, after, now))
          .ifPresent(words -> changes.put(now.step().id(), words));
    }
    return changes;
  }

  private static Optional<String> change(DepartureState before, Item was, DepartureState after, Item now) {
    Optional<DayValues.TodaysValue> then = DayValues.of(before, was);
    Optional<DayValues.TodaysValue> today = DayValues.of(after, now);
    if (then.isPresent() && today.isPresent() && !then.get().plain().equals(today.get().plain())) {
      return Optional.of("it is %s now, it was %s".formatted(today.get().shown(), then.get().shown()));
    }
    return now.procedure().kind() == Procedure.Kind.CHECKLIST && !reason(was).equals(reason(now))
        ? Optional.of("conditions changed: %s".formatted(now.added()))
        : Optional.empty();
  }

  /** Why it is on the card, whatever the figures: a degree more is not another condition. */
  private static String reason(Item item) {
    return item.added().replaceAll("[-\u2212]?\\d+", "");
  }
}
