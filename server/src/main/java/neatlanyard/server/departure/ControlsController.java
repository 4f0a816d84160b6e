package neatlanyard.server.departure;

import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.flow.Positions;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Proposal;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.State;
import neatlanyard.formats.controls.TraceFile;
import neatlanyard.formats.controls.TraceNames;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;
import neatlanyard.server.controls.AircraftData.Coming;
import neatlanyard.server.controls.AircraftData.Told;
import neatlanyard.server.controls.AircraftData;
import neatlanyard.server.controls.CheckUnderWay;
import neatlanyard.server.controls.ControlViews.Behaviour;
import neatlanyard.server.controls.ControlViews.CallView;
import neatlanyard.server.controls.ControlViews.CheckNow;
import neatlanyard.server.controls.ControlViews.JudgementView;
import neatlanyard.server.controls.ControlViews.SimulatedChoices;
import neatlanyard.server.controls.JudgementWords;
import neatlanyard.server.controls.SimulatedAircraft;
import neatlanyard.server.departure.DepartureViews.Accepted;
import neatlanyard.server.departure.DepartureViews.AircraftForm;
import neatlanyard.server.departure.DepartureViews.CallForm;
import neatlanyard.server.departure.DepartureViews.CheckForm;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.work.HeavyWork;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The flight control check: the simulated aircraft's data as it comes, and recorded traces. */
@RestController
class ControlsController {
  /** Pressure as it is where nothing is wrong, and the most that the stand-in takes, per cent of the least wanted. */
  private static final double ENOUGH_PCT = 110;
  private static final int MOST_PCT = 200;

  private final Departures departures;
  private final AircraftData aircraft;
  private final InstantSource clock;
  private final HeavyWork heavy;
  private final ControlChecks checks;

  ControlsController(
      Departures departures, AircraftData aircraft, InstantSource clock, HeavyWork heavy, ControlChecks checks) {
    this.heavy = heavy;
    this.departures = departures;
    this.aircraft = aircraft;
    this.clock = clock;
    this.checks = checks;
  }

  /** What the simulated aircraft may be told to show. */
  @GetMapping("/api/departures/{id}/aircraft")
  List<Behaviour> states(@PathVariable String id) {
    return aircraft.states(departures.state(id).pack());
  }

  /** Reads how the aircraft's controls stand, and writes it down. */
  @PostMapping("/api/departures/{id}/aircraft")
  Accepted read(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestBody AircraftForm form) {
    DepartureDesk desk = departures.require(id);
    String device = DepartureController.device(said(form.device()));
    String behaviour = said(form.behaviour());
    Departure now = desk.departure();
    List<State> states = aircraft.read(
        now.state().pack(), Positions.last(now.picture().positions()), behaviour).orElseThrow(() ->
        Problem.bad(ProblemCode.NO_SUCH_BEHAVIOUR,
            "The %s does not know '%s'.".formatted(aircraft.name(), behaviour)));
    return new Accepted(
        desk.take(new Proposal(UUID.randomUUID(), clock.instant(), who.id(), device,
        new Event.AircraftRead(aircraft.name(), states))));
  }

  @GetMapping("/api/simulated-aircraft")
  SimulatedChoices choices() {
    return new SimulatedChoices(aircraft.behaviours(), aircraft.recorders(), aircraft.links());
  }

  /** Starts a check, or goes on with one; its samples come on the departure's stream, its judgement in the log. */
  @PostMapping("/api/departures/{id}/controls")
  @ResponseStatus(HttpStatus.ACCEPTED)
  void start(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestBody CheckForm form) {
    DepartureDesk desk = departures.require(id);
    String device = DepartureController.device(said(form.device()));
    seated(desk, who);
    if (Boolean.TRUE.equals(form.goOn())) {
      CheckUnderWay broken = checks.brokenOff(desk);
      checks.goOn(desk, who, device, broken, coming(desk, form, broken.left()));
    } else {
      checks.begin(desk, who, device, coming(desk, form, List.of()));
    }
  }

  private static String said(@Nullable String text) {
    return text == null ? "" : text;
  }

  private Coming coming(DepartureDesk desk, CheckForm form, List<Axis> axes) {
    double pressure = form.pressurePct() == null ? ENOUGH_PCT : form.pressurePct();
    if (!(pressure >= 0 && pressure <= MOST_PCT)) {
      throw Problem.bad(ProblemCode.NO_SUCH_BEHAVIOUR, "The %s takes a pressure from 0 to %d %%."
          .formatted(aircraft.name(), MOST_PCT));
    }
    Told told = new Told(said(form.behaviour()), said(form.recorder()), said(form.link()), pressure,
        form.seed() == null ? SimulatedAircraft.USUAL_SEED : form.seed());
    return aircraft.check(desk.state().pack(), told, axes).orElseThrow(() ->
        Problem.bad(ProblemCode.NO_SUCH_BEHAVIOUR, "The %s does not know '%s'.".formatted(aircraft.name(),
            String.join("', '", Stream.of(told.behaviour(), told.recorder(), told.link())
                .filter(t -> !t.isEmpty()).toList()))));
  }

  private static void seated(DepartureDesk desk, SignedIn who) {
    if (desk.state().seatOf(who.id()).isEmpty()) {
      throw Problem.refused(
          new Refusal(RefusalCode.NO_SEAT, "You have not taken a seat in this departure.", "Take your seat first."));
    }
    if (desk.state().tiedOff().isPresent()) {
      throw Problem.refused(new Refusal(RefusalCode.TIED_OFF, "This departure is tied off.", "Its record stands."));
    }
  }

  /** The check under way with all that was told of it, for a device that comes late or has missed something. */
  @GetMapping("/api/departures/{id}/controls")
  CheckNow now(@PathVariable String id) {
    return new CheckNow(checks.of(departures.require(id)).map(CheckUnderWay::view));
  }

  /** A call of what is seen, while it is seen. */
  @PostMapping("/api/departures/{id}/controls/calls")
  CallView call(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestBody CallForm form) {
    DepartureDesk desk = departures.require(id);
    seated(desk, who);
    Optional<Axis> axis = Stream.of(Axis.values()).filter(a -> Doc.written(a).equals(form.axis())).findFirst();
    if (form.check() == null || form.seconds() == null || axis.isEmpty() || form.sign() == null
        || Math.abs(form.sign()) > 1) {
      throw Problem.bad(ProblemCode.BAD_ANSWER, "A call has its check, its time, an axis and a sign of 1, 0 or -1.");
    }
    return checks.call(desk, form.check(), form.seconds(), axis.get(), form.sign(), Names.family(desk.state(),
        who.id())).orElseThrow(() -> Problem.refused(new Refusal(RefusalCode.NOTHING_TO_CALL,
            "No control check is under way at that moment.", "Call while it is made.")));
  }

  /** Judges a recorded trace by this type's limits. It is shown, not logged: it is not this aircraft now. */
  @PostMapping(
      path = "/api/departures/{id}/recorded-controls",
      consumes = {MediaType.APPLICATION_OCTET_STREAM_VALUE, MediaType.TEXT_PLAIN_VALUE})
  JudgementView recorded(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestBody byte[] file) {
    Pack pack = departures.state(id).pack();
    ControlSpec spec = pack.flightControls();
    return heavy.run(who.id().value(), HeavyWork.Kind.IMPORT,
        stop -> switch (TraceFile.read(file, spec, TraceNames.OURS)) {
      case Read.Good<Trace> good ->
          JudgementWords.view(ControlCheck.judge(spec, pack.policy().controlCheck(), good.value()));
      case Read.Bad<Trace> bad -> throw Problem.faulty("The trace has faults.", bad.faults());
    });
  }

  /** A trace of this departure as CSV. */
  @GetMapping(path = "/api/departures/{id}/traces/{sha256}", produces = "text/csv")
  String trace(@PathVariable String id, @PathVariable String sha256) {
    return departures.trace(id, sha256);
  }
}
