package neatlanyard.core.gauge;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import neatlanyard.core.trend.Schedule;

/**
 * What a reading is judged against, besides itself.
 *
 * @param outsideC temperature of the air, in °C; empty where no report gives it
 * @param others what else was read on this walk, by the quantity's name, each in its unit
 * @param past this quantity on this tail, the oldest first
 * @param usage of the tail now; empty where nothing is known
 * @param crew people at the controls and on the observer seats who would use oxygen
 * @param to the airfield of destination
 * @param schedule when this tail is planned to land
 */
public record Readings(
    OptionalDouble outsideC, Map<String, Double> others, List<EarlierReading> past, Optional<Usage> usage, int crew,
        String to,
    Schedule schedule) {
  /** Nothing known but the reading. */
  public static final Readings NONE = new Readings(OptionalDouble.empty(), Map.of(), List.of(), Optional.empty(), 0,
      "", Schedule.NONE);

  public Readings {
    others = Map.copyOf(others);
    past = List.copyOf(past);
  }

  /**
   * A reading of before.
   *
   * @param landings of the tail since new
   * @param hours flown by the tail since new
   */
  public record EarlierReading(double landings, double hours, double value) {}

  /** @param name a quantity's; an empty name is nothing */
  OptionalDouble other(String name) {
    Double value = others.get(name);
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }
}
