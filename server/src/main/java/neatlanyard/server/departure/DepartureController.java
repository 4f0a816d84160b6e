package neatlanyard.server.departure;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.departure.FindCases;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.FindDetail;
import neatlanyard.core.log.Proposal;
import neatlanyard.core.sop.Day;
import neatlanyard.core.units.Plausible;
import neatlanyard.core.weather.StationReport;
import neatlanyard.core.weather.Sun;
import neatlanyard.formats.record.EntryJson;
import neatlanyard.server.departure.DepartureViews.Accepted;
import neatlanyard.server.departure.DepartureViews.Answered;
import neatlanyard.server.departure.DepartureViews.DayForm;
import neatlanyard.server.departure.DepartureViews.DepartureLine;
import neatlanyard.server.departure.DepartureViews.DepartureView;
import neatlanyard.server.departure.DepartureViews.EventForm;
import neatlanyard.server.departure.DepartureViews.OutboxForm;
import neatlanyard.server.departure.DepartureViews.ReasonForm;
import neatlanyard.server.departure.DepartureViews.RefusedView;
import neatlanyard.server.departure.DepartureViews.TieOffForm;
import neatlanyard.server.dispatch.TechDesk;
import neatlanyard.server.figures.FiguresViews.SheetForm;
import neatlanyard.server.figures.SheetTexts;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.sop.Circumstances;
import neatlanyard.server.walkaround.PhotoDesk;
import neatlanyard.server.weather.Reports;
import neatlanyard.server.weather.StationService;
import neatlanyard.server.weather.WeatherViews.ReportView;
import neatlanyard.server.work.Pace;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Departures: the list, one of them, its live stream, and the events that devices send. */
@RestController
class DepartureController {
  private static final int LONGEST_DEVICE = 60;
  /** More than a walk has steps; together they stay far below the most a request may carry. */
  private static final int MOST_EVENTS = 100;

  private final Departures departures;
  private final DepartureViewer viewer;
  private final FleetDesk fleet;
  private final StationService stations;
  private final Reports reports;
  private final InstantSource clock;
  private final JsonMapper json;
  private final TechDesk tech;
  private final Streams streams;
  private final PhotoDesk photos;
  private final Pace pace;
  private final SheetTexts sheets;

  DepartureController(
      Departures departures, DepartureViewer viewer, FleetDesk fleet, StationService stations, Reports reports,
      InstantSource clock, JsonMapper json, TechDesk tech, Streams streams, PhotoDesk photos, Pace pace,
      SheetTexts sheets) {
    this.sheets = sheets;
    this.pace = pace;
    this.streams = streams;
    this.photos = photos;
    this.departures = departures;
    this.viewer = viewer;
    this.fleet = fleet;
    this.stations = stations;
    this.reports = reports;
    this.clock = clock;
    this.json = json;
    this.tech = tech;
  }

  @GetMapping("/api/departures")
  List<DepartureLine> all(@AuthenticationPrincipal SignedIn who) {
    return viewer.lines(departures.shown(), who);
  }

  @PostMapping("/api/departures/{id}/open")
  DepartureView open(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    return view(departures.open(id, who).departure());
  }

  @GetMapping("/api/departures/{id}")
  DepartureView one(@PathVariable String id) {
    return view(departures.departure(id));
  }

  private DepartureView view(Departure d) {
    return viewer.view(d, departures.walks(d.state().opened().tail().type()));
  }

  /** Tells the whole once, as an event "progress", and from then on what is otherwise, each as an event "change". */
  @ApiResponse(responseCode = "200", content = @Content(
      mediaType = MediaType.TEXT_EVENT_STREAM_VALUE, schema = @Schema(implementation = ProgressChange.class)))
  @GetMapping(path = "/api/departures/{id}/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter stream(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    return departures.require(id).subscribe(streams, who).emitter();
  }

  /** The latest report of the airfield of departure from the station service, read. */
  @GetMapping("/api/departures/{id}/report")
  ReportView report(@PathVariable String id) {
    AirfieldId from = departures.state(id).opened().flight().from();
    String text = stations.latest(from).orElseThrow(() -> Problem.notFound(
        "The %s has no report of %s; type it over.".formatted(stations.name(), from)));
    return view(text, stations.name(), stations.simulated());
  }

  /** A report as typed over, read. */
  @PostMapping(path = "/api/station-reports/reading", consumes = MediaType.TEXT_PLAIN_VALUE)
  ReportView reading(@RequestBody String text) {
    return view(text, "typed over", false);
  }

  private ReportView view(String text, String source, boolean simulated) {
    StationReport report = reports.read(text);
    return new ReportView(report.text(), source, simulated, reports.facts(report));
  }

  @PostMapping("/api/departures/{id}/events")
  Accepted event(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestBody EventForm form) {
    return new Accepted(takeIn(departures.require(id), who, form));
  }

  /**
   * What a device has kept, in its order, in one request; each event is answered by itself. Trouble of the server's
   * own ends it: then all is sent again, and what was taken already gets the answer it got.
   */
  @PostMapping("/api/departures/{id}/outbox")
  List<Answered> outbox(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestBody OutboxForm form) {
    DepartureDesk desk = departures.require(id);
    List<EventForm> events = Objects.requireNonNullElse(form.events(), List.of());
    if (events.isEmpty() || events.size() > MOST_EVENTS || events.stream().anyMatch(Objects::isNull)) {
      throw Problem.bad(ProblemCode.BAD_OUTBOX, "An outbox holds 1 to %d events.".formatted(MOST_EVENTS));
    }
    if (events.size() > 1) {
      // The request itself was counted when it came in.
      pace.await(who.id().value(), Pace.Kind.REQUEST, events.size() - 1);
    }
    return events.stream().map(e -> answered(desk, who, e)).toList();
  }

  private Answered answered(DepartureDesk desk, SignedIn who, EventForm event) {
    try {
      return new Answered(Optional.of(takeIn(desk, who, event)), Optional.empty());
    } catch (Problem problem) {
      if (problem.ofServer()) {
        throw problem;
      }
      return new Answered(Optional.empty(), Optional.of(new RefusedView(
          problem.code(), problem.what(), problem.tryThis(), problem.faults())));
    }
  }

  private long takeIn(DepartureDesk desk, SignedIn who, EventForm form) {
    String kind = form.kind().orElseThrow(() -> Problem.bad(ProblemCode.BAD_EVENT, "The event has no kind."));
    JsonNode body = form.body().filter(JsonNode::isObject).orElseThrow(() ->
        Problem.bad(ProblemCode.BAD_EVENT, "The event has no body, or it is not an object."));
    if (kind.equals("seat-taken")) {
      departures.mustHaveRead(desk.state().opened(), who);
    }
    Event event = event(kind, body, desk.departure(), who);
    if (event instanceof Event.FindRaised find && find.what().photos().size() <= FindDetail.MOST_PHOTOS) {
      photos.mayName(desk.state().opened().flight().id(), find.what().photos());
    }
    long number = departures.take(desk, new Proposal(
        eventId(form), deviceAt(form), who.id(), device(form.device().orElse("")), event));
    departures.after(desk, event);
    return number;
  }

  private static UUID eventId(EventForm form) {
    try {
      UUID id = UUID.fromString(form.id().orElse(""));
      if (id.version() == 7) {
        return id;
      }
    } catch (IllegalArgumentException e) {
      // Said below, together with a wrong version.
    }
    throw Problem.bad(ProblemCode.BAD_EVENT, "The event's id is not a UUID of version 7.");
  }

  /** A device whose clock is years off still has its word taken, as of now. */
  private Instant deviceAt(EventForm form) {
    Instant now = clock.instant();
    return form.deviceAt().filter(at -> Plausible.time(at, now)).orElse(now);
  }

  static String device(String device) {
    if (!device.matches("[A-Za-z0-9-]{1," + LONGEST_DEVICE + "}")) {
      throw Problem.bad(ProblemCode.BAD_EVENT,
          "The device's name is 1 to %d letters, digits or hyphens.".formatted(LONGEST_DEVICE));
    }
    return device;
  }

  private Event event(String kind, JsonNode body, Departure now, SignedIn who) {
    try {
      return switch (kind) {
        case "day-set" -> new Event.DaySet(day(json.treeToValue(body, DayForm.class), now));
        case "tied-off" -> new Event.TiedOff(acceptances(json.treeToValue(body, TieOffForm.class), now));
        case "controls-checked", "aircraft-read" ->
            throw Problem.bad(ProblemCode.BAD_EVENT, "That comes from the aircraft's own data, not from a device.");
        case "load-sheet-taken" -> sheets.read(json.treeToValue(body, SheetForm.class).textOrNone(), who.id());
        case "elsewhere-reported" ->
            throw Problem.bad(ProblemCode.BAD_EVENT, "It is taken from where it is sent, or brought in by its text.");
        case "taxi-cleared" -> TaxiReader.heard(json.treeToValue(body, TaxiViews.ClearanceForm.class), now.state());
        case "verdict-taken" -> withCase((Event.VerdictTaken) EntryJson.event(kind, body), now);
        default -> EntryJson.event(kind, body);
      };
    } catch (JacksonException e) {
      throw Problem.bad(ProblemCode.BAD_EVENT,
          "The body of '%s' does not fit: %s".formatted(kind, e.getOriginalMessage()));
    } catch (IllegalArgumentException e) {
      throw Problem.bad(ProblemCode.BAD_EVENT, String.valueOf(e.getMessage()));
    }
  }

  /** The case as it stands goes into the record with the decision, whatever the device says it is. */
  private Event withCase(Event.VerdictTaken e, Departure now) {
    return new Event.VerdictTaken(e.find(), e.verdict(), e.words(), now.state().find(e.find()).flatMap(f ->
        FindCases.of(now.state(), f, tech.list(now.state().opened().tail().type()), f.at(), tech.zone())));
  }

  private static List<Event.Acceptance> acceptances(TieOffForm form, Departure now) {
    List<Tag> inTheWay = now.picture().inTheWay();
    return Objects.requireNonNullElse(form.accepted(), List.<ReasonForm>of()).stream()
        .map(r -> new Event.Acceptance(
            Objects.requireNonNullElse(r.tag(), ""),
            inTheWay.stream().filter(t -> t.key().equals(r.tag())).map(Tag::words).findFirst().orElse(""),
            Objects.requireNonNullElse(r.reason(), "").strip()))
        .toList();
  }

  private Day day(DayForm form, Departure now) {
    StationReport report = reports.read(form.report() == null ? "" : form.report());
    AirfieldId from = now.state().opened().flight().from();
    if (!report.station().equals(from.value())) {
      throw Problem.bad(ProblemCode.OTHER_STATION,
          "The report is of %s; the flight departs from %s.".formatted(report.station(), from));
    }
    Airfield airfield = fleet.fleet().airfield(from)
        .orElseThrow(() -> Problem.notFound("The fleet has no airfield " + from));
    boolean dark = Sun.dark(clock.instant(), airfield);
    return new Day(report, form.simulated(), dark, Circumstances.of(form.circumstances().orElse(List.of())));
  }
}
