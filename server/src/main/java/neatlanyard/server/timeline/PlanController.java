package neatlanyard.server.timeline;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.formats.timeline.PlanCalendar;
import neatlanyard.server.departure.Departures;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.timeline.PlanDesk.Current;
import neatlanyard.server.timeline.PlanViews.FoundView;
import neatlanyard.server.timeline.PlanViews.PlanLineView;
import neatlanyard.server.timeline.PlanViews.PlanView;
import neatlanyard.server.timeline.PlanViews.TrialsView;
import neatlanyard.server.timeline.PlanViews.TurnRoundView;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The plan of the time before a departure, what would buy time in it, and how the plans of the day stand. */
@RestController
class PlanController {
  private static final Logger LOG = LoggerFactory.getLogger(PlanController.class);
  private static final Duration DAY = Duration.ofHours(24);
  private static final Duration A_MOMENT = Duration.ofSeconds(10);
  private static final Duration A_WHILE = Duration.ofMinutes(1);
  private static final int MOST_ANEW = 4;

  private final Departures departures;
  private final GroundDesk ground;
  private final PlanDesk desk;
  private final PlanViewer viewer;
  private final TurnRoundDesk turnRounds;
  private final InstantSource clock;

  PlanController(Departures departures, GroundDesk ground, PlanDesk desk, PlanViewer viewer, TurnRoundDesk turnRounds,
      InstantSource clock) {
    this.departures = departures;
    this.turnRounds = turnRounds;
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

  /** The plan as it would be if a task began at another moment, tried by the solver; nothing of it is kept. */
  @GetMapping("/api/departures/{id}/plan/beginning")
  PlanView beginning(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestParam String what,
      @RequestParam Instant at) {
    Departure d = departures.departure(id);
    Flight flight = d.state().opened().flight();
    if (Duration.between(flight.departs(), at).abs().compareTo(DAY) > 0) {
      throw Problem.bad(ProblemCode.BAD_LINE, "It is more than a day from the departure.");
    }
    return desk.beginning(who.id().value(), d, ground(d), task(what), at).map(p -> viewer.view(d, p)).orElseThrow(() ->
        Problem.notFound("The plan has no open task %s.".formatted(task(what))));
  }

  private static ActivityId task(String text) {
    try {
      return new ActivityId(text);
    } catch (IllegalArgumentException e) {
      throw Problem.bad(ProblemCode.BAD_LINE, "That is no task.");
    }
  }

  /** Which flights wait for the aircraft or the people of another, by what was planned last. */
  @GetMapping("/api/turn-rounds")
  List<TurnRoundView> turnRounds() {
    return turnRounds.turnRounds();
  }

  /** What would buy time and what waiting would cost, each alone tried by the solver. */
  @GetMapping("/api/departures/{id}/plan/choices")
  TrialsView choices(@AuthenticationPrincipal SignedIn who, @PathVariable String id) {
    Departure d = departures.departure(id);
    PlanTrials.Choices tried = desk.choices(who.id().value(), d, ground(d));
    return new TrialsView(tried.buys().stream().map(PlanViewer::buys).toList(),
        tried.slips().stream().map(PlanViewer::slip).toList());
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
   *
   * @param of of one departure alone
   */
  @GetMapping("/api/plans")
  List<PlanLineView> plans(@AuthenticationPrincipal SignedIn who, @RequestParam Optional<String> of) {
    List<Departure> open = departures.underWay().stream()
        .filter(d -> of.isEmpty() || d.state().opened().flight().id().value().equals(of.get())).toList();
    Instant now = clock.instant();
    open.stream().filter(d -> desk.known(d).filter(p -> p.at().plus(still(d, p)).isAfter(now)).isEmpty())
        .sorted(Comparator.comparing(d -> desk.known(d).map(Current::at).orElse(Instant.EPOCH))).limit(MOST_ANEW)
        .forEach(d -> anew(who, d));
    return open.stream().flatMap(d -> desk.known(d).flatMap(p -> viewer.line(d, p)).stream()).toList();
  }

  /** How long a plan is told as it is: not as long where something has been said since. */
  private static Duration still(Departure d, Current plan) {
    return plan.number() < d.state().lastNumber() ? A_MOMENT : A_WHILE;
  }

  /** One that cannot be worked out now keeps nobody from the others; what was known of it is told. */
  private void anew(SignedIn who, Departure d) {
    try {
      desk.plan(who.id().value(), d, ground(d));
    } catch (Problem later) {
      LOG.debug("The plan of {} is not worked out now", d.state().opened().flight().id(), later);
    }
  }
}
