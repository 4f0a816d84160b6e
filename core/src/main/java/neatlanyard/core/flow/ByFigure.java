package neatlanyard.core.flow;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.figures.entry.Recogniser;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.DayValue;
import neatlanyard.core.sop.DayValue.Source;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step.Only;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.FigureEntries.Settled;
import neatlanyard.core.state.Status;
import neatlanyard.core.state.StepNotes.Change;

/** What the figures both pilots agreed on say of controls, and of steps that were done by another figure. */
public final class ByFigure {
  private ByFigure() {}

  /** The position a step wants of a control, by today's figures. */
  public static State position(DepartureState d, State wanted) {
    return position(d, wanted, Long.MAX_VALUE);
  }

  /** The same as it was at an entry of the log: what was set by another figure still stands there. */
  static State position(DepartureState d, State wanted, long number) {
    return wanted.byFigure() ? figured(d, wanted.point(), number).or(() -> alone(d, wanted.point()))
        .orElseGet(() -> d.pack().usual(wanted)) : wanted;
  }

  /** Where a control stands for take-off: by its figure, by the one value that today allows, or as the pack has it. */
  public static State takeoff(DepartureState d, State usual) {
    return figured(d, usual.point(), Long.MAX_VALUE).or(() -> alone(d, usual.point())).orElse(usual);
  }

  /** The figure by which a control stands, while it is not settled: until then its position is the usual one. */
  public static Optional<CriticalFigure> open(DepartureState d, PointId control) {
    return d.pack().point(control).flatMap(Point::agreed)
        .filter(f -> d.entries().settled(f, Long.MAX_VALUE).isEmpty());
  }

  /** What a figure may be today and nothing else, each with why; none where the pack does not bound it. */
  public static Stream<Only> only(DepartureState d, CriticalFigure figure) {
    return d.entersAt(figure).stream().flatMap(i -> i.step().only().stream()).filter(o -> o.figure() == figure)
        .filter(o -> d.situation().filter(s -> o.when().ask(d.pack().policy(), s).holds()).isPresent());
  }

  /** Where a figure may have one value alone, that one. */
  private static Optional<State> alone(DepartureState d, PointId control) {
    return d.pack().point(control).flatMap(p -> p.agreed().flatMap(f -> only(d, f)
        .filter(o -> o.values().size() == 1).map(o -> o.values().getFirst())
        .filter(p.states()::contains).findFirst())).map(state -> new State(control, state));
  }

  /** A figure that is no position of the control says nothing of it. */
  private static Optional<State> figured(DepartureState d, PointId control, long number) {
    return d.pack().point(control).flatMap(p -> p.agreed().flatMap(f -> d.entries().settled(f, number)
        .flatMap(s -> p.states().stream().filter(state -> Recogniser.agrees(f, state, s.value())).findFirst())))
        .map(state -> new State(control, state));
  }

  /** The steps that were done by a figure that is another since, each with what it was. */
  public static Map<StepId, Change> stale(DepartureState d) {
    Map<StepId, Change> stale = new LinkedHashMap<>();
    for (Item item : d.card().map(Card::byFigures).orElse(List.of())) {
      if (d.marked(item) == Status.DONE) {
        long done = d.standsSince(item);
        figures(d, item).flatMap(f -> another(d, f, done).stream()).findFirst()
            .ifPresent(c -> stale.put(item.step().id(), c));
      }
    }
    return stale;
  }

  private static Stream<CriticalFigure> figures(DepartureState d, Item item) {
    List<CriticalFigure> all = new ArrayList<>();
    item.step().value().map(DayValue::source).ifPresent(s -> {
      if (s instanceof Source.Agreed a) {
        all.addAll(a.figures());
      }
    });
    item.step().states().filter(State::byFigure).flatMap(s -> d.pack().point(s.point()).stream())
        .map(Point::agreed).flatMap(Optional::stream).forEach(all::add);
    return all.stream().distinct();
  }

  private static Optional<Change> another(DepartureState d, CriticalFigure figure, long done) {
    Optional<Settled> was = d.entries().settled(figure, done);
    return d.entries().settled(figure, Long.MAX_VALUE)
        .filter(is -> is.number() > done)
        .filter(is -> was.filter(w -> Recogniser.agrees(figure, w.value(), is.value())).isEmpty())
        .map(is -> new Change(is.number(), was
            .map(w -> "the %s is %s now, it was %s".formatted(figure.words(), shown(figure, is), shown(figure, w)))
            .orElseGet(() -> "the %s is %s now, it was not agreed then".formatted(figure.words(),
            shown(figure, is)))));
  }

  private static String shown(CriticalFigure figure, Settled settled) {
    return figure.shown(settled.value());
  }
}
