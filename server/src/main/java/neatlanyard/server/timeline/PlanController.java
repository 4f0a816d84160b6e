package neatlanyard.server.timeline;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Flights;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.ahead.GroundEvents.OfFlight;
import neatlanyard.core.timeline.learned.Took;
import neatlanyard.core.units.Plausible;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.timeline.GroundEventsCsv;
import neatlanyard.formats.timeline.PlanCalendar;
import neatlanyard.formats.timeline.TookCsv;
import neatlanyard.server.departure.Departures;
import neatlanyard.server.fleet.FleetViews.BroughtIn;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.timeline.PlanDesk.Current;
import neatlanyard.server.timeline.PlanViews.BuysView;
import neatlanyard.server.timeline.PlanViews.FoundView;
import neatlanyard.server.timeline.PlanViews.GroundEventView;
import neatlanyard.server.timeline.PlanViews.GroundForm;
import neatlanyard.server.timeline.PlanViews.PlanLineView;
import neatlanyard.server.timeline.PlanViews.PlanView;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The plan of the time before a departure, what would buy time in it, and what others do for it. */
@RestController
class PlanController {
  private static final Logger LOG = LoggerFactory.getLogger(PlanController.class);
  private static final Duration DAY = Duration.ofHours(24);
  private static final Duration A_WHILE = Duration.ofMinutes(1);
  private static final int MOST_ANEW = 4;

  private final Departures departures;
  private final Flights flights;
  private final GroundDesk ground;
  private final PlanDesk desk;
  private final PlanViewer viewer;
  private final InstantSource clock;

  PlanController(Departures departures, Flights flights, GroundDesk ground, PlanDesk desk, PlanViewer viewer,
      InstantSource clock) {
    this.departures = departures;
    this.flights = flights;
    this.ground = ground;
    this.desk = desk;
    this.viewer = viewer;
    this.clock = clock;
  }

  @GetMapping("/api/departures/{id}/plan")
  PlanView plan(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    Departure d = departures.departure(id);
    return viewer.view(d, desk.plan(who.id().value(), d, ground(d)));
  }

  private List<GroundEvent> ground(Departure d) {
    return ground.of(d.state().opened().flight(), clock.instant());
  }

  /** What would buy time, each alone tried by the solver. */
  @GetMapping("/api/departures/{id}/plan/choices")
  List<BuysView> choices(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    Departure d = departures.departure(id);
    return desk.choices(who.id().value(), d, ground(d)).stream().map(PlanViewer::buys).toList();
  }

  /** The plan as a calendar (RFC 5545). */
  @GetMapping("/api/departures/{id}/plan.ics")
  ResponseEntity<byte[]> calendar(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    Departure d = departures.departure(id);
    Current plan = desk.plan(who.id().value(), d, ground(d));
    Flight flight = d.state().opened().flight();
    PlanView view = viewer.view(d, plan);
    Instant departs = view.found().map(FoundView::departs).orElse(flight.departs());
    String text = PlanCalendar.of(flight.id(), PlanViewer.lines(view), departs, plan.at());
    return ResponseEntity.ok().contentType(MediaType.parseMediaType("text/calendar;charset=UTF-8"))
        .header(HttpHeaders.CONTENT_DISPOSITION,
        ContentDisposition.attachment().filename("%s-plan.ics".formatted(flight.id())).build().toString())
        .body(text.getBytes(StandardCharsets.UTF_8));
  }

  /**
   * How the plans of all departures stand that are open and not tied off. A few of those that were worked out longest
   * ago are worked out anew each time, so that asking never takes long.
   */
  @GetMapping("/api/plans")
  List<PlanLineView> plans(@AuthenticationPrincipal SignedIn who) {
    List<Departure> open = departures.underWay();
    Instant now = clock.instant();
    open.stream().filter(d -> desk.known(d).filter(p -> p.at().plus(A_WHILE).isAfter(now)).isEmpty())
        .sorted(Comparator.comparing(d -> desk.known(d).map(Current::at).orElse(Instant.EPOCH))).limit(MOST_ANEW)
        .forEach(d -> anew(who, d));
    return open.stream().flatMap(d -> desk.known(d).flatMap(p -> viewer.line(d, p)).stream()).toList();
  }

  /** One that cannot be worked out now keeps nobody from the others; what was known of it is told. */
  private void anew(SignedIn who, Departure d) {
    try {
      desk.plan(who.id().value(), d, ground(d));
    } catch (Problem later) {
      LOG.debug("The plan of {} is not worked out now", d.state().opened().flight().id(), later);
    }
  }

  /** Says when something on the ground is, in place of what was said of it before. */
  @PostMapping("/api/departures/{id}/ground-events")
  List<GroundEventView> say(@AuthenticationPrincipal SignedIn who, @PathVariable String id,
      @RequestBody GroundForm form) {
    Flight flight = departures.state(id).opened().flight();
    if (flight.place(who.id()).isEmpty()) {
      throw Problem.refused(new Refusal(RefusalCode.NOT_ROSTERED, "You are not on the crew of this flight.",
          "One of its crew says it, or operations bring it in."));
    }
    GroundEvent event = event(form, who);
    near(flight, event);
    ground.say(List.of(new OfFlight(flight.id(), event)), who.id());
    return ground.of(flight, clock.instant()).stream().map(PlanViewer::ground).toList();
  }

  private static void near(Flight flight, GroundEvent e) {
    if (e.begins().isBefore(flight.departs().minus(DAY)) || e.ends().isAfter(flight.departs().plus(DAY))) {
      throw Problem.bad(ProblemCode.BAD_LINE, "%s of %s is more than a day from the departure.".formatted(
          e.kind().words(), flight.id()));
    }
  }

  private GroundEvent event(GroundForm form, SignedIn who) {
    try {
      Instant begins = form.begins() == null ? clock.instant() : Plausible.checked(form.begins(), clock.instant());
      Instant ends = form.ends().map(e -> Plausible.checked(e, clock.instant())).orElse(begins);
      return new GroundEvent(Doc.named(GroundEvent.Kind.class, form.kind() == null ? "" : form.kind()), begins, ends,
          who.name(), false);
    } catch (IllegalArgumentException e) {
      throw Problem.bad(ProblemCode.BAD_LINE, String.valueOf(e.getMessage()));
    }
  }

  /** Brings in what crews took for what in earlier departures, as CSV. @throws Problem naming every fault */
  @PostMapping(path = "/api/task-times", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtIn times(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustAdminister();
    Map<FlightId, List<Took>> times = good(TookCsv.read(text, clock.instant()));
    desk.keep(times);
    return new BroughtIn("%d departures.".formatted(times.size()), List.of());
  }

  private static <T> T good(Read<T> read) {
    return switch (read) {
      case Read.Good<T> good -> good.value();
      case Read.Bad<T> bad -> throw Problem.faulty("It was not brought in.", bad.faults());
    };
  }

  /** Brings in what others do for flights, as CSV. @throws Problem naming every fault */
  @PostMapping(path = "/api/ground-events", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtIn bringIn(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustAdminister();
    List<OfFlight> events = good(GroundEventsCsv.read(text, clock.instant(), "operations", false));
    Map<FlightId, Flight> known = flights.all().stream().collect(Collectors.toMap(Flight::id, f -> f));
    events.forEach(e -> near(Optional.ofNullable(known.get(e.flight())).orElseThrow(() ->
        Problem.bad(ProblemCode.BAD_LINE, "There is no flight %s.".formatted(e.flight()))), e.event()));
    ground.say(events, who.id());
    return new BroughtIn("%d events of %d flights.".formatted(events.size(),
        events.stream().map(OfFlight::flight).distinct().count()), List.of());
  }
}
