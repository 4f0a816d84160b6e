package neatlanyard.core.checklist;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Card.Part;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Status;

/** Which step of a procedure is asked for now. */
public final class NextItem {
  private NextItem() {}

  /**
   * The first step of a procedure that still asks for something. What was put aside comes last; in a checklist it
   * comes before the line and before its last item, so that neither is said while something is held.
   */
  public static Optional<Item> of(Part part, Map<StepId, Status> statuses) {
    List<Item> open = part.items().stream()
        .filter(i -> !statuses.getOrDefault(i.step().id(), Status.OPEN).settled()).toList();
    Predicate<Item> held = i -> statuses.get(i.step().id()) == Status.LATER;
    Optional<Item> next = open.stream().filter(held.negate()).findFirst();
    if (part.procedure().kind() == Procedure.Kind.CHECKLIST && next.isPresent()) {
      boolean end = open.getLast().equals(next.get());
      return open.stream().filter(held).filter(h -> end || next.get().step().belowLine() && !h.step().belowLine())
          .findFirst().or(() -> next);
    }
    return next.or(() -> open.stream().findFirst());
  }

  /**
   * What is answered anew when a stopped checklist goes on, by the fleet's school: one item back, as both may have
   * lost the place, or nothing, or all of it.
   */
  public static List<Item> answeredAnew(DepartureState d, ProcedureId checklist) {
    List<Item> done = d.part(checklist).stream()
        .flatMap(p -> p.items().stream()).filter(i -> d.marked(i) == Status.DONE).toList();
    return switch (d.pack().policy().of(Matter.RESUMING)) {
      case GO_ON -> List.of();
      case START_AGAIN -> done;
      default -> done.subList(Math.max(0, done.size() - 1), done.size());
    };
  }
}
