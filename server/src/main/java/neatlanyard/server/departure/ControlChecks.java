package neatlanyard.server.departure;

import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.trend.CheckHistory;
import neatlanyard.core.controls.trend.ControlTrend.Checked;
import neatlanyard.core.controls.trend.Measure;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Proposal;
import neatlanyard.core.record.Chain;
import neatlanyard.core.sop.Card;
import neatlanyard.formats.controls.TraceCsv;
import neatlanyard.server.controls.AircraftData.Coming;
import neatlanyard.server.controls.AircraftData.Link;
import neatlanyard.server.controls.AircraftData;
import neatlanyard.server.controls.CheckUnderWay;
import neatlanyard.server.controls.ControlViews.CallView;
import neatlanyard.server.controls.ControlViews.CheckStands;
import neatlanyard.server.controls.ControlViews.CheckTold;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.settings.Settings;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The control checks under way: their samples go to whoever listens as they come, their judgement into the log. */
@Component
final class ControlChecks {
  private static final Logger LOG = LoggerFactory.getLogger(ControlChecks.class);

  /** Two or three samples of 50 Hz at a time: a picture needs no more, and each telling costs the same. */
  private static final double TOLD_A_SECOND = 25;

  private final Departures departures;
  private final AircraftData aircraft;
  private final InstantSource clock;
  private final JsonMapper json;
  private final CheckHistory history;
  private final double pace;
  /** By flight: a departure that nobody looks at is let go, and its desk is another when somebody comes back. */
  private final Map<FlightId, CheckUnderWay> checks = new ConcurrentHashMap<>();
  private final AtomicLong numbers;

  ControlChecks(
      Departures departures, AircraftData aircraft, InstantSource clock, JsonMapper json, CheckHistory history,
      Settings settings) {
    this.history = history;
    this.departures = departures;
    this.aircraft = aircraft;
    this.clock = clock;
    this.json = json;
    this.pace = settings.simulatedPace();
    // Not from 1: a device that saw a check before the application was started anew must not take this one for it.
    this.numbers = new AtomicLong(clock.instant().toEpochMilli());
  }

  Optional<CheckUnderWay> of(DepartureDesk desk) {
    return Optional.ofNullable(checks.get(flight(desk))).filter(c -> c.stands() != CheckStands.ENDED);
  }

  /** Begins a check. @throws Problem where one is under way */
  void begin(DepartureDesk desk, SignedIn who, String device, Coming coming) {
    CheckUnderWay check = new CheckUnderWay(numbers.incrementAndGet(), desk.state().pack().flightControls(),
        desk.state().pack().policy().controlCheck(desk.state().card().map(Card::day)),
        CheckUnderWay.channels(coming.trace()));
    CheckUnderWay taken = checks.compute(flight(desk), (f, before) ->
        before != null && before.stands() == CheckStands.UNDER_WAY ? before : check);
    if (taken != check) {
      throw underWay();
    }
    Thread.ofVirtual().start(() -> run(desk, who, device, check, coming));
  }

  private static Problem underWay() {
    return Problem.refused(new Refusal(RefusalCode.UNDER_WAY,
        "A control check is under way.", "Watch it to its end."));
  }

  /** The check of a departure that broke off. @throws Problem where there is none */
  CheckUnderWay brokenOff(DepartureDesk desk) {
    return of(desk).filter(c -> c.stands() == CheckStands.BROKEN_OFF).orElseThrow(() ->
        of(desk).isPresent() ? underWay() : Problem.refused(new Refusal(
            RefusalCode.NOTHING_BROKEN_OFF, "No control check broke off.", "Start the check.")));
  }

  /** Goes on with one that broke off. */
  void goOn(DepartureDesk desk, SignedIn who, String device, CheckUnderWay check, Coming coming) {
    if (!check.goOn()) {
      throw underWay();
    }
    Thread.ofVirtual().start(() -> run(desk, who, device, check, coming));
  }

  /** A call, told to everybody. @return empty where no such check is under way at that time */
  Optional<CallView> call(DepartureDesk desk, long number, double seconds, Axis axis, int sign, String by) {
    return of(desk).filter(c -> c.number() == number).flatMap(c -> c.call(seconds, axis, sign, by)).map(c -> {
      tell(desk, "call", c);
      return c;
    });
  }

  private void tell(DepartureDesk desk, String name, Object what) {
    desk.tell(new Subscriber.Message(name, json.writeValueAsString(what)));
  }

  private void run(DepartureDesk desk, SignedIn who, String device, CheckUnderWay check, Coming coming) {
    try {
      boolean whole = come(desk, check, coming.trace(), coming.link());
      if (!whole) {
        check.brokeOff();
      }
      // What came before a link broke off is judged and written down too: it may never go on.
      Judgement judgement = keep(desk, who, device, check);
      if (whole) {
        follow(desk, judgement);
        check.ended();
      }
    } catch (RuntimeException e) {
      // Its departure was tied off, or nothing can be written: it is no link's fault, and waiting would not help.
      check.ended();
      LOG.warn("The control check of {} ended without a judgement: {}", flight(desk), e.getMessage());
    }
    if (check.stands() == CheckStands.ENDED) {
      checks.remove(flight(desk), check);
    }
    tell(desk, "check", new CheckTold(check.number(), check.stands()));
  }

  private static FlightId flight(DepartureDesk desk) {
    return desk.state().opened().flight().id();
  }

  /** Whether all of it came. */
  private boolean come(DepartureDesk desk, CheckUnderWay check, Trace trace, Link link) {
    double every = 1 / TOLD_A_SECOND;
    double end = link.breaksOff(trace.seconds(trace.size() - 1));
    int told = check.size();
    int i = 0;
    for (double until = trace.seconds(0) + every; i < trace.size(); until += every) {
      for (; i < trace.size() && trace.seconds(i) < until; i++) {
        if (trace.seconds(i) > end) {
          return false;
        }
        if (!link.loses(trace.seconds(i))) {
          check.add(trace, i);
        }
      }
      if (!link.holdsUp(until) && check.size() > told) {
        tell(desk, "samples", check.told(told));
        told = check.size();
      }
      LockSupport.parkNanos((long) (every * 1e9 / pace));
    }
    tell(desk, "samples", check.told(told));
    return true;
  }

  private Judgement keep(DepartureDesk desk, SignedIn who, String device, CheckUnderWay check) {
    Trace trace = check.trace().orElseThrow(() -> new IllegalStateException("nothing came"));
    String csv = TraceCsv.write(trace);
    String sha = Chain.sha256(csv);
    departures.keepTrace(flight(desk), sha, csv);
    Judgement judgement = ControlCheck.judge(check.spec(), check.practice(), trace);
    desk.take(new Proposal(UUID.randomUUID(), clock.instant(), who.id(), device,
        new Event.ControlsChecked(aircraft.name(), sha, judgement.toKeep())));
    return judgement;
  }

  /** Only a whole check is the next number of its tail: the parts of one that went on are in it. */
  private void follow(DepartureDesk desk, Judgement judgement) {
    List<Measure> measured = Measure.of(desk.state().pack().flightControls(), judgement);
    if (!measured.isEmpty()) {
      history.add(new Checked(desk.state().opened().flight().tail(), clock.instant(), measured));
    }
  }
}
