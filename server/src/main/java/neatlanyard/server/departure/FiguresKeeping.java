package neatlanyard.server.departure;

import java.util.stream.Stream;
import neatlanyard.core.departure.TodaysFigures;
import neatlanyard.core.figures.FiguresTexts.Kind;
import neatlanyard.core.figures.FiguresTexts;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.state.DepartureState;
import neatlanyard.device.kept.KeptViews.KeptAirfields;
import neatlanyard.device.kept.KeptViews.KeptFigures;
import neatlanyard.device.kept.KeptViews.KeptTexts;
import neatlanyard.device.kept.KeptViews;
import neatlanyard.formats.fleet.AirfieldWriter;
import neatlanyard.server.figures.FiguresDesk;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.problem.Problem;
import org.springframework.stereotype.Component;

/** Gives a device what it needs to work the figures of a departure out by itself. */
@Component
class FiguresKeeping {
  private final FiguresDesk desk;
  private final FleetDesk fleet;

  FiguresKeeping(FiguresDesk desk, FleetDesk fleet) {
    this.desk = desk;
    this.fleet = fleet;
  }

  KeptFigures of(DepartureState d) {
    Flight flight = d.opened().flight();
    return KeptViews.of(d.lastNumber(), TodaysFigures.known(d), flight.to(),
        new KeptTexts(sha256(d, Kind.TYPE_FIGURES), sha256(d, Kind.TAKEOFF_TABLES), sha256(d, Kind.HOLDOVER)),
        new KeptAirfields(airfield(flight.from()), airfield(flight.to())));
  }

  private String airfield(AirfieldId id) {
    Fleet now = fleet.fleet();
    return now.airfield(id).map(a -> AirfieldWriter.write(a, now)).orElse("");
  }

  private String sha256(DepartureState d, Kind kind) {
    return inForce(d).filter(t -> t.kind() == kind).map(FiguresTexts.Text::sha256).findFirst().orElse("");
  }

  private Stream<FiguresTexts.Text> inForce(DepartureState d) {
    return desk.held(d.opened().tail().type()).inForce().stream();
  }

  /** @throws Problem if none of that hash is in force for the departure */
  String text(DepartureState d, String sha256) {
    return inForce(d).filter(t -> t.sha256().equals(sha256)).findFirst().map(FiguresTexts.Text::content)
        .orElseThrow(() -> Problem.notFound("No such text is in force for this departure."));
  }
}
