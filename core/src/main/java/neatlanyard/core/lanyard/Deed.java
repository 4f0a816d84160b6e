package neatlanyard.core.lanyard;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Mark;
import neatlanyard.core.state.Status;

/**
 * Somebody worked a step.
 *
 * @param number number of the log entry that said so last
 * @param stands whether the step stands as done. One that somebody did but another doubts, or that has a find, does
 *     not: it may have opened something, but it has closed nothing
 */
public record Deed(StepId step, CrewId by, Instant at, long number, boolean stands) {
  /** What was done of the steps that hang something or take it off, in the order of the card. */
  static List<Deed> of(DepartureState d) {
    List<Deed> deeds = new ArrayList<>();
    for (Item item : d.items()) {
      if (item.step().opens().isEmpty() && item.step().closes().isEmpty()) {
        continue;
      }
      boolean stands = d.marked(item) == Status.DONE;
      d.marks(item.step().id()).stream()
          .filter(m -> m.outcome() != Mark.Outcome.NOT_TODAY && m.outcome() != Mark.Outcome.LATER)
          .max(Comparator.comparing(Mark::number))
          .ifPresent(m -> deeds.add(new Deed(item.step().id(), m.by(), m.at(), m.number(), stands)));
    }
    return deeds;
  }
}
