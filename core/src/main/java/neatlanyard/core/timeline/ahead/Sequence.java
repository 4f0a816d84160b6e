package neatlanyard.core.timeline.ahead;

import java.time.Duration;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.timeline.ActivityId;
import org.jspecify.annotations.Nullable;

/** Which procedures come before which, and the way each seat goes through one. */
final class Sequence {
  private final Card card;
  private final List<Task> tasks;
  private final Net net;

  /** @param net what waits for what by the steps' own needs; the order is put into it */
  Sequence(Card card, List<Task> tasks, Net net) {
    this.card = card;
    this.tasks = List.copyOf(tasks);
    this.net = net;
  }

  /** Within a procedure each seat goes the way of the card. @return what is rather done in one go */
  List<List<ActivityId>> chains() {
    List<List<ActivityId>> inOneGo = new ArrayList<>();
    for (Card.Part part : card.parts()) {
      Map<Seat, Task> before = new EnumMap<>(Seat.class);
      Map<Set<Seat>, List<ActivityId>> pieces = new HashMap<>();
      tasks.stream().filter(t -> !t.over() && t.procedure().id().equals(part.procedure().id())).forEach(t -> {
        if (t.open().stream().anyMatch(i -> Tasks.most(card, i).isPresent())) {
          together(pieces.remove(t.seats()), inOneGo);
        }
        pieces.computeIfAbsent(t.seats(), s -> new ArrayList<>()).add(t.id());
      });
      pieces.values().forEach(p -> together(p, inOneGo));
      tasks.stream().filter(t -> !t.over() && t.procedure().id().equals(part.procedure().id())).forEach(t ->
          t.seats().forEach(s -> {
            Task earlier = before.put(s, t);
            if (earlier != null) {
              net.wait(earlier.id(), t.id(), Duration.ZERO, "");
            }
          }));
    }
    return inOneGo;
  }

  private static void together(@Nullable List<ActivityId> pieces, List<List<ActivityId>> inOneGo) {
    if (pieces != null && pieces.size() > 1) {
      inOneGo.add(pieces);
    }
  }

  /** What is open of a procedure. @param place among the others @param first that wait for none of it */
  private record Run(int place, Procedure procedure, List<Task> first, List<Task> last) {}

  /**
   * Power before what is done inside, flows before figures, both before the briefing, from the start on in order.
   *
   * @param check the flight control check, while it is to be made
   */
  void stages(Optional<ActivityId> check) {
    List<Run> runs = new ArrayList<>();
    for (Card.Part part : card.parts()) {
      List<Task> open = tasks.stream().filter(t -> !t.over() && t.procedure().id().equals(part.procedure().id()))
          .toList();
      runs.add(new Run(runs.size(), part.procedure(),
          open.stream().filter(t -> open.stream().noneMatch(o -> net.direct(o.id(), t.id()))).toList(),
          open.stream().filter(t -> open.stream().noneMatch(o -> net.direct(t.id(), o.id()))).toList()));
    }
    for (Run later : runs) {
      runs.stream().filter(earlier -> comesFirst(earlier, later)).forEach(earlier -> earlier.last().forEach(e ->
          later.first().forEach(l -> net.wait(e.id(), l.id(), Duration.ZERO, ""))));
      boolean before = later.procedure().stage().compareTo(Stage.CONTROLS) <= 0;
      check.ifPresent(c -> (before ? later.last() : later.first()).forEach(t ->
          net.wait(before ? t.id() : c, before ? c : t.id(), Duration.ZERO, "")));
    }
  }

  private static boolean comesFirst(Run one, Run other) {
    Procedure earlier = one.procedure();
    Procedure later = other.procedure();
    if (later.stage().compareTo(Stage.START) >= 0) {
      return earlier.stage().compareTo(later.stage()) < 0
          || earlier.stage() == later.stage() && one.place() < other.place();
    }
    boolean power = earlier.stage() == Stage.POWER_UP;
    boolean made = earlier.kind() == Procedure.Kind.POWER_UP;
    boolean settled = earlier.stage() == Stage.FLOWS || earlier.stage() == Stage.FIGURES;
    return power && later.stage() != Stage.WALKAROUND && later.stage() != Stage.POWER_UP
        || made && later.kind() == Procedure.Kind.SAFETY_ROUND
        || earlier.kind() == Procedure.Kind.FLOW && later.stage() == Stage.FIGURES && earlier.stage() == Stage.FLOWS
        || settled && later.stage() == Stage.BRIEFING;
  }
}
