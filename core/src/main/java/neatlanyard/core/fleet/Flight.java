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
 */
public record Flight(
    FlightId id, String number, TailId tail, AirfieldId from, AirfieldId to, Instant departs, Optional<Integer> level,
    List<Rostered> crew) {
  public Flight {
    crew = List.copyOf(crew);
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
