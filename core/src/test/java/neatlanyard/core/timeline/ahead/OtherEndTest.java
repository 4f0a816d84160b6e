package neatlanyard.core.timeline.ahead;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Outbound.LandingLimits;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.timeline.ahead.OtherEnd.Kind;
import neatlanyard.core.timeline.ahead.OtherEnd.Loss;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.weather.Cloud;
import neatlanyard.core.weather.Forecast;
import neatlanyard.core.weather.Forecast.Change;
import neatlanyard.core.weather.Forecast.Expected;
import org.testng.annotations.Test;

/** What waiting costs at the other end, and what a late flight does to the next. */
public class OtherEndTest {
  private static final Instant NOON = Instant.parse("2027-01-14T12:00:00Z");
  private static final LandingLimits LIMITS = new LandingLimits(550, 2_400);

  private static Instant at(int minutes) {
    return NOON.plus(Duration.ofMinutes(minutes));
  }

  private static Expected seen(int metres, int ceilingFt) {
    return new Expected(Optional.empty(), OptionalInt.of(metres), List.of(),
        Optional.of(List.of(new Cloud("OVC", OptionalInt.of(ceilingFt), ""))));
  }

  private static Change change(Forecast.Kind kind, int from, int to, Expected what) {
    return new Change(kind, OptionalInt.empty(), at(from), at(to), what, "");
  }

  private static OtherEnd end(Optional<Instant> wanted, Optional<GroundEvent> slot, List<Change> changes) {
    Forecast forecast = new Forecast("", "QTRN", at(-60), at(-60), at(720), seen(9_000, 3_000), changes);
    return OtherEnd.of(Duration.ofMinutes(10), Duration.ofMinutes(30), wanted, slot, Optional.of(forecast),
        Optional.of(LIMITS), NOON);
  }

  /** Landing wanted at 13:00, out and flying 40 min: departing until 12:20. The slot is over before that. */
  @Test
  public void waiting_works_until_the_first_thing_is_lost() {
    assertThat(end(Optional.of(at(60)), Optional.empty(), List.of()).until()).contains(at(20));
    GroundEvent slot = new GroundEvent(GroundEvent.Kind.SLOT, at(0), at(15), "operations", false);
    OtherEnd both = end(Optional.of(at(60)), Optional.of(slot), List.of());
    assertThat(both.until()).contains(at(15));
    assertThat(both.lost(at(14))).isEmpty();
    assertThat(both.lost(at(25))).extracting(Loss::kind).containsExactly(Kind.SLOT, Kind.LATE);
    assertThat(both.lands(at(0))).isEqualTo(at(40));
  }

  /** What gets worse counts from the beginning of its time, what gets better from its end; at times is not certain. */
  @Test
  public void the_forecast_closes_and_opens_it() {
    OtherEnd end = end(Optional.empty(), Optional.empty(), List.of(
        change(Forecast.Kind.BECOMING, 120, 180, seen(9_000, 200)),
        change(Forecast.Kind.AT_TIMES, 90, 150, seen(800, 3_000)),
        change(Forecast.Kind.BECOMING, 300, 360, seen(9_000, 3_000))));
    assertThat(end.until()).contains(at(120 - 40));
    assertThat(end.losses()).extracting(Loss::from, l -> l.to().orElseThrow(), Loss::kind, Loss::words)
        .containsExactly(
        tuple(at(50), at(110), Kind.PERHAPS, "at times visibility 800 m, landing wants " + Numbers.written(2_400, 0)),
        tuple(at(80), at(320), Kind.WEATHER, "ceiling 200 ft, landing wants 550"));
    OtherEnd anew = end(Optional.empty(), Optional.empty(), List.of(
        change(Forecast.Kind.FROM, 60, 720, seen(600, 3_000)),
        change(Forecast.Kind.FROM, 130, 720, seen(9_000, 900))));
    assertThat(anew.losses()).extracting(Loss::from, l -> l.to().orElseThrow(), Loss::kind).containsExactly(
        tuple(at(20), at(90), Kind.WEATHER));
  }

  /** Whatever is forecast: until the moment that is named nothing is certain to be lost, and then something is. */
  @Test
  public void the_moment_that_is_named_is_the_first_at_which_something_is_lost() {
    Random random = new Random(2705);
    for (int run = 0; run < 2_000; run++) {
      List<Change> changes = new ArrayList<>();
      for (int i = random.nextInt(4); i > 0; i--) {
        int from = random.nextInt(600);
        Forecast.Kind kind = Forecast.Kind.values()[random.nextInt(3)];
        changes.add(change(kind, from, from + 1 + random.nextInt(119),
            seen(500 + random.nextInt(4_000), 100 * random.nextInt(20))));
      }
      Optional<Instant> wanted = random.nextBoolean() ? Optional.of(at(45 + random.nextInt(300))) : Optional.empty();
      OtherEnd end = end(wanted, Optional.empty(), changes);
      Instant until = end.until().orElse(at(700));
      for (int m = 0; at(m).isBefore(until); m++) {
        assertThat(end.lost(at(m))).as("run %d, minute %d", run, m).noneMatch(l -> l.kind().certain());
      }
      end.until().filter(u -> !u.isBefore(NOON)).ifPresent(u ->
          assertThat(end.lost(u)).anyMatch(l -> l.kind().certain()));
    }
  }

  private static Flight flight(String id, String tail, String from, String to, int departs, String left) {
    return new Flight(new FlightId(id), id, new TailId(tail), new AirfieldId(from), new AirfieldId(to), at(departs),
        Optional.empty(), List.of(new Rostered(new CrewId(left), Seat.LEFT, true, true)));
  }

  /** 15 min late, 40 away, 30 of work: the next at +70 leaves 15 late, the one after that with what is left. */
  @Test
  public void a_late_flight_makes_the_next_one_late_and_that_the_next() {
    List<Flight> day = List.of(
        flight("c", "TL-AB", "QTRN", "QKPT", 150, "ann"), flight("a", "TL-AB", "QTRN", "QVSK", 0, "ann"),
        flight("b", "TL-AB", "QVSK", "QTRN", 70, "ben"), flight("d", "TL-CD", "QVSK", "QODY", 200, "ann"));
    List<TurnRound> turnRounds = TurnRound.of(day, new TurnRound.Times() {
      @Override
      public Duration late(Flight flight) {
        return flight.id().value().equals("a") ? Duration.ofMinutes(15) : Duration.ZERO;
      }

      @Override
      public Optional<Duration> away(Flight flight) {
        return Optional.of(Duration.ofMinutes(40));
      }

      @Override
      public Duration begins(Flight flight) {
        return Duration.ofMinutes(30);
      }
    });
    assertThat(turnRounds).extracting(t -> t.before().number(), t -> t.next().number(), t -> t.late().toMinutes(),
        TurnRound::aircraft, t -> t.who().toString()).containsExactly(
        tuple("a", "b", 15L, true, "[]"),
        tuple("b", "c", 5L, true, "[]"),
        tuple("a", "d", 0L, false, "[ann]"));
  }
}
