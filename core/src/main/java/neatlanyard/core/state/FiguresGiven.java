package neatlanyard.core.state;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.FuelPlan;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.figures.RunwayCondition;
import neatlanyard.core.figures.TowerWind;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.log.Event;

/**
 * What a crew has given for the figures so far, besides the report.
 *
 * @param sheetFrom where the load sheet came from, in words; empty before there is one
 * @param elsewhere what was reported last of other airfields of the flight
 */
public record FiguresGiven(
    Optional<RunwayCondition> condition, Optional<TowerWind> tower, Optional<LoadSheet> sheet, String sheetFrom,
    Optional<FuelPlan> fuel, OptionalDouble aircraftKg, Event.TakeoffChosen chosen,
    Optional<Recorded<Event.DeIced>> deIced, Map<AirfieldId, Event.ElsewhereReported> elsewhere) {
  public static final FiguresGiven NONE = new FiguresGiven(
      Optional.empty(), Optional.empty(), Optional.empty(), "", Optional.empty(), OptionalDouble.empty(),
      new Event.TakeoffChosen(FiguresAsked.Choice.NONE, Optional.empty(), Optional.empty()), Optional.empty(),
      Map.of());

  public FiguresGiven {
    elsewhere = Map.copyOf(elsewhere);
  }

  /** What would have to be said to give the same, other airfields left out. */
  public List<Event> said() {
    List<Event> all = new ArrayList<>();
    condition.ifPresent(c -> all.add(new Event.RunwayReported(c)));
    tower.ifPresent(t -> all.add(new Event.TowerWindSaid(tower)));
    sheet.ifPresent(s -> all.add(new Event.LoadSheetTaken(s, fuel, aircraftKg, sheetFrom)));
    all.add(chosen);
    deIced.ifPresent(d -> all.add(d.event()));
    return all;
  }

  public FiguresGiven with(Event.RunwayReported e) {
    return new FiguresGiven(
        Optional.of(e.condition()), tower, sheet, sheetFrom, fuel, aircraftKg, chosen, deIced, elsewhere);
  }

  public FiguresGiven with(Event.TowerWindSaid e) {
    return new FiguresGiven(condition, e.wind(), sheet, sheetFrom, fuel, aircraftKg, chosen, deIced, elsewhere);
  }

  /** A sheet that comes without a plan of the fuel leaves the one that is known. */
  public FiguresGiven with(Event.LoadSheetTaken e) {
    return new FiguresGiven(condition, tower, Optional.of(e.sheet()), e.source(), e.fuel().or(() -> fuel),
        e.aircraftKg().isPresent() ? e.aircraftKg() : aircraftKg, chosen, deIced, elsewhere);
  }

  public FiguresGiven with(Event.LoadSheetChanged e) {
    return new FiguresGiven(condition, tower, sheet.map(s -> s.with(e.change())), sheetFrom, fuel, aircraftKg, chosen,
        deIced, elsewhere);
  }

  public FiguresGiven with(Event.TakeoffChosen e) {
    return new FiguresGiven(condition, tower, sheet, sheetFrom, fuel, aircraftKg, e, deIced, elsewhere);
  }

  public FiguresGiven with(Recorded<Event.DeIced> said) {
    return new FiguresGiven(condition, tower, sheet, sheetFrom, fuel, aircraftKg, chosen,
        said.event().applied().map(a -> said), elsewhere);
  }

  public FiguresGiven with(Event.ElsewhereReported e) {
    Map<AirfieldId, Event.ElsewhereReported> all = new HashMap<>(elsewhere);
    all.put(e.airfield(), e);
    return new FiguresGiven(condition, tower, sheet, sheetFrom, fuel, aircraftKg, chosen, deIced, all);
  }
}
