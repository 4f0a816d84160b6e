package neatlanyard.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import neatlanyard.core.briefing.Briefing;
import neatlanyard.core.briefing.Line;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.departure.Picture;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.taxi.GroundTurn;
import neatlanyard.core.taxi.Wheels;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The rules by themselves: folding and cutting. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(2)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class CoreBench {
  private static final CrewId MARSK = new CrewId("marsk");
  private static final CrewId ADEYO = new CrewId("adeyo");
  private static final GroundTurn TURN = new GroundTurn(new Wheels(14.8, 16.8, 7.6, 17.3, -1.5, 20, 68), 90, 28);

  /** As the demo's pack is, and grown. */
  @Param({"281", "600"})
  private int steps;

  private Pack pack = Demo.PACK;
  private List<Entry> thousand = List.of();
  private Entry next = log(Demo.PACK, 1).getFirst();
  private Departure folded = Departure.fold(Demo.PACK, log(Demo.PACK, 1));

  @Setup
  public void build() {
    pack = Demo.pack(steps);
    List<Entry> log = log(pack, 1_001);
    thousand = log.subList(0, 1_000);
    next = log.getLast();
    folded = Departure.fold(pack, thousand);
  }

  /** Steps done, taken back and done again, until there are so many entries. */
  private static List<Entry> log(Pack pack, int entries) {
    Flight flight = new Flight(
        new FlightId("f"), "Flight", Demo.TAIL.id(), new AirfieldId("QTRN"), new AirfieldId("QVSK"), Demo.NOW,
        Optional.empty(),
        List.of(new Rostered(MARSK, Seat.LEFT, true, true), new Rostered(ADEYO, Seat.RIGHT, false, false)));
    List<Entry> log = new ArrayList<>();
    add(log, ADEYO, new Event.Opened(flight, Demo.TAIL, pack.id(), pack.revision(), "", List.of()));
    if (entries == 1) {
      return log;
    }
    add(log, ADEYO, new Event.SeatTaken(Seat.RIGHT));
    add(log, MARSK, new Event.SeatTaken(Seat.LEFT));
    add(log, ADEYO, new Event.DaySet(Demo.DAY));
    List<Item> items = Demo.card(pack).items();
    for (int i = 0; log.size() < entries; i++) {
      Item item = items.get(i % items.size());
      CrewId by = item.seats().contains(Seat.LEFT) ? MARSK : ADEYO;
      boolean back = i / items.size() % 3 == 1;
      add(log, by, back ? new Event.StepUndone(item.step().id()) : new Event.StepDone(item.step().id()));
    }
    return log;
  }

  private static void add(List<Entry> log, CrewId by, Event event) {
    long number = log.size() + 1L;
    log.add(new Entry(
        number, new UUID(0x7000, number), Demo.NOW.plusSeconds(number), Demo.NOW, by,
        Optional.of(by.equals(MARSK) ? Seat.LEFT : Seat.RIGHT), "d", event));
  }

  @Benchmark
  public Departure fold_1000_entries() {
    return Departure.fold(pack, thousand);
  }

  /** One more entry, and all that is worked out of it. */
  @Benchmark
  public List<Object> picture_after_an_entry() {
    Picture picture = folded.apply(next).picture();
    return List.of(picture.beads(), picture.inTheWay(), picture.takeoff(), picture.standing());
  }

  /** The picture of a turn of the taxi stage. */
  @Benchmark
  public GroundTurn.Ways turn_drawn() {
    return TURN.ways();
  }

  /** All lines of the briefing, put together anew. */
  @Benchmark
  public List<Line> briefing_put_together() {
    return Briefing.of(folded.state());
  }

  @Benchmark
  public Card cut_a_card() {
    return Demo.card(pack);
  }
}
