package neatlanyard.core.departure;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.FuelPlan;
import neatlanyard.core.figures.GaugedFuel;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.log.Event;
import neatlanyard.core.state.FiguresGiven;
import neatlanyard.core.weather.StationReport;

/**
 * What is known so far of what the figures of a departure rest on: by the server from the log, by a device without a
 * network from what the server told it last and what its own crew has said since.
 *
 * @param flight its number
 * @param from where it leaves from
 * @param report of the day; empty before it is set
 * @param gauged fuel as its gauges show it; empty before they were read
 */
public record FiguresKnown(
    String flight, TailId tail, TypeId type, LocalDate day, AirfieldId from, Optional<StationReport> report,
    FiguresGiven given, Optional<GaugedFuel> gauged) {
  /** @param missing why there are none, a sentence each; empty where there are */
  public record Result(Optional<DepartureFigures> figures, List<String> missing) {
    private static Result none(List<String> why) {
      return new Result(Optional.empty(), why);
    }
  }

  public Result workOut(FiguresBasis basis) {
    if (basis.type().isEmpty()) {
      return Result.none(List.of("No figures were brought in for the type %s; what is entered is compared with the"
          .formatted(type) + " other pilot's entry alone."));
    }
    if (basis.fromDeck()) {
      return Result.none(List.of("No take-off is worked out from %s, which has no runway."
          .formatted(basis.from().get().name())));
    }
    Optional<FiguresAsked> asked = asked(basis);
    if (asked.isEmpty()) {
      return Result.none(missing(basis));
    }
    return switch (DepartureFigures.of(basis.type().get(), basis.holdover(), asked.get())) {
      case DepartureFigures.Result.Figures f -> new Result(Optional.of(f.figures()), List.of());
      case DepartureFigures.Result.None none -> Result.none(none.why());
    };
  }

  private List<String> missing(FiguresBasis basis) {
    List<String> all = new ArrayList<>();
    if (report.isEmpty()) {
      all.add("The report of the day is not set.");
    }
    if (basis.from().isEmpty()) {
      all.add("The fleet has no airfield %s.".formatted(from));
    }
    if (given.condition().isEmpty()) {
      all.add("Nobody has said how the runway is.");
    }
    if (given.sheet().isEmpty()) {
      all.add("There is no load sheet yet.");
    }
    return all;
  }

  /** What the figures are asked by; empty while that is not all there. */
  public Optional<FiguresAsked> asked(FiguresBasis basis) {
    if (basis.type().isEmpty() || report.isEmpty() || basis.from().isEmpty() || given.condition().isEmpty()
        || given.sheet().isEmpty()) {
      return Optional.empty();
    }
    TypeFigures figures = basis.type().get();
    LoadSheet sheet = given.sheet().get();
    Event.TakeoffChosen chosen = given.chosen();
    return Optional.of(new FiguresAsked(flight, tail, day, basis.from().get(), report.get(), given.tower(),
        given.condition().get(), sheet, given.aircraftKg(), gauged, given.fuel().orElseGet(() -> least(sheet)),
        chosen.antiIce().orElseGet(() -> figures.icing().in(report.get()).conditions()),
        chosen.airConditioning().orElse(true), given.deIced().flatMap(r -> r.event().applied()), chosen.choice(),
        destination(basis), List.of()));
  }

  private Optional<FiguresAsked.Destination> destination(FiguresBasis basis) {
    return basis.to().flatMap(to -> Optional.ofNullable(given.elsewhere().get(to.id()))
        .map(r -> new FiguresAsked.Destination(to, r.report())));
  }

  /** What the sheet itself says is burnt. */
  private static FuelPlan least(LoadSheet sheet) {
    Map<FuelPlan.Part, Double> parts = new EnumMap<>(FuelPlan.Part.class);
    parts.put(FuelPlan.Part.TAXI, sheet.taxiFuelKg());
    parts.put(FuelPlan.Part.TRIP, sheet.tripFuelKg());
    return new FuelPlan(parts);
  }
}
