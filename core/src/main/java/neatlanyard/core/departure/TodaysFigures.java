package neatlanyard.core.departure;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.Difference;
import neatlanyard.core.figures.FigureInput;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.FuelPlan;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.figures.WorkedOut;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.School;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.FigureEntries;
import neatlanyard.core.state.FiguresGiven;
import neatlanyard.core.state.Recorded;

/** The figures of a departure, worked out from what its crew has given so far. */
public final class TodaysFigures {
  private TodaysFigures() {}

  /**
   * What there is to work with.
   *
   * @param type empty where none was brought in for the type
   * @param texts SHA-256 of the texts that {@code type} and {@code holdover} were read from
   * @param holdover the operator's; one without rows where it has none
   * @param from the airfield of departure; empty where the fleet has it no more
   */
  public record Basis(
      Optional<TypeFigures> type, List<String> texts, Holdover holdover, Optional<Airfield> from) {}

  /** @param missing why there are none, a sentence each; empty where there are */
  public record Result(Optional<DepartureFigures> figures, List<String> missing) {
    private static Result none(List<String> why) {
      return new Result(Optional.empty(), why);
    }
  }

  /** The airfields besides that of departure that the flight asks about: where it goes to, and where it would turn. */
  public static List<AirfieldId> elsewhere(DepartureState d) {
    Flight flight = d.opened().flight();
    return Stream.concat(Stream.of(flight.to()),
        d.facts().departing().flatMap(f -> f.outbound().alternate()).stream())
        .filter(a -> !a.equals(flight.from())).distinct().toList();
  }

  public static Result of(DepartureState d, Basis basis) {
    if (basis.type.isEmpty()) {
      return Result.none(List.of("No figures were brought in for the type %s; what is entered is compared with the"
          .formatted(d.opened().tail().type()) + " other pilot's entry alone."));
    }
    Optional<FiguresAsked> asked = asked(d, basis.type.get(), basis.from);
    if (asked.isEmpty()) {
      return Result.none(missing(d, basis.from));
    }
    return switch (DepartureFigures.of(basis.type.get(), basis.holdover, asked.get())) {
      case DepartureFigures.Result.Figures f -> new Result(Optional.of(f.figures()), List.of());
      case DepartureFigures.Result.None none -> Result.none(none.why());
    };
  }

  private static List<String> missing(DepartureState d, Optional<Airfield> from) {
    List<String> all = new ArrayList<>();
    if (d.card().isEmpty()) {
      all.add("The report of the day is not set.");
    }
    if (from.isEmpty()) {
      all.add("The fleet has no airfield %s.".formatted(d.opened().flight().from()));
    }
    if (d.given().condition().isEmpty()) {
      all.add("Nobody has said how the runway is.");
    }
    if (d.given().sheet().isEmpty()) {
      all.add("There is no load sheet yet.");
    }
    return all;
  }

  private static Optional<FiguresAsked> asked(DepartureState d, TypeFigures type, Optional<Airfield> from) {
    FiguresGiven given = d.given();
    Optional<Day> day = d.card().map(c -> c.day());
    if (day.isEmpty() || from.isEmpty() || given.condition().isEmpty() || given.sheet().isEmpty()) {
      return Optional.empty();
    }
    Flight flight = d.opened().flight();
    LoadSheet sheet = given.sheet().get();
    Event.TakeoffChosen chosen = given.chosen();
    return Optional.of(new FiguresAsked(flight.number(), flight.tail(),
        flight.day(), from.get(), day.get().report(), given.tower(),
        given.condition().get(), sheet, given.aircraftKg(), FuelStory.gauged(d),
        given.fuel().orElseGet(() -> least(sheet)),
        chosen.antiIce().orElseGet(() -> type.icing().in(day.get().report()).conditions()),
        chosen.airConditioning().orElse(true), given.deIced().flatMap(r -> r.event().applied()), chosen.choice(),
        List.of()));
  }

  /** What the sheet itself says is burnt. */
  private static FuelPlan least(LoadSheet sheet) {
    Map<FuelPlan.Part, Double> parts = new EnumMap<>(FuelPlan.Part.class);
    parts.put(FuelPlan.Part.TAXI, sheet.taxiFuelKg());
    parts.put(FuelPlan.Part.TRIP, sheet.tripFuelKg());
    return new FuelPlan(parts);
  }

  /**
   * What the server writes once something the figures rest on is another; empty where the same comes of it.
   *
   * @param d as it stands
   * @param before as it stood when they were worked out last; empty where they never were
   */
  public static Optional<Event> anew(DepartureState d, Basis basis, Optional<FiguresAsked> before) {
    Result result = of(d, basis);
    WorkedOut last = d.entries().worked();
    WorkedOut now = result.figures.map(f -> WorkedOut.of(f, basis.texts, changed(f, basis, before, last)))
        .orElseGet(() -> WorkedOut.none(result.missing));
    boolean began = d.entries().workedBy().isPresent() || result.figures.isPresent();
    return began && !now.same(last) ? Optional.of(new Event.FiguresWorked(now)) : Optional.empty();
  }

  private static Set<FigureInput> changed(
      DepartureFigures f, Basis basis, Optional<FiguresAsked> before, WorkedOut last) {
    Set<FigureInput> changed = EnumSet.noneOf(FigureInput.class);
    before.ifPresent(b -> changed.addAll(FigureInput.changed(b, f.asked())));
    if (!last.tables().isEmpty() && !last.texts().equals(basis.texts)) {
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

  /** What the figures were asked by as a departure stands; empty while that is not all there. */
  public static Optional<FiguresAsked> asked(DepartureState d, Basis basis) {
    return basis.type.flatMap(t -> asked(d, t, basis.from));
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
