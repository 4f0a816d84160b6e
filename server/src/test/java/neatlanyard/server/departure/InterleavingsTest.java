package neatlanyard.server.departure;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.InstantSource;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionStage;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.log.DepartureLog;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.FindDetail;
import neatlanyard.core.log.Proposal;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.Find;
import neatlanyard.formats.record.EntryJson;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.weather.StationReportReader;
import neatlanyard.server.problem.Problem;
import org.testng.annotations.Test;
import tools.jackson.databind.json.JsonMapper;

/**
 * Two and three devices at one desk over a network that delays, doubles, reorders and loses, with devices that sleep
 * and a server that is killed. The desk is the real one; devices keep the outbox's rules: one event at a time, in
 * order, the same id until there is an answer, and of what they are told the newest.
 */
public class InterleavingsTest {
  private static final int RUNS = 1_000;
  private static final int MOVES = 90;
  private static final FlightId ID = new FlightId("f1");
  private static final CrewId CAPTAIN = new CrewId("captain");
  private static final CrewId OFFICER = new CrewId("officer");
  private static final CrewId ENGINEER = new CrewId("engineer");
  private static final Instant NOW = Instant.parse("2027-01-14T07:25:00Z");
  private static final Pack PACK = pack();

  private static final LiveViews NOBODY_LISTENS = new LiveViews(d -> {
    throw new AssertionError("Nobody listens");
  }, new JsonMapper());

  private static Pack pack() {
    try {
      return PackReader.read(Files.readString(Path.of("../demo/packs/dovrin-46.yaml"))).orThrow("dovrin-46.yaml");
    } catch (IOException e) {
      throw new AssertionError(e);
    }
  }

  /** Kept in memory, and never lost. */
  private static final class InMemory implements DepartureLog {
    final List<DepartureLog.StoredEntry> entries = new ArrayList<>();

    @Override
    public CompletionStage<Void> append(FlightId departure, DepartureLog.StoredEntry entry) {
      entries.add(entry);
      return CompletableFuture.completedStage(null);
    }

    @Override
    public List<DepartureLog.StoredEntry> read(FlightId departure) {
      return List.copyOf(entries);
    }

    @Override
    public Map<FlightId, Long> lastNumbers() {
      return Map.of();
    }

    @Override
    public List<StoredIn> doesNotFit() {
      return List.of();
    }

    @Override
    public void keepTrace(FlightId departure, String sha256, String csv) {}

    @Override
    public Optional<String> trace(FlightId departure, String sha256) {
      return Optional.empty();
    }
  }

  /** Something under way between a device and the desk. */
  private sealed interface Parcel {
    record Request(Proposal proposal) implements Parcel {}

    record Answer(UUID event, boolean taken) implements Parcel {}

    record News(Departure now) implements Parcel {}
  }

  private static final class Device {
    final CrewId who;
    final String name;
    final Deque<Proposal> waiting = new ArrayDeque<>();
    final List<Parcel> underWay = new ArrayList<>();
    final Set<UUID> taken = new LinkedHashSet<>();
    final Set<UUID> refused = new HashSet<>();
    Optional<Departure> shown = Optional.empty();
    boolean connected = true;

    Device(CrewId who, String name) {
      this.who = who;
      this.name = name;
    }

    void hears(Parcel parcel) {
      switch (parcel) {
        case Parcel.Answer a -> {
          if (!waiting.isEmpty() && waiting.getFirst().id().equals(a.event())) {
            waiting.removeFirst();
          }
          (a.taken() ? taken : refused).add(a.event());
        }
        case Parcel.News n -> {
          if (shown.filter(s -> s.state().lastNumber() > n.now().state().lastNumber()).isEmpty()) {
            shown = Optional.of(n.now());
          }
        }
        case Parcel.Request r -> throw new AssertionError("A request comes to the desk: " + r);
      }
    }
  }

  private static final class Run {
    final Random random;
    final InMemory log = new InMemory();
    final List<Device> devices = new ArrayList<>();
    final List<StepId> steps;
    final List<UUID> hung = new ArrayList<>();
    Instant at = NOW;
    final InstantSource clock = () -> at;
    DepartureDesk desk;

    Run(long seed) {
      random = new Random(seed);
      Flight flight = new Flight(
          ID, "Flight 1", new TailId("TL-DVA"), new AirfieldId("QTRN"), new AirfieldId("QVSK"),
          NOW.plusSeconds(2_400), Optional.empty(),
          List.of(new Rostered(CAPTAIN, Seat.LEFT, true, true), new Rostered(OFFICER, Seat.RIGHT, false, false),
          new Rostered(ENGINEER, Seat.ENGINEER, false, false)));
      Event opened = new Event.Opened(flight, PACK.tail(flight.tail()).orElseThrow(), PACK.id(), PACK.revision(), "",
          List.of());
      desk = DepartureDesk.open(ID, log, clock, NOBODY_LISTENS, PACK, proposal(OFFICER, "d0", opened));
      Day day = new Day(
          StationReportReader.read("METAR QTRN 140720Z 24012KT 9000 -SN FEW012 BKN025 M02/M04 Q1003", NOW)
          .orThrow("report"),
          false, true, Set.of(Circumstance.FIRST_FLIGHT));
      desk.take(proposal(CAPTAIN, "d0", new Event.SeatTaken(Seat.LEFT)));
      desk.take(proposal(OFFICER, "d0", new Event.SeatTaken(Seat.RIGHT)));
      desk.take(proposal(ENGINEER, "d0", new Event.SeatTaken(Seat.ENGINEER)));
      desk.take(proposal(OFFICER, "d0", new Event.DaySet(day)));
      // Few steps, so that devices meet at them.
      steps = desk.state().card().orElseThrow().parts().stream()
          .filter(p -> p.procedure().kind() == Procedure.Kind.POWER_UP || p.procedure()
          .kind() == Procedure.Kind.CHECKLIST)
          .flatMap(p -> p.items().stream()).map(i -> i.step().id()).limit(24).toList();
      devices.add(new Device(CAPTAIN, "d1"));
      devices.add(new Device(OFFICER, "d2"));
      if (random.nextBoolean()) {
        devices.add(new Device(random.nextBoolean() ? OFFICER : ENGINEER, "d3"));
      }
    }

    Proposal proposal(CrewId by, String device, Event event) {
      return new Proposal(UUID.randomUUID(), at.minusSeconds(random.nextInt(120) - 60), by, device, event);
    }

    Event anything() {
      StepId step = steps.get(random.nextInt(steps.size()));
      return switch (random.nextInt(13)) {
        case 0 -> new Event.StepUndone(step);
        case 1 -> new Event.StepNotToday(step, "because");
        case 2 -> new Event.FindRaised(UUID.randomUUID(), step, "something", FindDetail.DEFECT);
        case 3 -> new Event.Overridden(step, "because");
        case 4 -> random.nextBoolean() ? new Event.Interrupted() : new Event.WentOn();
        case 5 -> new Event.ValueSaid(step, List.of("1003", "15", "one", "212").get(random.nextInt(4)));
        case 6 -> new Event.StepLater(step, "because");
        case 7 -> new Event.PanelHandedOver(PACK.step(step).orElseThrow().place(), Seat.values()[random.nextInt(3)]);
        case 8 -> hung.isEmpty() || random.nextBoolean()
            ? new Event.TagHung(hang(), "because", Stage.TAXI, Optional.empty())
            : new Event.TagTaken(hung.get(random.nextInt(hung.size())));
        default -> new Event.StepDone(step);
      };
    }

    private UUID hang() {
      hung.add(UUID.randomUUID());
      return hung.getLast();
    }

    void move() {
      Device d = devices.get(random.nextInt(devices.size()));
      at = at.plusSeconds(random.nextInt(5));
      switch (random.nextInt(12)) {
        case 0, 1, 2 -> d.waiting.add(proposal(d.who, d.name, anything()));
        case 3, 4 -> send(d);
        case 5, 6, 7, 8 -> {
          if (!d.underWay.isEmpty()) {
            Parcel parcel = d.underWay.get(random.nextInt(d.underWay.size()));
            // Sometimes it comes twice.
            if (random.nextInt(4) > 0) {
              d.underWay.remove(parcel);
            }
            arrive(d, parcel);
          }
        }
        case 9 -> {
          if (!d.underWay.isEmpty()) {
            d.underWay.remove(random.nextInt(d.underWay.size()));
          }
        }
        case 10 -> {
          d.connected = !d.connected;
          if (d.connected) {
            d.underWay.add(told(desk.departure()));
          }
        }
        default -> {
          if (random.nextInt(6) == 0) {
            killed();
          }
        }
      }
    }

    /** The first of the outbox, again and again until there is an answer. */
    void send(Device d) {
      if (d.connected && !d.waiting.isEmpty()) {
        d.underWay.add(new Parcel.Request(d.waiting.getFirst()));
      }
    }

    void arrive(Device d, Parcel parcel) {
      if (!(parcel instanceof Parcel.Request r)) {
        if (d.connected) {
          d.hears(parcel);
        }
        return;
      }
      long before = desk.state().lastNumber();
      boolean taken;
      try {
        desk.take(r.proposal());
        taken = true;
      } catch (Problem refused) {
        taken = false;
      }
      d.underWay.add(new Parcel.Answer(r.proposal().id(), taken));
      if (desk.state().lastNumber() > before) {
        devices.stream().filter(x -> x.connected).forEach(x -> x.underWay.add(told(desk.departure())));
      }
    }

    /** What was under way is lost; what was written is read again. */
    void killed() {
      devices.forEach(d -> d.underWay.clear());
      desk = DepartureDesk.resume(ID, log, clock, NOBODY_LISTENS, opened -> PACK, log.read(ID));
      devices.stream().filter(d -> d.connected).forEach(d -> d.underWay.add(told(desk.departure())));
    }

    /** The network is whole again, and everybody awake. */
    void settle() {
      for (Device d : devices) {
        d.connected = true;
        while (!d.waiting.isEmpty()) {
          d.underWay.clear();
          send(d);
          arrive(d, d.underWay.removeFirst());
          d.underWay.stream().filter(p -> p instanceof Parcel.Answer).toList().forEach(d::hears);
        }
      }
      devices.forEach(d -> d.hears(told(desk.departure())));
    }
  }

  private static Parcel told(Departure d) {
    return new Parcel.News(d);
  }

  private static String picture(Departure d) {
    return d.picture().standing().statuses() + " " + d.picture().tags() + " " + d.state().finds() + " "
        + d.state().interruptions();
  }

  @Test
  public void every_device_comes_to_the_same_and_nothing_taken_is_lost_or_doubled() {
    int refused = 0;
    int taken = 0;
    for (long seed = 0; seed < RUNS; seed++) {
      Run run = new Run(seed);
      for (int i = 0; i < MOVES; i++) {
        run.move();
      }
      run.settle();
      Departure end = run.desk.departure();
      List<Entry> log = run.log.entries.stream().map(k -> EntryJson.read(k.json())).toList();
      List<UUID> ids = log.stream().map(Entry::id).toList();
      assertThat(ids).as("seed %d: nothing twice", seed).doesNotHaveDuplicates();
      assertThat(picture(Departure.fold(PACK, log))).as("seed %d: the log is the departure", seed)
          .isEqualTo(picture(end));
      for (Device d : run.devices) {
        assertThat(d.shown.map(InterleavingsTest::picture)).as("seed %d, %s: the same everywhere", seed, d.name)
            .contains(picture(end));
        assertThat(ids).as("seed %d, %s: what was taken is kept", seed, d.name).containsAll(d.taken);
        List<UUID> own = log.stream().filter(e -> e.device().equals(d.name)).map(Entry::id).toList();
        assertThat(own).as("seed %d, %s: in the order it was pressed", seed, d.name)
            .containsExactlyElementsOf(d.taken);
        assertThat(ids.stream().filter(d.refused::contains))
            .as("seed %d, %s: what was refused left no trace", seed, d.name).isEmpty();
        refused += d.refused.size();
        taken += d.taken.size();
      }
    }
    assertThat(taken).as("taken, or it tests nothing").isGreaterThan(RUNS);
    assertThat(refused).as("refused, or it tests nothing").isGreaterThan(RUNS);
  }
}
