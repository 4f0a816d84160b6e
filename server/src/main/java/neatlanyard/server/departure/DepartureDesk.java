package neatlanyard.server.departure;

import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletionException;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Function;
import neatlanyard.core.departure.Admission;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.log.DepartureLog.StoredEntry;
import neatlanyard.core.log.DepartureLog;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Proposal;
import neatlanyard.core.record.Chain;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.state.DepartureState;
import neatlanyard.formats.record.EntryJson;
import neatlanyard.server.fleet.SignedIn;
import neatlanyard.server.problem.Problem;
import neatlanyard.store.db.NotKept;

/** The one place through which a departure changes: one event at a time, on the disk before anybody is told. */
final class DepartureDesk {
  private record Seen(long number, Proposal proposal) {}

  private static final int REFUSALS_KEPT = 2_000;
  private static final Duration SET_RIGHT = Duration.ofSeconds(10);

  private final FlightId id;
  private final DepartureLog log;
  private final InstantSource clock;
  private final Live live;
  private final ReentrantLock lock = new ReentrantLock(true);
  private final Map<UUID, Seen> seen = new HashMap<>();
  private final Map<UUID, Refusal> refused = new LinkedHashMap<>() {
    @Override
    protected boolean removeEldestEntry(Map.Entry<UUID, Refusal> eldest) {
      return size() > REFUSALS_KEPT;
    }
  };
  private volatile Departure now;
  private String head;
  private Instant latest = Instant.MIN;

  private DepartureDesk(FlightId id, DepartureLog log, InstantSource clock, LiveViews live, Departure now) {
    this.id = id;
    this.log = log;
    this.clock = clock;
    this.now = now;
    this.live = new Live(live, this::departure);
    this.head = Chain.GENESIS;
  }

  /** A desk for a departure whose log is kept already. @param kept at least its opening */
  static DepartureDesk resume(
      FlightId id, DepartureLog log, InstantSource clock, LiveViews live,
      Function<Event.Opened, Pack> packs, List<StoredEntry> kept) {
    List<Entry> entries = kept.stream().map(k -> EntryJson.read(k.json())).toList();
    if (!(entries.getFirst().event() instanceof Event.Opened opened)) {
      throw new IllegalStateException("The log of %s does not begin with its opening".formatted(id));
    }
    DepartureDesk desk = new DepartureDesk(id, log, clock, live, Departure.fold(packs.apply(opened), entries));
    entries.forEach(e -> desk.seen.put(e.id(), new Seen(e.number(), proposal(e))));
    desk.head = kept.getLast().hash();
    desk.latest = entries.getLast().at();
    return desk;
  }

  /** A desk for a departure that is opened now. */
  static DepartureDesk open(
      FlightId id, DepartureLog log, InstantSource clock, LiveViews live, Pack pack,
      Proposal opening) {
    if (!(opening.event() instanceof Event.Opened opened)) {
      throw new IllegalArgumentException("A departure is opened by its opening");
    }
    DepartureDesk desk = new DepartureDesk(id, log, clock, live, Departure.open(pack, opened));
    Entry entry = new Entry(1, opening.id(), clock.instant(), opening.deviceAt(), opening.by(), Optional.empty(),
        opening.device(), opened);
    desk.write(entry);
    desk.seen.put(entry.id(), new Seen(1, opening));
    return desk;
  }

  private static Proposal proposal(Entry e) {
    return new Proposal(e.id(), e.deviceAt(), e.by(), e.device(), e.event());
  }

  /** The departure as it stands. */
  Departure departure() {
    return now;
  }

  /** What has been said in it. */
  DepartureState state() {
    return now.state();
  }

  /**
   * Takes an event in.
   *
   * @return the number of the entry; for an event that was taken before, the number it got then
   * @throws Problem saying why it is refused
   */
  long take(Proposal proposal) {
    lock.lock();
    try {
      Seen before = seen.get(proposal.id());
      if (before != null) {
        return again(before, proposal);
      }
      // What was refused stays so: its device has given it up, and a copy that comes late must not be taken after all.
      Optional<Refusal> no = Optional.ofNullable(refused.get(proposal.id()))
          .or(() -> Admission.refusal(now, proposal, time()));
      if (no.isPresent()) {
        refused.put(proposal.id(), no.get());
        throw Problem.refused(no.get());
      }
      Entry entry = new Entry(
          state().lastNumber() + 1, proposal.id(), time(), proposal.deviceAt(), proposal.by(),
          state().seatOf(proposal.by()), proposal.device(), proposal.event());
      enter(entry);
      seen.put(entry.id(), new Seen(entry.number(), proposal));
      return entry.number();
    } finally {
      lock.unlock();
    }
  }

  /**
   * Writes what the server itself has to say as things stand, which no person may; nothing when it has nothing to say.
   */
  void note(Function<DepartureState, Optional<Event>> says, CrewId by) {
    lock.lock();
    try {
      Event event = says.apply(state()).orElse(null);
      if (event != null) {
        Instant at = time();
        enter(new Entry(state().lastNumber() + 1, UUID.randomUUID(), at, at, by, Optional.empty(), Departures.SERVER,
            event));
      }
    } finally {
      lock.unlock();
    }
  }

  /**
   * A clock that is set right by a moment does not make an entry older than the one before it. One that is set back by
   * more is believed: times that run must not stand still until it has caught up; entries go by their numbers.
   */
  private Instant time() {
    Instant time = clock.instant();
    return time.isBefore(latest) && time.plus(SET_RIGHT).isAfter(latest) ? latest : time;
  }

  /** On the disk before it is so; those who listen are woken, and see to the rest by themselves. */
  private void enter(Entry entry) {
    Departure next = now.apply(entry);
    write(entry);
    now = next;
    live.changed();
  }

  private static long again(Seen before, Proposal proposal) {
    boolean same = before.proposal.by().equals(proposal.by()) && same(before.proposal.event(), proposal.event());
    if (!same) {
      throw Problem.refused(
          new Refusal(RefusalCode.ID_USED, "That event's id was used for another event.", "Send it under a new id."));
    }
    return before.number;
  }

  /** What the server filled in by itself, such as the light, may have become another since: then the kind decides. */
  private static boolean same(Event before, Event now) {
    if (before instanceof Event.VerdictTaken b && now instanceof Event.VerdictTaken n) {
      return b.find().equals(n.find()) && b.verdict() == n.verdict() && b.words().equals(n.words());
    }
    boolean filledIn = now instanceof Event.DaySet || now instanceof Event.TiedOff;
    return filledIn ? before.getClass() == now.getClass() : before.equals(now);
  }

  private void write(Entry entry) {
    EntryJson.HashedEntry kept = EntryJson.write(entry, head);
    try {
      log.append(id, new StoredEntry(entry.number(), entry.id(), kept.json(),
          kept.hash())).toCompletableFuture().join();
    } catch (CompletionException e) {
      throw e.getCause() instanceof NotKept why ? why
          : new NotKept("It could not be written.", "Look at the server's log.", e);
    }
    head = kept.hash();
    latest = entry.at();
  }

  /** Adds a listener, who is told at once how things stand. */
  Subscriber subscribe(Streams streams, SignedIn who) {
    return live.subscribe(streams, who);
  }

  /** Tells everybody who listens of something that is not in the log. */
  void tell(Subscriber.Message message) {
    live.tell(message);
  }
}
