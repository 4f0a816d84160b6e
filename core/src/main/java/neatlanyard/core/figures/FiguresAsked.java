package neatlanyard.core.figures;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.weather.StationReport;

/**
 * All that the figures of a departure are worked out from.
 *
 * @param from the airfield of departure
 * @param tower what the tower says of the wind; empty: the report's counts
 * @param aircraftKg gross weight by the aircraft's own system
 * @param gauged fuel as its gauges show it; empty where they were not read
 * @param deIced the last treatment with fluid; empty where there was none
 * @param choice what the crew wants; empty where they take what is proposed
 * @param destination with its report; empty where that was not asked for
 * @param minimumAltitudesFt above mean sea level, to be corrected for cold
 */
public record FiguresAsked(
    String flight, TailId tail, LocalDate day, Airfield from, StationReport report, Optional<TowerWind> tower,
    RunwayCondition condition, LoadSheet sheet, OptionalDouble aircraftKg, Optional<GaugedFuel> gauged, FuelPlan fuel,
    boolean antiIce, boolean airConditioning, Optional<Holdover.Applied> deIced, Choice choice,
    Optional<Destination> destination, List<Integer> minimumAltitudesFt) {
  public FiguresAsked {
    minimumAltitudesFt = List.copyOf(minimumAltitudesFt);
  }

  /** Where the flight goes to. */
  public record Destination(Airfield airfield, StationReport report) {}

  /** @param intersection its name; empty for the whole runway */
  public record Choice(
      Optional<RunwayName> runway, Optional<String> intersection, Optional<String> flap, Optional<Thrust> thrust) {
    public static final Choice NONE =
        new Choice(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
  }

  /** Why nothing can be worked out, a sentence each; empty where it can. */
  List<String> faults(TypeFigures type) {
    List<String> all = new ArrayList<>(sheet.otherThan(flight, tail, day));
    if (!type.loading().weighings().containsKey(tail)) {
      all.add("%s is not among the tails that were weighed for the %s.".formatted(tail, type.type()));
    }
    if (!report.station().equals(from.id().value())) {
      all.add("The report is of %s; the flight leaves from %s.".formatted(report.station(), from.id()));
    }
    if (from.runways().isEmpty()) {
      all.add("The fleet's file names no runways of %s.".formatted(from.name()));
    }
    all.addAll(sheet.change().faults(sheet, type.loading()));
    reported(all);
    chosen(type, all);
    return all;
  }

  private void reported(List<String> all) {
    if (report.temperatureC().isEmpty()) {
      all.add("The report gives no temperature.");
    }
    if (report.qnhHpa().isEmpty()) {
      all.add("The report gives no pressure setting.");
    }
    if (report.wind().isEmpty() && tower.isEmpty()) {
      all.add("The report gives no wind; ask the tower.");
    }
  }

  private void chosen(TypeFigures type, List<String> all) {
    Optional<Runway.End> end = choice.runway().flatMap(from::end);
    if (choice.runway().isPresent() && end.isEmpty()) {
      all.add("%s has no runway %s.".formatted(from.name(), choice.runway().get()));
    }
    if (choice.intersection().isPresent() && choice.runway().isEmpty()) {
      all.add("An intersection wants its runway.");
    }
    boolean known = choice.intersection().isEmpty() || end.isEmpty() || end.get().intersections().stream()
        .anyMatch(i -> i.name().equals(choice.intersection().get()));
    if (!known) {
      all.add("Runway %s has no intersection %s.".formatted(end.get().name(), choice.intersection().get()));
    }
    choice.flap().filter(f -> !type.takeoff().tables().flaps().contains(f)).ifPresent(f ->
        all.add("There are no tables for flap %s; there are for %s.".formatted(
            f, String.join(", ", type.takeoff().tables().flaps()))));
  }
}
