package neatlanyard.server.departure;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.departure.TodaysFigures;
import neatlanyard.core.figures.Difference;
import neatlanyard.core.figures.FigureInput;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.FigureEntries.OfFigure;
import neatlanyard.core.state.FigureEntries.Standing;
import neatlanyard.core.state.FigureEntries;
import neatlanyard.core.state.Recorded;
import neatlanyard.core.state.StepNotes;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.figures.FiguresViews.CauseView;
import neatlanyard.server.figures.FiguresViews.FigureDifferenceView;
import neatlanyard.server.figures.FiguresViews.EnteredView;
import neatlanyard.server.figures.FiguresViews.FigureView;
import neatlanyard.server.figures.FiguresViews.ToldView;

/** Puts the critical figures into what the screens show; what is covered stays so. */
final class FigureReader {
  private static final int PERCENT = 100;

  private final DepartureState d;

  FigureReader(DepartureState state) {
    this.d = state;
  }

  /** The figures of today's card, by their codes, in the order in which they are entered. */
  Map<String, FigureView> figures() {
    Map<String, FigureView> all = new LinkedHashMap<>();
    for (Item item : d.entering()) {
      for (CriticalFigure figure : item.step().enters()) {
        all.put(Doc.written(figure), figure(figure, item));
      }
    }
    return all;
  }

  private FigureView figure(CriticalFigure figure, Item item) {
    FigureEntries entries = d.entries();
    OfFigure of = entries.of(figure);
    Standing standing = entries.standing(figure);
    boolean covered = TodaysFigures.covered(d, figure);
    return new FigureView(figure, figure.words(), figure.unit(), digits(figure), item.step().id().value(), standing,
        entries.notToday(figure), of.entries().stream().map(e -> entered(e, covered)).toList(),
        entries.agreed(figure), standing.settled() ? "" : of.again().map(StepNotes.Change::words).orElse(""),
        of.taken().map(t -> t.event().words()).orElse(""),
        FigureInput.of(figure).stream().map(FigureInput::words).toList(),
        entries.difference(figure).map(this::difference));
  }

  private static boolean digits(CriticalFigure figure) {
    return figure.number() || figure == CriticalFigure.TRANSPONDER;
  }

  private EnteredView entered(Recorded<Event.FigureEntered> e, boolean covered) {
    return new EnteredView(Names.family(d, e.by()), e.by().value(), d.seatOf(e.by()), e.at(),
        covered ? Optional.empty() : Optional.of(e.event().value()));
  }

  private FigureDifferenceView difference(Difference difference) {
    return new FigureDifferenceView(difference.verdict(), difference.expected(), difference.entries().stream()
        .map(e -> new ToldView(Names.family(d, e.by()), d.seatOf(e.by()), e.value(), e.causes().stream()
        .map(c -> new CauseView(c.words(), Math.round(c.likelihood() * PERCENT))).toList(), e.consequence()))
        .toList());
  }
}
