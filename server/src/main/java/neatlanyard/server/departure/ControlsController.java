package neatlanyard.server.departure;

import java.time.InstantSource;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.Practice;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.flow.Positions;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Proposal;
import neatlanyard.core.record.Chain;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.State;
import neatlanyard.core.state.DepartureState;
import neatlanyard.formats.controls.TraceCsv;
import neatlanyard.formats.controls.TraceFile;
import neatlanyard.formats.controls.TraceNames;
import neatlanyard.formats.text.Read;
import neatlanyard.server.controls.AircraftData;
import neatlanyard.server.controls.ControlViews.Behaviour;
import neatlanyard.server.controls.ControlViews.JudgementView;
import neatlanyard.server.controls.ControlViews.Samples;
import neatlanyard.server.controls.JudgementWords;
import neatlanyard.server.departure.DepartureViews.Accepted;
import neatlanyard.server.departure.DepartureViews.ControlsForm;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.settings.Settings;
import neatlanyard.server.work.HeavyWork;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** The flight control check: the simulated aircraft's data as it comes, and recorded traces. */
@RestController
class ControlsController {
  private static final Logger LOG = LoggerFactory.getLogger(ControlsController.class);
  private static final int PICTURES_A_SECOND = 10;

  private final Departures departures;
  private final AircraftData aircraft;
  private final InstantSource clock;
  private final JsonMapper json;
  private final HeavyWork heavy;
  private final double pace;
  private final Set<DepartureDesk> running = ConcurrentHashMap.newKeySet();
  private final AtomicLong checks = new AtomicLong();

  ControlsController(
      Departures departures, AircraftData aircraft, InstantSource clock, JsonMapper json, Settings settings,
      HeavyWork heavy) {
    this.heavy = heavy;
    this.departures = departures;
    this.aircraft = aircraft;
    this.clock = clock;
    this.json = json;
    this.pace = settings.simulatedPace();
  }

  /** What the simulated aircraft may be told to show. */
  @GetMapping("/api/departures/{id}/aircraft")
  List<Behaviour> states(@PathVariable String id) {
    return aircraft.states(departures.state(id).pack());
  }

  /** Reads how the aircraft's controls stand, and writes it down. */
  @PostMapping("/api/departures/{id}/aircraft")
  Accepted read(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestBody ControlsForm form) {
    DepartureDesk desk = departures.require(id);
    String device = DepartureController.device(form.device() == null ? "" : form.device());
    String behaviour = form.behaviour() == null ? "" : form.behaviour();
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
  List<Behaviour> behaviours() {
    return aircraft.behaviours();
  }

  /** Starts a check; its samples come on the departure's stream, its judgement in the log when it ends. */
  @PostMapping("/api/departures/{id}/controls")
  @ResponseStatus(HttpStatus.ACCEPTED)
  void start(@AuthenticationPrincipal SignedIn who, @PathVariable String id, @RequestBody ControlsForm form) {
    DepartureDesk desk = departures.require(id);
    String device = DepartureController.device(form.device() == null ? "" : form.device());
    String behaviour = form.behaviour() == null ? "" : form.behaviour();
    Trace trace = aircraft.check(desk.state().pack(), behaviour).orElseThrow(() ->
        Problem.bad(ProblemCode.NO_SUCH_BEHAVIOUR,
            "The %s does not know '%s'.".formatted(aircraft.name(), behaviour)));
    if (desk.state().seatOf(who.id()).isEmpty()) {
      throw Problem.refused(
          new Refusal(RefusalCode.NO_SEAT, "You have not taken a seat in this departure.", "Take your seat first."));
    }
    if (desk.state().tiedOff().isPresent()) {
      throw Problem.refused(new Refusal(RefusalCode.TIED_OFF, "This departure is tied off.", "Its record stands."));
    }
    if (!running.add(desk)) {
      throw Problem.refused(new Refusal(RefusalCode.UNDER_WAY,
          "A control check is under way.", "Watch it to its end."));
    }
    Thread.ofVirtual().start(() -> run(desk, who, device, trace));
  }

  private void run(DepartureDesk desk, SignedIn who, String device, Trace trace) {
    try {
      ControlSpec spec = desk.state().pack().flightControls();
      long check = checks.incrementAndGet();
      List<double[]> shown = shown(spec, trace);
      double frame = 1.0 / PICTURES_A_SECOND;
      int i = 0;
      for (double until = trace.seconds(0) + frame; i < trace.size(); until += frame) {
        List<List<Double>> values = new ArrayList<>();
        boolean first = i == 0;
        for (; i < trace.size() && trace.seconds(i) < until; i++) {
          int at = i;
          values.add(shown.stream().map(column -> Double.isNaN(column[at]) ? null : column[at]).toList());
        }
        desk.tell(new Subscriber.Message("samples", json.writeValueAsString(new Samples(check, first, values))));
        LockSupport.parkNanos((long) (frame * 1e9 / pace));
      }
      String csv = TraceCsv.write(trace);
      String sha = Chain.sha256(csv);
      departures.keepTrace(desk.state().opened().flight().id(), sha, csv);
      Judgement judgement = ControlCheck.judge(spec, practice(desk.state()), trace).toKeep();
      desk.take(new Proposal(UUID.randomUUID(), clock.instant(), who.id(), device,
          new Event.ControlsChecked(aircraft.name(), sha, judgement)));
    } catch (RuntimeException e) {
      LOG.warn("The control check of {} ended without a judgement: {}", desk.state().opened().flight().id(),
          e.getMessage());
      desk.tell(new Subscriber.Message("samples-lost", "{}"));
    } finally {
      running.remove(desk);
    }
  }

  private static Practice practice(DepartureState d) {
    return d.card().map(c -> d.pack().policy().controlCheck(c.day())).orElse(d.pack().policy().controlCheck());
  }

  /** The columns that are drawn: seconds, the three controls, then surfaces and spoilers in the type's order. */
  private static List<double[]> shown(ControlSpec spec, Trace trace) {
    List<double[]> columns = new ArrayList<>();
    columns.add(IntStream.range(0, trace.size()).mapToDouble(trace::seconds).toArray());
    Stream.of(Axis.values()).map(trace::control).forEach(columns::add);
    spec.channels().stream().map(Channel::position).map(trace::values).forEach(columns::add);
    return columns;
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
