package neatlanyard.core.timeline.ahead;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Rostered;

/**
 * A flight whose aircraft or people come from another one.
 *
 * @param who of its crew comes from there
 * @param aircraft whether the aircraft does
 * @param there when they are there, if that flight departs as its plan says
 * @param late how much later it departs than planned, if its own work takes the time the fleet plans for it; never
 *     negative
 */
public record TurnRound(Flight before, Flight next, List<CrewId> who, boolean aircraft, Instant there, Duration late) {
  /** A flight that landed longer ago than this has nothing to do with the next one. */
  private static final Duration SAME_DUTY = Duration.ofHours(14);

  public TurnRound {
    who = List.copyOf(who);
  }

  /** What the fleet plans with. */
  public interface Times {
    /** How much later than planned a flight departs by its own plan; nothing where there is none. */
    Duration late(Flight flight);

    /** From its departure to its landing; empty where operations do not say how long it flies. */
    Optional<Duration> away(Flight flight);

    /** How long before its departure a crew begins. */
    Duration begins(Flight flight);
  }

  /** All of them in the order of the departures; a flight that is late makes the next one late, and that the next. */
  public static List<TurnRound> of(List<Flight> flights, Times times) {
    List<Flight> sorted = flights.stream().sorted(Comparator.comparing(Flight::departs)
        .thenComparing(f -> f.id().value())).toList();
    Map<FlightId, Duration> late = new HashMap<>();
    // Who flies what, from the first on: a day of thousands of flights is not looked through for each of them.
    Map<Object, List<Flight>> earlier = new HashMap<>();
    List<TurnRound> all = new ArrayList<>();
    for (Flight next : sorted) {
      List<TurnRound> from = new ArrayList<>();
      needs(next).flatMap(n -> earlier.getOrDefault(n, List.of()).stream()).distinct()
          .forEach(before -> turn(before, next, times, late).ifPresent(from::add));
      needs(next).forEach(n -> earlier.computeIfAbsent(n, k -> new ArrayList<>()).add(next));
      late.put(next.id(), from.stream().map(TurnRound::late).reduce(times.late(next), TurnRound::longer));
      all.addAll(from);
    }
    return all;
  }

  /** The aircraft and the people. */
  private static Stream<Object> needs(Flight f) {
    return Stream.concat(Stream.of(f.tail()), f.crew().stream().map(Rostered::who));
  }

  private static Optional<TurnRound> turn(Flight before, Flight next, Times times, Map<FlightId, Duration> late) {
    Optional<Duration> away = times.away(before);
    List<CrewId> who = next.crew().stream().map(Rostered::who).filter(w -> before.place(w).isPresent()).toList();
    boolean aircraft = before.tail().equals(next.tail());
    if (away.isEmpty() || who.isEmpty() && !aircraft || !before.to().equals(next.from())
        || !before.departs().isBefore(next.departs())) {
      return Optional.empty();
    }
    Instant there = before.departs().plus(late.getOrDefault(before.id(), Duration.ZERO)).plus(away.get());
    if (there.plus(SAME_DUTY).isBefore(next.departs())) {
      return Optional.empty();
    }
    Duration behind = Duration.between(next.departs(), there.plus(times.begins(next)));
    return Optional.of(new TurnRound(before, next, who, aircraft, there, longer(behind, Duration.ZERO)));
  }

  private static Duration longer(Duration a, Duration b) {
    return a.compareTo(b) >= 0 ? a : b;
  }
}
