package neatlanyard.server.figures;

import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalDouble;
import neatlanyard.core.figures.FuelPlan;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.fleet.Flight;

/** Whoever sends a flight its load sheet and its fuel plan. */
public interface LoadSheetService {
  /**
   * What came for a flight.
   *
   * @param aircraftKg gross weight by the aircraft's own system; empty where that does not say
   */
  record Papers(LoadSheet sheet, Optional<FuelPlan> fuel, OptionalDouble aircraftKg) {}

  /** The latest for a flight; empty where none was sent. @param day of the flight */
  Optional<Papers> latest(Flight flight, LocalDate day);

  String name();

  boolean simulated();
}
