package neatlanyard.core.departure;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.Difference;
import neatlanyard.core.figures.FigureInput;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.WorkedOut;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.School;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.FigureEntries;
import neatlanyard.core.state.Recorded;

/** The figures of a departure, worked out from what its crew has given so far. */
public final class TodaysFigures {
  private TodaysFigures() {}

  /** The airfields besides that of departure that the flight asks about: where it goes to, and where it would turn. */
  public static List<AirfieldId> elsewhere(DepartureState d) {
    Flight flight = d.opened().flight();
    return Stream.concat(Stream.of(flight.to()),
        d.facts().departing().flatMap(f -> f.outbound().alternate()).stream())
        .filter(a -> !a.equals(flight.from())).distinct().toList();
  }

  public static FiguresKnown.Result of(DepartureState d, FiguresBasis basis) {
    return known(d).workOut(basis);
  }

  /** What is known so far of what they rest on. */
  public static FiguresKnown known(DepartureState d) {
    Flight flight = d.opened().flight();
    return new FiguresKnown(flight.number(), flight.tail(), d.opened().tail().type(), flight.day(), flight.from(),
        d.card().map(c -> c.day().report()), d.given(), FuelStory.gauged(d));
  }

  /**
   * What the server writes once something the figures rest on is another; empty where the same comes of it.
   *
   * @param d as it stands
   * @param before as it stood when they were worked out last; empty where they never were
   */
  public static Optional<Event> anew(DepartureState d, FiguresBasis basis, Optional<FiguresAsked> before) {
    FiguresKnown.Result result = of(d, basis);
    WorkedOut last = d.entries().worked();
    WorkedOut now = result.figures().map(f -> WorkedOut.of(f, basis.texts(), changed(f, basis, before, last)))
        .orElseGet(() -> WorkedOut.none(result.missing()));
    boolean began = d.entries().workedBy().isPresent() || result.figures().isPresent();
    return began && !now.same(last) ? Optional.of(new Event.FiguresWorked(now)) : Optional.empty();
  }

  private static Set<FigureInput> changed(
      DepartureFigures f, FiguresBasis basis, Optional<FiguresAsked> before, WorkedOut last) {
    Set<FigureInput> changed = EnumSet.noneOf(FigureInput.class);
    before.ifPresent(b -> changed.addAll(FigureInput.changed(b, f.asked())));
    if (!last.tables().isEmpty() && !last.texts().equals(basis.texts())) {
      changed.add(FigureInput.TABLES);
    }
    return changed;
  }

  /**
   * Whether what one pilot has entered of a figure is not to be seen until the other has entered it too. Where the
   * fleet's school is that one types and both look, nothing is.
   */
  public static boolean covered(DepartureState d, CriticalFigure figure) {
    return alone(d) && d.entries().standing(figure) == FigureEntries.Standing.COVERED;
  }

  /** Whether each pilot enters alone. */
  public static boolean alone(DepartureState d) {
    return d.pack().policy().of(Matter.CRITICAL_ENTRY) == School.EACH_ALONE;
  }

  /** The first entries of a figure that cannot be taken and of which nobody was told why. */
  public static Optional<Event> differing(DepartureState d, Optional<DepartureFigures> figures,
      Lookback lastFlight) {
    return d.entries().touched().flatMap(f -> d.entries().untold(f).stream().map(both ->
        (Event) new Event.FigureDiffered(Difference.of(f, said(both.getFirst()),
        said(both.getLast()), figures, lastFlight.of(f))))).findFirst();
  }

  /** What a figure was on the tail's last flight. */
  @FunctionalInterface
  public interface Lookback {
    Optional<String> of(CriticalFigure figure);
  }

  private static Difference.Said said(Recorded<Event.FigureEntered> entry) {
    return new Difference.Said(entry.by(), entry.event().value());
  }
}
