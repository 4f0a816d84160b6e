package neatlanyard.core.fleet;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;

/**
 * A flight of the day with its crew.
 *
 * @param level the cruising level in hundreds of feet; empty where the plan does not say
 * @param remark what operations say of it to the crew; empty where they say nothing
 * @param arrival its other end; empty where operations do not say
 */
public record Flight(
    FlightId id, String number, TailId tail, AirfieldId from, AirfieldId to, Instant departs, Optional<Integer> level,
    List<Rostered> crew, String remark, Optional<Arrival> arrival) {
  public Flight {
    crew = List.copyOf(crew);
  }

  public Flight(FlightId id, String number, TailId tail, AirfieldId from, AirfieldId to, Instant departs,
      Optional<Integer> level, List<Rostered> crew) {
    this(id, number, tail, from, to, departs, level, crew, "", Optional.empty());
  }

  /** The day it is of, by UTC. */
  public LocalDate day() {
    return LocalDate.ofInstant(departs, ZoneOffset.UTC);
  }

  public Optional<Rostered> place(CrewId who) {
    return crew.stream().filter(r -> r.who().equals(who)).findFirst();
  }

  /** The seat of the pilot flying; the left one where the roster does not say. */
  public Seat flyingSeat() {
    return crew.stream().filter(Rostered::flying).map(Rostered::seat).findFirst().orElse(Seat.LEFT);
  }

  public Optional<Rostered> commander() {
    return crew.stream().filter(Rostered::commander).findFirst();
  }
}
