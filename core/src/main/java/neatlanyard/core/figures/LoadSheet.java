package neatlanyard.core.figures;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import neatlanyard.core.fleet.TailId;

/**
 * A load sheet as it was received, in kilograms.
 *
 * @param flight its number, as the flight's plan writes it
 * @param edition 1, and higher for each that takes the place of another
 * @param stated the weights it states itself
 * @param load what is where; empty where the sheet gives weights alone
 * @param fuelKg by tank
 * @param taxiFuelKg burnt before the take-off
 * @param tripFuelKg burnt from take-off to landing
 * @param change by hand, after it was made
 */
public record LoadSheet(
    String flight, TailId tail, LocalDate day, int edition, Stated stated, Optional<Load> load,
    Map<String, Double> fuelKg, double taxiFuelKg, double tripFuelKg, LastMinuteChange change) {
  public LoadSheet {
    fuelKg = Map.copyOf(fuelKg);
  }

  /**
   * What it says the weights are.
   *
   * @param zeroFuelPercent centre of gravity without fuel, in per cent of the chord
   */
  public record Stated(double zeroFuelKg, double zeroFuelPercent, OptionalDouble grossKg, OptionalDouble takeoffKg,
      OptionalDouble landingKg) {}

  /** Passengers by cabin, in heads, and what lies in each hold, in kilograms. */
  public record Load(Map<String, Integer> passengers, Map<String, Double> holdsKg) {
    public Load {
      passengers = Map.copyOf(passengers);
      holdsKg = Map.copyOf(holdsKg);
    }

    public int heads() {
      return passengers.values().stream().mapToInt(Integer::intValue).sum();
    }
  }

  /** The same with another change by hand; it counts from what the sheet had. */
  public LoadSheet with(LastMinuteChange by) {
    return new LoadSheet(flight, tail, day, edition, stated, load, fuelKg, taxiFuelKg, tripFuelKg, by);
  }

  /** What lies in each hold with the change, in kilograms. */
  Map<String, Double> holdsKg() {
    Map<String, Double> all = new HashMap<>(load.map(Load::holdsKg).orElse(Map.of()));
    change.holdsKg().forEach((hold, kg) -> all.merge(hold, kg, Double::sum));
    return all;
  }

  /** Why it is not the sheet of a flight, a sentence each; empty where it is. */
  public List<String> otherThan(String number, TailId of, LocalDate on) {
    List<String> all = new ArrayList<>();
    if (!tail.equals(of)) {
      all.add("The load sheet is for %s; this is %s.".formatted(tail, of));
    }
    if (!flight.equals(number)) {
      all.add("The load sheet is for %s; this is %s.".formatted(flight, number));
    }
    if (!day.equals(on)) {
      all.add("The load sheet is of %s; this flight is on %s.".formatted(day, on));
    }
    return all;
  }

  public double allFuelKg() {
    return fuelKg.values().stream().mapToDouble(Double::doubleValue).sum();
  }
}
