package neatlanyard.core.departure;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.FigureEntries;
import neatlanyard.core.state.Mark;
import neatlanyard.core.state.Status;
import neatlanyard.core.state.StepNotes;

/** What entries of figures make of a departure's state: a step that enters figures is done once all are agreed. */
final class FiguresFold {
  /** Stands for the device where an agreement of two made the mark. */
  private static final String AGREEMENT = "agreement";

  private FiguresFold() {}

  static DepartureState entered(DepartureState d, Event.FigureEntered e, Entry entry) {
    return said(d, e.figure(), entry, x -> x.entered(e, entry));
  }

  static DepartureState taken(DepartureState d, Event.FigureTaken e, Entry entry) {
    return said(d, e.figure(), entry, x -> x.taken(e, entry));
  }

  private static DepartureState said(
      DepartureState d, CriticalFigure figure, Entry entry, UnaryOperator<FigureEntries> change) {
    DepartureState next = d.entries(change);
    Optional<Item> item = next.entersAt(figure);
    if (item.isEmpty()) {
      return next;
    }
    StepId step = item.get().step().id();
    return settled(next, item.get()) ? marked(next, item.get(), entry)
        : settled(d, item.get()) ? next.unmarked(step, FiguresFold::byAgreement) : next;
  }

  /** After something was worked out anew: steps come back whose figures are another. */
  static DepartureState worked(DepartureState d, Event.FiguresWorked e, Entry entry) {
    DepartureState next = d.entries(x -> x.worked(e, entry));
    for (Item item : d.entering()) {
      boolean now = settled(next, item);
      if (now && next.marked(item) == Status.OPEN) {
        next = marked(next, item, entry);
      } else if (!now && settled(d, item)) {
        next = next.changed(item.step().id(), new StepNotes.Change(entry.number(), why(next, item)));
      }
    }
    return next;
  }

  private static String why(DepartureState d, Item item) {
    return item.step().enters().stream().flatMap(f -> d.entries().of(f).again().stream()
        .map(again -> "%s: %s".formatted(f.words(), again.words()))).findFirst()
        .orElse("a figure is asked for that was not before");
  }

  /** Without what somebody entered at a step. */
  static DepartureState without(DepartureState d, StepId step, CrewId by, Entry entry) {
    List<CriticalFigure> said = d.step(step).map(s -> s.enters()).orElse(List.of()).stream()
        .filter(f -> d.entries().saidBy(by, f)).toList();
    DepartureState next = d;
    for (CriticalFigure figure : said) {
      next = next.entries(x -> x.without(figure, by, entry));
    }
    return said.isEmpty() ? d : next.unmarked(step, FiguresFold::byAgreement);
  }

  private static boolean settled(DepartureState d, Item item) {
    return !item.step().enters().isEmpty() && item.step().enters().stream()
        .allMatch(f -> d.entries().standing(f).settled() || d.entries().notToday(f));
  }

  private static DepartureState marked(DepartureState d, Item item, Entry entry) {
    DepartureState next = d;
    for (Seat seat : item.seats().stream().sorted().toList()) {
      CrewId who = Optional.ofNullable(d.seats().get(seat)).orElse(entry.by());
      next = next.marked(item.step().id(), new Mark(Mark.Outcome.DONE, who, Optional.of(seat), AGREEMENT,
          entry.happened(), entry.number(), "", Optional.empty()));
    }
    return next;
  }

  private static boolean byAgreement(Mark mark) {
    return mark.device().equals(AGREEMENT);
  }
}
