package neatlanyard.core.departure;

import java.util.Optional;
import neatlanyard.core.briefing.Briefing;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.BriefingNotes;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Mark;

/** What is written, read and heard of a briefing makes of a departure's state. */
final class BriefingFold {
  private BriefingFold() {}

  static DepartureState worded(DepartureState d, Event.BriefingWorded e, Entry entry) {
    return d.item(e.line()).map(i -> d.briefing(b ->
        b.worded(e.line(), e.words().strip(), Briefing.composed(d, i), entry.number()))).orElse(d);
  }

  /** Whoever reads a line has answered it; what others heard before counts no more where it was something else. */
  static DepartureState read(DepartureState d, Event.BriefingRead e, Entry entry) {
    DepartureState next = d;
    for (Event.ReadLine line : e.lines()) {
      Optional<Item> item = d.item(line.line());
      if (item.isPresent()) {
        boolean same = d.briefing().read(line.line()).filter(r -> r.words().equals(line.words())).isPresent();
        next = same ? next : next.unmarked(line.line(), m -> m.outcome() == Mark.Outcome.DONE);
        next = next.briefing(b -> b.read(line.line(), new BriefingNotes.Read(line.words(), entry.by(),
            entry.happened(), entry.number())));
        next = answered(next, line.line(), entry);
      }
    }
    return next;
  }

  static DepartureState heard(DepartureState d, Event.BriefingHeard e, Entry entry) {
    DepartureState next = d;
    for (StepId line : e.lines()) {
      next = answered(next, line, entry);
    }
    return next;
  }

  private static DepartureState answered(DepartureState d, StepId line, Entry entry) {
    return d.marked(line, new Mark(Mark.Outcome.DONE, entry.by(), entry.seat(), entry.device(), entry.happened(),
        entry.number(), "", Optional.empty()));
  }
}
