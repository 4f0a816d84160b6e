package neatlanyard.core.departure;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.departure.Positions.Told;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.StepId;

/** Checklist items that were answered and are no longer true: they come back by themselves and say why. */
final class Again {
  private Again() {}

  /** @param since number of the entry that made it untrue; an answer after it stands */
  record Why(long since, String words) {}

  static Map<StepId, Why> of(Departure d) {
    Map<StepId, Why> again = new LinkedHashMap<>(d.beside().changed());
    List<Item> items = d.items();
    Map<StepId, Integer> order = new HashMap<>();
    items.forEach(i -> order.put(i.step().id(), order.size()));
    Map<PointId, List<Told>> told = Positions.told(d);
    for (Item item : items) {
      if (item.procedure().kind() == Procedure.Kind.CHECKLIST && d.said(item) == Status.DONE) {
        long answered = d.stands(item);
        for (State verified : item.step().verifies()) {
          moved(item, verified, answered, told.getOrDefault(verified.point(), List.of()), order)
              .or(() -> takenBack(d, items, verified, answered))
              .ifPresent(w -> again.merge(item.step().id(), w, (a, b) -> a.since() > b.since() ? a : b));
        }
      }
    }
    return again;
  }

  /**
   * Something else was said of it since, and not by a step that comes later in the order of the card: that one was to
   * move it.
   */
  private static Optional<Why> moved(Item item, State verified, long answered, List<Told> told,
      Map<StepId, Integer> order) {
    int here = order.getOrDefault(item.step().id(), 0);
    List<String> planned = new ArrayList<>();
    Optional<Why> why = Optional.empty();
    for (Told t : told) {
      boolean later = t.by().filter(i -> order.getOrDefault(i.step().id(), 0) > here).isPresent();
      if (later) {
        planned.add(t.value());
      }
      if (t.number() > answered && !t.by().filter(item::equals).isPresent()) {
        boolean untrue = !t.value().equals(verified.value()) && !planned.contains(t.value());
        why = untrue ? Optional.of(new Why(t.number(), "%s since, by %s".formatted(t.value(), t.source())))
            : Optional.empty();
      }
    }
    return why;
  }

  /** What made it so was taken back since and has not been done again. */
  private static Optional<Why> takenBack(Departure d, List<Item> items, State verified, long answered) {
    return items.stream()
        .filter(i -> i.procedure().kind() != Procedure.Kind.CHECKLIST
        && (i.step().sets().contains(verified) || i.step().expects().contains(verified)))
        .filter(i -> d.beside().takenBack(i.step().id()) > answered && !d.said(i).settled())
        .map(i -> new Why(d.beside().takenBack(i.step().id()),
        "%s was taken back since".formatted(i.step().challenge())))
        .findFirst();
  }

  /** What a new card makes untrue of the answers given: another value of today, another reason to be on the card. */
  static Map<StepId, String> changes(Departure before, Departure after) {
    Map<StepId, String> changes = new LinkedHashMap<>();
    for (Item now : after.items()) {
      before.card().flatMap(c -> c.item(now.step().id())).filter(was -> before.said(was) == Status.DONE)
          .ifPresent(was -> {
        Optional<DayValues.Known> then = DayValues.of(before, was);
        Optional<DayValues.Known> today = DayValues.of(after, now);
        if (then.isPresent() && today.isPresent() && !then.get().plain().equals(today.get().plain())) {
          changes.put(now.step().id(), "it is %s now, it was %s".formatted(today.get().shown(), then.get().shown()));
        } else if (now.procedure().kind() == Procedure.Kind.CHECKLIST && !reason(was).equals(reason(now))) {
          changes.put(now.step().id(), "conditions changed: %s".formatted(now.added()));
        }
      });
    }
    return changes;
  }

  /** Why it is on the card, whatever the figures: a degree more is not another condition. */
  private static String reason(Item item) {
    return item.added().replaceAll("[-\u2212]?\\d+", "");
  }
}
