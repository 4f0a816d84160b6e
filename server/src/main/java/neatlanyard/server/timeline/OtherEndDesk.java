package neatlanyard.server.timeline;

import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.Arrival;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.Outbound.LandingLimits;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.ahead.OtherEnd;
import neatlanyard.core.timeline.ahead.OtherEnds;
import neatlanyard.core.timeline.ahead.OtherEnds.Told;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.weather.Forecast;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.weather.ForecastReader;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.timeline.PlanViews.ForecastView;
import neatlanyard.server.timeline.PlanViews.LossView;
import neatlanyard.server.timeline.PlanViews.OtherEndView;
import neatlanyard.server.weather.ForecastService;
import org.springframework.stereotype.Service;

/** What waiting costs at the other end: what operations plan, what crews say, and what is forecast there. */
@Service
class OtherEndDesk {
  private final OtherEnds told;
  private final ForecastService forecasts;
  private final FleetDesk fleet;
  private final InstantSource clock;

  OtherEndDesk(OtherEnds told, ForecastService forecasts, FleetDesk fleet, InstantSource clock) {
    this.told = told;
    this.forecasts = forecasts;
    this.fleet = fleet;
    this.clock = clock;
  }

  /** From the departure to the take-off, by the pack's times. */
  static Duration out(DepartureState d) {
    Duration due = d.pack().due().getOrDefault(Stage.LINE_UP, Duration.ZERO);
    return due.isNegative() ? due.negated() : Duration.ZERO;
  }

  /** Empty where operations do not say how long it flies. @param departs by its plan */
  Optional<OtherEndView> view(DepartureState d, List<GroundEvent> ground, Instant departs) {
    Flight flight = d.opened().flight();
    return flight.arrival().map(a -> view(d, flight, a, ground, departs));
  }

  private OtherEndView view(DepartureState d, Flight flight, Arrival arrival, List<GroundEvent> ground,
      Instant departs) {
    Told said = told.of(flight.id());
    Optional<Airfield> to = fleet.fleet().airfield(flight.to());
    Optional<LandingLimits> limits = to.flatMap(a -> a.outbound().landing());
    Optional<ForecastView> text = said.forecast().map(t -> new ForecastView(t, "typed by the crew", false))
        .or(() -> forecasts.latest(flight.to()).map(t ->
        new ForecastView(t, forecasts.name(), forecasts.simulated())));
    Optional<Forecast> forecast = text.flatMap(t -> ForecastReader.read(t.text(), clock.instant()) instanceof
        Read.Good<Forecast> good ? Optional.of(good.value()) : Optional.empty());
    OtherEnd end = OtherEnd.of(out(d), arrival.flies(), said.wanted().or(arrival::wanted),
        ground.stream().filter(e -> e.kind() == GroundEvent.Kind.SLOT).findFirst(), forecast, limits, clock.instant());
    Instant lands = end.lands(departs);
    long late = end.wanted().map(w -> Duration.between(w, lands).toSeconds()).orElse(0L);
    return new OtherEndView(to.map(Airfield::name).orElse(flight.to().value()), lands, end.wanted(),
        Math.max(0, late), end.until(), end.losses().stream().map(l -> new LossView(l.from(), l.to(), l.kind(),
        l.words(), l.kind().certain(), l.by(departs))).toList(), text, limits.map(OtherEndDesk::words).orElse(""));
  }

  private static String words(LandingLimits l) {
    return "ceiling %s ft, visibility %s m".formatted(Numbers.written(l.ceilingFt(), 0),
        Numbers.written(l.visibilityM(), 0));
  }

  /** @throws Problem when the forecast cannot be read or is of another airfield, naming every fault */
  void say(Flight flight, Told said, CrewId by) {
    said.forecast().ifPresent(text -> {
      Forecast f = switch (ForecastReader.read(text, clock.instant())) {
        case Read.Good<Forecast> good -> good.value();
        case Read.Bad<Forecast> bad -> throw Problem.faulty("The forecast cannot be read.", bad.faults());
      };
      if (!f.station().equals(flight.to().value())) {
        throw Problem.faulty("The forecast is of %s; the flight goes to %s.".formatted(f.station(), flight.to()),
            List.of());
      }
    });
    told.say(flight.id(), said, by, clock.instant());
  }
}
