package neatlanyard.server.departure;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.departure.TodaysFigures;
import neatlanyard.core.figures.DepartureFigures.EndWind;
import neatlanyard.core.figures.Landing;
import neatlanyard.core.figures.RunwayState;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.log.Event;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.weather.LandingWeather;
import neatlanyard.core.weather.StationReport;
import neatlanyard.device.drawn.DrawnViews.EndView;
import neatlanyard.device.drawn.GivenDrawn;
import neatlanyard.server.figures.FiguresViews.ElsewhereView;
import neatlanyard.server.figures.FiguresViews.ReportedView;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.weather.Reports;
import neatlanyard.server.weather.StationService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What is reported of the destination and of the take-off alternate, and what it means for who would land there. */
@Component
class Elsewhere {
  private final FleetDesk fleet;
  private final Reports reports;
  private final StationService stations;

  Elsewhere(FleetDesk fleet, Reports reports, StationService stations) {
    this.fleet = fleet;
    this.reports = reports;
    this.stations = stations;
  }

  /**
   * A report to be put into the log.
   *
   * @param text as it was typed over; null asks the station service
   * @throws Problem when it cannot be read, or there is none
   */
  Event.ElsewhereReported reported(AirfieldId id, @Nullable String text) {
    Airfield airfield = fleet.fleet().airfield(id)
        .orElseThrow(() -> Problem.notFound("The fleet has no airfield %s.".formatted(id)));
    String said = text != null ? text : stations.latest(id).orElseThrow(() -> Problem.notFound(
        "The %s has no report of %s; type it over.".formatted(stations.name(), id)));
    return new Event.ElsewhereReported(id, airfield.name(), reports.read(said), text == null && stations.simulated(),
        airfield.outbound().landing());
  }

  /** @param type whose wind limits count; empty where there are none */
  List<ElsewhereView> views(DepartureState d, Optional<TypeFigures> type) {
    return TodaysFigures.elsewhere(d).stream().map(id -> new ElsewhereView(id.value(),
        fleet.fleet().airfield(id).map(Airfield::name).orElse(id.value()),
        id.equals(d.opened().flight().to()), stations.name(),
        Optional.ofNullable(d.given().elsewhere().get(id)).map(r -> view(r, type)))).toList();
  }

  private ReportedView view(Event.ElsewhereReported e, Optional<TypeFigures> type) {
    StationReport report = e.report();
    RunwayState state = Landing.state(report);
    Optional<Airfield> airfield = fleet.fleet().airfield(e.airfield());
    List<EndView> ends = airfield.stream().flatMap(Airfield::ends)
        .flatMap(end -> report.wind().stream().flatMap(w -> type.stream().map(t -> EndWind.of(end, w, t, state))))
        .map(GivenDrawn::end).toList();
    return new ReportedView(report.text(), e.simulated(), reports.facts(report), ends, state.words(),
        e.landing().map(limits -> LandingWeather.of(report, limits).against()).orElse(List.of()),
        e.landing().isPresent(), airfield.flatMap(a -> type.flatMap(t -> Landing.of(t, a, report)))
        .map(Landing::words).orElse(""));
  }
}
