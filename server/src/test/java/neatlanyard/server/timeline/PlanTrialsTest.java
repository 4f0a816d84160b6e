package neatlanyard.server.timeline;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.timeline.ahead.Ahead;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.learned.Learned;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.weather.StationReportReader;
import neatlanyard.server.timeline.PlanFinder.Found;
import org.testng.annotations.Test;

/** What it costs to wait, on a card of the demo. */
public class PlanTrialsTest {
  private static final Instant DEPARTS = Instant.parse("2027-01-14T08:05:00Z");
  private static final Duration WITHIN = Duration.ofSeconds(30);

  private static Departure departure(Instant now) throws IOException {
    Path file = Path.of(System.getProperty("lanyard.root", ".."), "demo/packs/dovrin-46.yaml");
    Pack pack = PackReader.read(Files.readString(file)).orThrow("pack");
    Tail tail = pack.tail(pack.tails().getFirst().id()).orElseThrow();
    Flight flight = new Flight(new FlightId("f1"), "Flight 1", tail.id(), new AirfieldId("QTRN"),
        new AirfieldId("QVSK"), DEPARTS, Optional.of(170), List.of(
        new Rostered(new CrewId("left"), Seat.LEFT, true, true),
        new Rostered(new CrewId("right"), Seat.RIGHT, false, false)));
    Day day = new Day(StationReportReader.read("QTRN 140650Z 07010KT 9999 M02/M04 Q1002", now).orThrow("report"),
        false, true, Set.of(Circumstance.FIRST_FLIGHT));
    Departure d = Departure.open(pack, new Event.Opened(flight, tail, pack.id(), "1", "", List.of()));
    List<Event> events = List.of(
        new Event.SeatTaken(Seat.LEFT), new Event.SeatTaken(Seat.RIGHT), new Event.DaySet(day));
    for (Event e : events) {
      long number = d.state().lastNumber() + 1;
      CrewId by = new CrewId(e instanceof Event.SeatTaken s && s.seat() == Seat.RIGHT ? "right" : "left");
      d = d.apply(new Entry(number, new UUID(1, number), now, now, by, d.state().seatOf(by), "d", e));
    }
    return d;
  }

  private static List<PlanTrials.Slip> slips(Duration before, List<GroundEvent> ground) throws IOException {
    Instant now = DEPARTS.minus(before);
    Departure d = departure(now);
    Found found = PlanFinder.found(Ahead.of(d, ground, Learned.NONE, now).orElseThrow(), Optional.empty(), WITHIN);
    assertThat(found.timeline()).isPresent();
    return new PlanTrials(d, ground, Learned.NONE, found, WITHIN, () -> false).slips();
  }

  /** With time in hand nothing; with none the departure slips for it, no more than it was put off; or cannot be. */
  @Test
  public void what_is_not_begun_now_moves_the_departure_where_there_is_no_time_in_hand() throws IOException {
    assertThat(slips(Duration.ofHours(2), List.of())).isEmpty();
    assertThat(slips(Duration.ofMinutes(20), List.of())).isNotEmpty().allSatisfy(s -> {
      assertThat(s.later()).isEqualTo(Duration.ofMinutes(5));
      assertThat(s.slips().orElseThrow()).isBetween(Duration.ofSeconds(30), Duration.ofMinutes(5));
      assertThat(s.other().filter(o -> o.seat() == s.seat())).isEmpty();
    });
    Instant now = DEPARTS.minus(Duration.ofMinutes(20));
    Departure d = departure(now);
    Found found = PlanFinder.found(Ahead.of(d, List.of(), Learned.NONE, now).orElseThrow(), Optional.empty(), WITHIN);
    Instant departs = found.ahead().at(found.timeline().orElseThrow().departs(found.ahead().demands()))
        .plus(found.ahead().departs());
    GroundEvent slot = new GroundEvent(GroundEvent.Kind.SLOT, departs.minusSeconds(60), departs.plusSeconds(60),
        "operations", false);
    assertThat(slips(Duration.ofMinutes(20), List.of(slot))).isNotEmpty().allMatch(s -> s.slips().isEmpty());
  }
}
