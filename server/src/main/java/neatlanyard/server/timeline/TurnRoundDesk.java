package neatlanyard.server.timeline;

import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Flights;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.timeline.Timeline;
import neatlanyard.core.timeline.ahead.TurnRound;
import neatlanyard.server.departure.Departures;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.sop.PackDesk;
import neatlanyard.server.timeline.PlanFinder.Found;
import neatlanyard.server.timeline.PlanViews.TurnRoundView;
import org.springframework.stereotype.Service;

/** Which flights of the day wait for the aircraft or the people of another, and how late that makes them. */
@Service
class TurnRoundDesk {
  private static final Duration BEFORE = Duration.ofHours(14);
  private static final Duration AHEAD = Duration.ofHours(24);

  private final Flights flights;
  private final FleetDesk fleet;
  private final PackDesk packs;
  private final Departures departures;
  private final PlanDesk plans;
  private final InstantSource clock;

  TurnRoundDesk(Flights flights, FleetDesk fleet, PackDesk packs, Departures departures, PlanDesk plans,
      InstantSource clock) {
    this.flights = flights;
    this.fleet = fleet;
    this.packs = packs;
    this.departures = departures;
    this.plans = plans;
    this.clock = clock;
  }

  /** By what was planned last; nothing is planned for it. */
  List<TurnRoundView> turnRounds() {
    Instant now = clock.instant();
    List<Flight> day = flights.all().stream().filter(f -> f.departs().isAfter(now.minus(BEFORE))
        && f.departs().isBefore(now.plus(AHEAD))).toList();
    Fleet known = fleet.fleet();
    return TurnRound.of(day, new Planned(known)).stream().map(t -> view(t, known)).toList();
  }

  private static TurnRoundView view(TurnRound t, Fleet fleet) {
    return new TurnRoundView(t.next().id().value(), t.before().number(),
        t.who().stream().flatMap(w -> fleet.member(w).stream()).map(CrewMember::name).toList(), t.aircraft(),
        t.there(), fleet.airfield(t.next().from()).map(Airfield::zone).orElse(ZoneOffset.UTC).getId(),
        t.late().toSeconds());
  }

  /** What is planned with today. */
  private final class Planned implements TurnRound.Times {
    private final Fleet fleet;
    private final Map<FlightId, Departure> open;
    private final Map<TypeId, Optional<Pack>> inForce = new HashMap<>();

    private Planned(Fleet fleet) {
      this.fleet = fleet;
      this.open = departures.underWay().stream()
          .collect(Collectors.toMap(d -> d.state().opened().flight().id(), Function.identity()));
    }

    @Override
    public Duration late(Flight flight) {
      Optional<Found> found = Optional.ofNullable(open.get(flight.id())).flatMap(plans::known)
          .flatMap(PlanDesk.Current::found);
      Duration late = found.flatMap(f -> f.timeline().map(t -> over(f, t))).orElse(Duration.ZERO);
      return late.isNegative() ? Duration.ZERO : late;
    }

    private static Duration over(Found f, Timeline t) {
      return Duration.between(f.ahead().wanted(), f.ahead().at(t.departs(f.ahead().demands())));
    }

    @Override
    public Optional<Duration> away(Flight flight) {
      return flight.arrival().flatMap(a -> pack(flight).map(p ->
          a.flies().plus(p.due().getOrDefault(Stage.LINE_UP, Duration.ZERO).abs())));
    }

    @Override
    public Duration begins(Flight flight) {
      return pack(flight).flatMap(p -> p.due().values().stream().max(Duration::compareTo)).orElse(Duration.ZERO);
    }

    private Optional<Pack> pack(Flight flight) {
      LocalDate today = packs.today();
      return Optional.ofNullable(open.get(flight.id())).map(d -> d.state().pack()).or(() ->
          fleet.tail(flight.tail()).map(t -> t.type()).flatMap(type -> inForce.computeIfAbsent(type, t ->
          packs.inForce(t, today).map(PackDesk.RevisedPack::pack))));
    }
  }
}
