package neatlanyard.server.departure;

import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.Timer;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.locks.ReentrantLock;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Flights;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.fleet.Registered;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.log.DepartureLog;
import neatlanyard.core.log.DepartureLog.StoredEntry;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Proposal;
import neatlanyard.core.log.TechState;
import neatlanyard.core.record.Account;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Recorded;
import neatlanyard.core.timeline.ahead.Ahead;
import neatlanyard.core.timeline.ahead.Taken;
import neatlanyard.core.timeline.learned.ForetoldPlans;
import neatlanyard.core.timeline.learned.TookTimes;
import neatlanyard.server.departure.DepartureViews.HangingView;
import neatlanyard.server.departure.DepartureViews.SeatView;
import neatlanyard.server.dispatch.TechDesk;
import neatlanyard.server.figures.FiguresDesk;
import neatlanyard.server.fleet.FleetDesk;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.server.problem.ProblemCode;
import neatlanyard.server.settings.Settings;
import neatlanyard.server.sop.PackDesk;
import neatlanyard.server.sop.Reading;
import neatlanyard.server.walkaround.PhotoDesk;
import neatlanyard.store.db.NotKept;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** The departures: those under way each at its own desk, opened when first asked for. */
@Service
public class Departures {
  /** What stands as the device of an entry that no device sent. */
  static final String SERVER = "server";

  private static final Logger LOG = LoggerFactory.getLogger(Departures.class);
  private static final CrewId BY_SERVER = new CrewId(SERVER);

  /** Departures of a tail whose finds a later one is told of. */
  private static final int MOST_BEFORE = 12;

  /** Entries until an opening is whole: that it is open, what was read before, what the files give. */
  private static final long BEGINNING = 3;

  /** Nobody walks round an aircraft so long after it was to leave. */
  private static final Duration OVER = Duration.ofHours(12);

  /** Flights of a type whose walks count. */
  private static final int MOST_WALKS = 60;

  /** Of whose logs it was said that they cannot be read: lists are asked for often. */
  private final Set<FlightId> told = ConcurrentHashMap.newKeySet();
  private final Flights flights;
  private final DepartureLog log;
  private final PackDesk packs;
  private final Reading reading;
  private final FleetDesk fleet;
  private final InstantSource clock;
  private final LiveViews live;
  private final TailStatus tails;
  private final TechDesk tech;
  private final FiguresWork figures;
  private final TookTimes times;
  private final ForetoldPlans foretold;
  /** Of departures that are tied off or long over; those do not change any more. */
  private final Map<FlightId, Optional<Duration>> walked = new ConcurrentHashMap<>();
  /** What the list showed last of each departure. */
  private final Map<FlightId, Look.Open> looked = new ConcurrentHashMap<>();
  /** The departure whose find names a photo, also once that has left the memory. */
  private final Map<UUID, FlightId> named = new ConcurrentHashMap<>();
  private final Timer presses;
  private final Timer folds;
  private final ReentrantLock settling = new ReentrantLock();
  private final Desks desks;

  Departures(
      Flights flights, DepartureLog log, PackDesk packs, Reading reading, FleetDesk fleet, InstantSource clock,
      ProgressViewer progress, JsonMapper json, TailStatus tails, TechDesk tech, FiguresWork figures,
      FiguresDesk tables, PhotoDesk photos, TookTimes times, ForetoldPlans foretold,
      MeterRegistry meters, Settings settings) {
    this.desks = new Desks(settings.departuresKept());
    this.presses = Timer.builder("lanyard.presses").description("From taking an event in until it is on the disk")
        .publishPercentileHistogram().register(meters);
    this.folds = Timer.builder("lanyard.folds").description("Reading a departure back from its log").register(meters);
    Gauge.builder("lanyard.departures", desks, Desks::size).description("Departures in the memory").register(meters);
    this.times = times;
    this.foretold = foretold;
    this.flights = flights;
    this.log = log;
    this.packs = packs;
    this.reading = reading;
    this.fleet = fleet;
    this.clock = clock;
    this.live = new LiveViews(progress::progress, json);
    this.tails = tails;
    this.tech = tech;
    this.figures = figures;
    tech.onLine(this::tailChanged);
    tables.onChange(() -> desks.here().forEach(this::workOut));
    photos.onNamed(photo -> Optional.ofNullable(named.get(photo)));
  }

  private void name(DepartureState d) {
    d.finds().forEach(f -> f.what().photos().forEach(p -> named.put(p, d.opened().flight().id())));
  }

  /** A departure that was opened; empty when it was not. */
  Optional<DepartureDesk> find(FlightId id) {
    Optional<DepartureDesk> here = desks.find(id);
    if (here.isPresent()) {
      return here;
    }
    Optional<DepartureDesk> desk = desks.get(id, i -> {
      List<StoredEntry> kept = kept(i);
      return kept.isEmpty() ? null : resume(i, kept);
    });
    desk.ifPresent(this::settle);
    return desk;
  }

  /**
   * What the list shows of every flight. A departure that has no entry since it was shown last is not looked at again;
   * one whose log cannot be read keeps nobody from the others.
   */
  List<Shown> shown() {
    Map<FlightId, Long> last = log.lastNumbers();
    return flights.all().stream().map(f -> new Shown(f, look(f.id(), last.getOrDefault(f.id(), 0L)))).toList();
  }

  private Look look(FlightId id, long last) {
    if (last == 0) {
      return new Look.NotOpened();
    }
    Look.Open known = looked.get(id);
    if (known != null && known.number() == last) {
      return known;
    }
    try {
      Look.Open now = Look.Open.of(desks.peek(id).or(() -> find(id)).orElseThrow().departure());
      looked.put(id, now);
      return now;
    } catch (Problem unreadable) {
      return new Look.Unreadable();
    }
  }

  /** A flight of the list. */
  record Shown(Flight flight, Look look) {}

  /** What the list shows of a departure. */
  sealed interface Look {
    record NotOpened() implements Look {}

    /**
     * @param number of the entry after which it stands so
     * @param stage the one worked, and when it should be done where its pack says so
     * @param tags how many hang
     * @param first of these, late ones before the others; no more than {@link #MOST_NAMED}
     * @param seats who is where
     */
    record Open(
        long number, Stage stage, Optional<Instant> due, int tags, List<HangingView> first, List<SeatView> seats,
        Optional<Instant> tiedOff) implements Look {
      private static final int MOST_NAMED = 3;

      static Open of(Departure d) {
        DepartureState state = d.state();
        List<Tag> tags = d.picture().tags();
        StageReader stages = new StageReader(state, d.picture());
        List<HangingView> first = tags.stream()
            .map(t -> new HangingView(t.title(), d.picture().late(t)))
            .sorted(Comparator.comparing(HangingView::late).reversed())
            .limit(MOST_NAMED).toList();
        Stage stage = d.picture().currentStage();
        return new Open(state.lastNumber(), stage, state.due(stage), tags.size(), first, stages.seats(),
            state.tiedOff().map(Recorded::at));
      }
    }

    record Unreadable() implements Look {}
  }

  private List<StoredEntry> kept(FlightId id) {
    try {
      return log.read(id);
    } catch (IllegalArgumentException e) {
      throw unreadable(id, e);
    }
  }

  private DepartureDesk resume(FlightId id, List<StoredEntry> kept) {
    try {
      return Objects.requireNonNull(folds.record(() ->
          DepartureDesk.resume(id, log, clock, live, o -> packs.exactly(o.pack(), o.revision()), kept)));
    } catch (NotKept | Problem e) {
      throw e;
    } catch (RuntimeException e) {
      throw unreadable(id, e);
    }
  }

  /** Whatever is wrong with a log that this version cannot read, it stays as it is, and the other departures go on. */
  private Problem unreadable(FlightId id, RuntimeException why) {
    if (told.add(id)) {
      LOG.warn("The log of {} cannot be read", id, why);
    }
    return Problem.of(HttpStatus.CONFLICT, ProblemCode.LOG_UNREADABLE, "The log of this departure cannot be read.",
        "Nothing of it was changed. Work from paper, and tell whoever runs the server: its own log says why.");
  }

  /** A departure that somebody may look at. @throws Problem if there is none */
  DepartureDesk require(String id) {
    return find(key(id)).orElseThrow(() ->
        Problem.notFound("This departure has not been opened, or there is no such flight."));
  }

  private Flight flight(String id) {
    return flights.find(key(id)).orElseThrow(() -> Problem.notFound("There is no flight '%s'.".formatted(id)));
  }

  private static FlightId key(String id) {
    try {
      return new FlightId(id);
    } catch (IllegalArgumentException e) {
      throw Problem.notFound("There is no flight of that name.");
    }
  }

  /**
   * Opens a departure on the pack of its type that holds on its day, or finds it opened already.
   *
   * @throws Problem unless a crew member asks
   */
  DepartureDesk open(String id, SignedIn who) {
    Flight flight = flight(id);
    Optional<DepartureDesk> there = find(flight.id());
    // A server that was killed as it opened one has not said all of its beginning.
    if (there.filter(d -> d.state().lastNumber() >= BEGINNING).isPresent()) {
      return there.get();
    }
    if (flight.place(who.id()).isEmpty()) {
      throw Problem.refused(new Refusal(RefusalCode.NOT_ROSTERED, "You are not on the crew of this flight.",
          "One of its crew opens it; then you can look on."));
    }
    Event readings = new Event.ReadBefore(tails.before(flight.tail()));
    Event facts = new Event.FlightFacts(tails.facts(flight, before(flight)));
    DepartureDesk desk = desks.get(flight.id(), i -> {
      List<StoredEntry> kept = kept(i);
      DepartureDesk made = kept.isEmpty() ? opened(flight, who) : resume(i, kept);
      // Before anybody else finds it: a word that came between would keep these from being said.
      begin(made, readings, facts);
      return made;
    }).orElseThrow();
    begin(desk, readings, facts);
    tellOfTail(desk);
    return desk;
  }

  private static void begin(DepartureDesk desk, Event readings, Event facts) {
    desk.note(d -> d.lastNumber() == 1 ? Optional.of(readings) : Optional.empty(), BY_SERVER);
    desk.note(d -> d.lastNumber() == 2 ? Optional.of(facts) : Optional.empty(), BY_SERVER);
  }

  private DepartureDesk opened(Flight flight, SignedIn who) {
    Registered registered = fleet.fleet().tail(flight.tail()).orElseThrow(() ->
        Problem.notFound("The fleet has no tail %s any more.".formatted(flight.tail())));
    LocalDate day = flight.day();
    PackDesk.RevisedPack pack = packs.inForce(registered.type(), day).orElseThrow(() -> Problem.notFound(
        "No pack for the type %s holds on %s; fleet standards publish one.".formatted(registered.type(), day)));
    Tail tail = pack.pack().tail(flight.tail()).orElseThrow(() -> Problem.notFound(
        "%s, revision %s, does not cover %s.".formatted(pack.pack().title(), pack.pack().revision(), flight.tail())));
    reading.mustHaveRead(pack, tail, who.id(), who.role());
    List<CrewMember> crew = flight.crew().stream().flatMap(r -> fleet.fleet().member(r.who()).stream()).toList();
    Event.Opened opening =
        new Event.Opened(flight, tail, pack.pack().id(), pack.pack().revision(), pack.revision().sha256(), crew);
    return DepartureDesk.open(
        flight.id(), log, clock, live, pack.pack(),
        new Proposal(UUID.randomUUID(), clock.instant(), who.id(), SERVER, opening));
  }

  /** @throws Problem when somebody on the crew has not read what changed for them in this departure's revision */
  void mustHaveRead(Event.Opened opened, SignedIn who) {
    if (opened.flight().place(who.id()).isPresent()) {
      reading.mustHaveRead(packs.one(opened.pack(), opened.revision()), opened.tail(), who.id(), who.role());
    }
  }

  /** Takes an event in at its desk. @return the number of its entry @throws Problem saying why it is refused */
  long take(DepartureDesk desk, Proposal proposal) {
    return presses.record(() -> desk.take(proposal));
  }

  /**
   * What follows from an event once it is in the log: the technical log gets its lines, the tail its readings, and the
   * departure what its tail's log says now. Doing it twice changes nothing, so a killed server does it again.
   */
  void after(DepartureDesk desk, Event event) {
    switch (event) {
      case Event.FindRaised e -> name(desk.state());
      case Event.VerdictTaken e -> settle(desk);
      case Event.DaySet e -> {
        tellOfTail(desk);
        workOut(desk);
      }
      case Event.FigureEntered e -> figures.tellDifferences(desk, BY_SERVER, () -> before(desk));
      case Event.TiedOff e -> settle(desk);
      default -> {
        if (FiguresWork.restsOn(desk.state(), event)) {
          workOut(desk);
        }
      }
    }
  }

  private void settle(DepartureDesk desk) {
    name(desk.state());
    settling.lock();
    try {
      tech.add(tails.missing(desk.state()));
    } finally {
      settling.unlock();
    }
    tails.keepReadings(desk.state());
    if (desk.state().tiedOff().isPresent()) {
      FlightId flight = desk.state().opened().flight().id();
      times.keep(Map.of(flight, Taken.of(desk.departure())));
      Ahead.over(desk.departure()).ifPresent(at -> foretold.over(flight, at));
    }
    tellOfTail(desk);
    workOut(desk);
  }

  private List<DepartureState> before(DepartureDesk desk) {
    return before(desk.state().opened().flight());
  }

  private void workOut(DepartureDesk desk) {
    figures.workOut(desk, BY_SERVER, () -> before(desk));
  }

  private void tailChanged(TailId tail) {
    desks.here().stream().filter(d -> d.state().opened().tail().id().equals(tail)).forEach(this::tellOfTail);
  }

  /** Writes how the tail's log stands, where that is not what the departure knows. */
  private void tellOfTail(DepartureDesk desk) {
    List<DepartureState> before = before(desk);
    desk.note(now -> {
      TechState state = tails.state(now, before);
      return now.tiedOff().isPresent() || state.equals(now.tech()) ? Optional.empty()
          : Optional.of(new Event.TechStatus(state));
    }, BY_SERVER);
  }

  /** Departures of the same tail that left before, the newest first. */
  private List<DepartureState> before(Flight flight) {
    return flights.all().reversed().stream()
        .filter(f -> f.tail().equals(flight.tail()) && f.departs().isBefore(flight.departs()))
        .filter(f -> !f.id().equals(flight.id()))
        .limit(MOST_BEFORE)
        .flatMap(f -> known(f.id()).stream())
        .toList();
  }

  private Optional<DepartureState> known(FlightId id) {
    return desks.peek(id).map(DepartureDesk::departure).or(() -> revived(id)).map(Departure::state);
  }

  /** A departure read from its log, which nobody needs to go on with. */
  private Optional<Departure> revived(FlightId id) {
    try {
      List<StoredEntry> kept = kept(id);
      return kept.isEmpty() ? Optional.empty() : Optional.of(resume(id, kept).departure());
    } catch (Problem unreadable) {
      return Optional.empty();
    }
  }

  /**
   * How long crews took to walk round this type, in the last flights of it, by what was said of the first and the last
   * step.
   */
  List<Duration> walks(TypeId type) {
    return flights.all().reversed().stream()
        .filter(f -> fleet.fleet().tail(f.tail()).filter(t -> t.type().equals(type)).isPresent())
        .limit(MOST_WALKS)
        .flatMap(f -> walked(f).stream())
        .toList();
  }

  private Optional<Duration> walked(Flight flight) {
    Optional<Duration> known = walked.get(flight.id());
    if (known != null) {
      return known;
    }
    Optional<Departure> here = desks.peek(flight.id()).map(DepartureDesk::departure);
    Instant now = clock.instant();
    if (here.isEmpty() && flight.departs().isAfter(now)) {
      return Optional.empty();
    }
    Optional<Departure> d = here.or(() -> revived(flight.id()));
    Optional<Duration> time = d.flatMap(Departures::walked);
    boolean over = here.isEmpty() && flight.departs().isBefore(now.minus(OVER));
    if (over || d.filter(x -> x.state().tiedOff().isPresent()).isPresent()) {
      walked.put(flight.id(), time);
    }
    return time;
  }

  private static Optional<Duration> walked(Departure d) {
    return Account.walked(d.state(), d.picture().standing());
  }

  /** Those that are open, in the memory and not tied off. */
  public List<Departure> underWay() {
    return desks.here().stream().map(DepartureDesk::departure)
        .filter(d -> d.state().card().isPresent() && d.state().tiedOff().isEmpty()).toList();
  }

  /** The kept entries of a departure. */
  public List<StoredEntry> entries(String id) {
    return log.read(key(id));
  }

  /** A departure as it stands. @throws Problem if it was not opened */
  public Departure departure(String id) {
    return require(id).departure();
  }

  /** What has been said in a departure. @throws Problem if it was not opened */
  public DepartureState state(String id) {
    return departure(id).state();
  }

  /** Keeps a trace and gives it back by its hash. */
  void keepTrace(FlightId id, String sha256, String csv) {
    log.keepTrace(id, sha256, csv);
  }

  String trace(String id, String sha256) {
    return log.trace(key(id), sha256).orElseThrow(() -> Problem.notFound("There is no such trace."));
  }
}
