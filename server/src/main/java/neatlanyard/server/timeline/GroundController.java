package neatlanyard.server.timeline;

import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Flights;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.ahead.GroundEvents.OfFlight;
import neatlanyard.core.timeline.ahead.OtherEnds.Told;
import neatlanyard.core.units.Plausible;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.timeline.GroundEventsCsv;
import neatlanyard.server.departure.Departures;
import neatlanyard.server.files.TextFile;
import neatlanyard.server.fleet.FleetViews.BroughtIn;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.timeline.PlanViews.GroundEventView;
import neatlanyard.server.timeline.PlanViews.GroundForm;
import neatlanyard.server.timeline.PlanViews.OtherEndForm;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What others do for a departure and what its other end wants, as crews and operations say it. */
@RestController
class GroundController {
  private static final Duration DAY = Duration.ofHours(24);

  private final Departures departures;
  private final Flights flights;
  private final GroundDesk ground;
  private final OtherEndDesk otherEnd;
  private final InstantSource clock;

  GroundController(Departures departures, Flights flights, GroundDesk ground, OtherEndDesk otherEnd,
      InstantSource clock) {
    this.departures = departures;
    this.flights = flights;
    this.ground = ground;
    this.otherEnd = otherEnd;
    this.clock = clock;
  }

  /** Says when something on the ground is, in place of what was said of it before. */
  @PostMapping("/api/departures/{id}/ground-events")
  List<GroundEventView> say(@AuthenticationPrincipal SignedIn who, @PathVariable String id,
      @RequestBody GroundForm form) {
    Flight flight = theirs(who, id);
    GroundEvent event = event(form, who);
    near(flight, event);
    ground.say(List.of(new OfFlight(flight.id(), event)), who.id());
    return ground.of(flight, clock.instant()).stream().map(PlanViewer::ground).toList();
  }

  /** Takes back what was said of something on the ground; what the service expects of it stands again. */
  @DeleteMapping("/api/departures/{id}/ground-events/{kind}")
  List<GroundEventView> callOff(@AuthenticationPrincipal SignedIn who, @PathVariable String id,
      @PathVariable String kind) {
    Flight flight = theirs(who, id);
    if (!ground.callOff(flight.id(), kind(kind))) {
      throw Problem.notFound("Nobody has said anything of that.");
    }
    return ground.of(flight, clock.instant()).stream().map(PlanViewer::ground).toList();
  }

  /** Says what the other end wants and what is forecast there, in place of what was said of it before. */
  @PostMapping("/api/departures/{id}/other-end")
  void sayOtherEnd(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestBody OtherEndForm form) {
    Flight flight = theirs(who, id);
    Optional<Instant> wanted = form.wanted();
    if (wanted.filter(w -> Duration.between(flight.departs(), w).abs().compareTo(DAY.multipliedBy(2)) > 0)
        .isPresent()) {
      throw Problem.bad(ProblemCode.BAD_LINE, "That is not within two days of the departure.");
    }
    otherEnd.say(flight, new Told(wanted, form.forecast().filter(t -> !t.isBlank())), who.id());
  }

  private Flight theirs(SignedIn who, String id) {
    Flight flight = departures.state(id).opened().flight();
    if (flight.place(who.id()).isEmpty()) {
      throw Problem.refused(new Refusal(RefusalCode.NOT_ROSTERED, "You are not on the crew of this flight.",
          "One of its crew says it, or operations bring it in."));
    }
    return flight;
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
      return new GroundEvent(kind(form.kind() == null ? "" : form.kind()), begins, ends, who.name(), false);
    } catch (IllegalArgumentException e) {
      throw Problem.bad(ProblemCode.BAD_LINE, String.valueOf(e.getMessage()));
    }
  }

  private static GroundEvent.Kind kind(String text) {
    try {
      return Doc.named(GroundEvent.Kind.class, text);
    } catch (IllegalArgumentException e) {
      throw Problem.bad(ProblemCode.BAD_LINE, String.valueOf(e.getMessage()));
    }
  }

  /** Brings in what others do for flights, as CSV. @throws Problem naming every fault */
  @PostMapping(path = "/api/ground-events", consumes = MediaType.TEXT_PLAIN_VALUE)
  BroughtIn bringIn(@AuthenticationPrincipal SignedIn who, @RequestBody String text) {
    who.mustAdminister();
    List<OfFlight> events = Problem.good(GroundEventsCsv.read(text, clock.instant(), "operations", false));
    Map<FlightId, Flight> known = flights.all().stream().collect(Collectors.toMap(Flight::id, f -> f));
    events.forEach(e -> near(Optional.ofNullable(known.get(e.flight())).orElseThrow(() ->
        Problem.bad(ProblemCode.BAD_LINE, "There is no flight %s.".formatted(e.flight()))), e.event()));
    ground.say(events, who.id());
    return new BroughtIn("%d events of %d flights.".formatted(events.size(),
        events.stream().map(OfFlight::flight).distinct().count()), List.of());
  }

  /** What people and files say of events on the ground, as CSV; what a service expects is not in it. */
  @GetMapping(path = "/api/ground-events", produces = TextFile.CSV)
  ResponseEntity<String> takeOut() {
    return TextFile.csv("ground-events.csv", GroundEventsCsv.write(ground.said()));
  }
}
