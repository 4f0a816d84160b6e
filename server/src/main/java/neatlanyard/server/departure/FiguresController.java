package neatlanyard.server.departure;

import java.time.InstantSource;
import java.util.UUID;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Proposal;
import neatlanyard.device.kept.KeptViews.KeptFigures;
import neatlanyard.server.departure.DepartureViews.Accepted;
import neatlanyard.server.figures.FiguresViews.DeviceForm;
import neatlanyard.server.figures.FiguresViews.ElsewhereForm;
import neatlanyard.server.figures.FiguresViews.FiguresView;
import neatlanyard.server.figures.FiguresViews.SheetForm;
import neatlanyard.server.figures.FiguresViews.TextView;
import neatlanyard.server.figures.LoadSheetService;
import neatlanyard.server.figures.SheetTexts;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The figures of a departure, and the load sheet they are worked out from. */
@RestController
class FiguresController {
  private final Departures departures;
  private final FiguresViewer viewer;
  private final LoadSheetService sheets;
  private final InstantSource clock;
  private final SheetTexts texts;
  private final Elsewhere elsewhere;
  private final FiguresKeeping keeping;

  FiguresController(Departures departures, FiguresViewer viewer, LoadSheetService sheets, InstantSource clock,
      SheetTexts texts, Elsewhere elsewhere, FiguresKeeping keeping) {
    this.keeping = keeping;
    this.departures = departures;
    this.viewer = viewer;
    this.sheets = sheets;
    this.clock = clock;
    this.texts = texts;
    this.elsewhere = elsewhere;
  }

  /** How they stand. What one pilot has entered alone, and what is to be entered, is not in it. */
  @GetMapping("/api/departures/{id}/figures")
  FiguresView figures(@PathVariable String id) {
    return viewer.view(departures.state(id));
  }

  /** What they rest on, for a device to work them out by itself while it has no network. */
  @GetMapping("/api/departures/{id}/figures/kept")
  KeptFigures kept(@PathVariable String id) {
    return keeping.of(departures.state(id));
  }

  /** A text in force by which they are worked out; it never changes. @param sha256 as what is kept names it */
  @GetMapping("/api/departures/{id}/figures/texts/{sha256}")
  TextView text(@PathVariable String id, @PathVariable String sha256) {
    return new TextView(keeping.text(departures.state(id), sha256));
  }

  /** Takes the latest load sheet that was sent for the flight. */
  @PostMapping("/api/departures/{id}/load-sheet")
  Accepted sent(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestBody DeviceForm form) {
    Flight flight = departures.state(id).opened().flight();
    LoadSheetService.Papers papers = sheets.latest(flight, flight.day())
        .orElseThrow(() -> Problem.notFound(
        "The %s has nothing for %s yet; bring a sheet in by its text.".formatted(sheets.name(), flight.number())));
    return taken(who, id, form.device(),
        new Event.LoadSheetTaken(papers.sheet(), papers.fuel(), papers.aircraftKg(), sheets.name()));
  }

  /** Takes a load sheet by its text. @throws Problem naming every fault */
  @PostMapping("/api/departures/{id}/load-sheet-text")
  Accepted text(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestBody SheetForm form) {
    return taken(who, id, form.device(), texts.read(form.textOrNone(), who.id()));
  }

  /** Takes a report of the destination or the take-off alternate. @throws Problem naming every fault of it */
  @PostMapping("/api/departures/{id}/elsewhere")
  Accepted elsewhere(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestBody ElsewhereForm form) {
    AirfieldId airfield;
    try {
      airfield = new AirfieldId(form.airfield() == null ? "" : form.airfield());
    } catch (IllegalArgumentException e) {
      throw Problem.notFound("There is no such airfield.");
    }
    return taken(who, id, form.device(), elsewhere.reported(airfield, form.text()));
  }

  private Accepted taken(SignedIn who, String id, @Nullable String device, Event event) {
    DepartureDesk desk = departures.require(id);
    long number = departures.take(desk, new Proposal(UUID.randomUUID(), clock.instant(), who.id(),
        DepartureController.device(device == null ? "" : device), event));
    departures.after(desk, event);
    return new Accepted(number);
  }
}
