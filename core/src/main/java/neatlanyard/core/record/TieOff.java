package neatlanyard.core.record;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.lanyard.LooseEnd;
import neatlanyard.core.lanyard.Standing;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagKind.Trigger;
import neatlanyard.core.state.DepartureState;

/** What is asked of a departure only when it is to be tied off. */
public final class TieOff {
  private TieOff() {}

  /** Every procedure with steps still open, and the control check if it was not made. */
  public static List<LooseEnd> unfinished(DepartureState d, Standing standing) {
    List<LooseEnd> ends = new ArrayList<>();
    for (Card.Part part : d.parts()) {
      List<StepId> open = part.items().stream().map(i -> i.step().id()).filter(s -> !standing.of(s).settled())
          .toList();
      if (!open.isEmpty()) {
        ends.add(new LooseEnd(
            Trigger.UNFINISHED, part.procedure().id().value(), part.procedure().title(), open.size(),
            part.items().size(), LooseEnd.NOBODY, Instant.EPOCH, 0, open, Optional.empty()));
      }
    }
    if (d.controls().isEmpty()) {
      ends.add(new LooseEnd(
          Trigger.CONTROLS, "controls", "The flight control check has not been made", 1, 1, LooseEnd.NOBODY,
          Instant.EPOCH, 0, List.of(), Optional.empty()));
    }
    return ends;
  }
}
