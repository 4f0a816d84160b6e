package neatlanyard.core.departure;

import static neatlanyard.core.departure.Attempt.no;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.lanyard.Standing;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.Status;

/** What is asked of the words said of a checklist and its items. */
final class ChecklistAdmission {
  private final Attempt attempt;

  ChecklistAdmission(Attempt attempt) {
    this.attempt = attempt;
  }

  /** A checklist is answered in order, so that nothing is passed over; what was answered may be answered again. */
  Optional<Refusal> inOrder(StepId step) {
    Procedure procedure = attempt.item(step).procedure();
    if (procedure.kind() != Procedure.Kind.CHECKLIST) {
      return Optional.empty();
    }
    Standing standing = attempt.picture().standing();
    return attempt.now().part(procedure.id()).flatMap(attempt.picture()::next)
        .filter(next -> !next.step().id().equals(step))
        .filter(next -> !standing.of(step).settled() && standing.of(step) != Status.LATER)
        .flatMap(next -> no(RefusalCode.OUT_OF_ORDER, "Before it comes %s.".formatted(next.step().challenge()),
            "A checklist is answered in order, so that nothing is passed over."));
  }

  /** What is answered is not put aside, least of all the last item of a checklist, which says that nothing is. */
  Optional<Refusal> mayBeHeld(StepId step) {
    Item item = attempt.item(step);
    if (item.procedure().kind() != Procedure.Kind.CHECKLIST) {
      return Optional.empty();
    }
    boolean last = attempt.now().part(item.procedure().id()).filter(p -> p.items().getLast().equals(item)).isPresent();
    return last
        ? no(RefusalCode.NO_LATER, "The last item of a checklist is not held: it says that nothing is.",
        "Stop the checklist, and resume it when the item can be answered.")
        : inOrder(step);
  }

  Optional<Refusal> stop(Event.ChecklistStopped e) {
    Optional<Card.Part> part = attempt.now().part(e.checklist());
    if (part.isEmpty() || part.get().procedure().kind() != Procedure.Kind.CHECKLIST) {
      return no(RefusalCode.NO_SUCH_CHECKLIST, "There is no such checklist on today's card.", "Reload the departure.");
    }
    List<Item> items = part.get().items();
    if (items.stream().allMatch(i -> attempt.now().marked(i).settled()) || items.stream()
        .noneMatch(i -> attempt.now().marked(i) != Status.OPEN)) {
      return no(RefusalCode.NOTHING_TO_STOP, "That checklist is not under way.", "There is nothing to stop.");
    }
    return attempt.now().stop(e.checklist()).isPresent()
        ? no(RefusalCode.STOPPED, "%s is stopped already.".formatted(part.get().procedure().title()),
        "Resume it when you are ready.")
        : Optional.empty();
  }

  Optional<Refusal> resume(Event.ChecklistResumed e) {
    return attempt.now().stop(e.checklist()).isPresent() ? Optional.empty()
        : no(RefusalCode.NOT_STOPPED, "That checklist is not stopped.", "Go on with its next item.");
  }
}
