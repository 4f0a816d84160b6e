package neatlanyard.formats.timeline;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
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
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Serial;
import neatlanyard.core.timeline.Timeline;
import neatlanyard.core.timeline.ahead.Ahead;
import neatlanyard.core.timeline.ahead.Choice;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.ahead.GroundEvent.Kind;
import neatlanyard.core.timeline.ahead.Monitoring;
import neatlanyard.core.timeline.ahead.Taken;
import neatlanyard.core.timeline.ahead.Task;
import neatlanyard.core.timeline.learned.Learned;
import neatlanyard.core.timeline.learned.Took;
import neatlanyard.core.weather.StationReport;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.weather.StationReportReader;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is ahead of departures on the demo's packs. */
public class AheadTest {
  private static final Instant NOW = Instant.parse("2027-01-14T07:00:00Z");
  static final Instant DEPARTS = NOW.plus(Duration.ofMinutes(40));
  static final CrewId LEFT = new CrewId("marsk");
  private static final CrewId RIGHT = new CrewId("adeyo");
  private static final CrewId ENGINEER = new CrewId("saldo");

  @DataProvider
  public Object[][] packs() {
    return new Object[][] {{"dovrin-46"}, {"halyard-210"}, {"pellow-9"}, {"selkie-m3"}, {"burdock-four"}};
  }

  private static Departure opened(String name) throws IOException {
    return opened(name, true, -2);
  }

  /** A departure whose card is cut. */
  static Departure opened(String name, boolean dark, int temperatureC) throws IOException {
    Path file = Path.of(System.getProperty("lanyard.root", ".."), "demo/packs/%s.yaml".formatted(name));
    return opened(PackReader.read(Files.readString(file)).orThrow(name), dark, temperatureC);
  }

  private static Departure opened(Pack pack, boolean dark, int temperatureC) {
    Tail tail = pack.tail(pack.tails().getFirst().id()).orElseThrow();
    List<Rostered> crew = new ArrayList<>(List.of(
        new Rostered(LEFT, Seat.LEFT, true, true), new Rostered(RIGHT, Seat.RIGHT, false, false)));
    if (pack.type().value().startsWith("burdock")) {
      crew.add(new Rostered(ENGINEER, Seat.ENGINEER, false, false));
    }
    Flight flight = new Flight(new FlightId("f1"), "Flight 1", tail.id(), new AirfieldId("QTRN"),
        new AirfieldId("QVSK"), DEPARTS, Optional.of(170), crew);
    Departure d = Departure.open(pack, new Event.Opened(flight, tail, pack.id(), "1", "", List.of()));
    for (Rostered r : crew) {
      d = says(d, r.who(), new Event.SeatTaken(r.seat()), NOW);
    }
    StationReport report = StationReportReader.read("QTRN 140650Z 07010KT 9999 %s/M04 Q1002".formatted(
        temperatureC < 0 ? "M0%d".formatted(-temperatureC) : "%02d".formatted(temperatureC)), NOW).orThrow("report");
    Day day = new Day(report, false, dark, Set.of(Circumstance.FIRST_FLIGHT));
    return says(d, LEFT, new Event.DaySet(day), NOW);
  }

  static Departure says(Departure d, CrewId who, Event event, Instant at) {
    long number = d.state().lastNumber() + 1;
    return d.apply(new Entry(number, new UUID(1, number), at, at, who, d.state().seatOf(who), "d", event));
  }

  private static Timeline planned(Ahead ahead) {
    assertThat(ahead.demands().faults()).isEmpty();
    return Serial.of(ahead.demands(), 20, new Random(1)).orElseThrow();
  }

  /** Each open step before the departure is in one task, its needs and waits are kept, and nobody is in two places. */
  @Test(dataProvider = "packs")
  public void every_step_is_planned_once_and_after_what_it_waits_for(String pack) throws IOException {
    Departure d = opened(pack);
    Ahead ahead = Ahead.of(d, List.of(), Learned.NONE, NOW).orElseThrow();
    Timeline t = planned(ahead);
    assertThat(ahead.demands().broken(t)).isEmpty();
    Map<StepId, Task> of = new HashMap<>();
    ahead.tasks().forEach(task -> task.items().forEach(i ->
        assertThat(of.put(i.step().id(), task)).as("%s", i.step().id()).isNull()));
    Set<StepId> wanted = d.state().items().stream().filter(i -> ahead.tasks().stream()
        .anyMatch(task -> task.stage() == i.procedure().stage())).map(i -> i.step().id()).collect(Collectors.toSet());
    assertThat(of.keySet()).isEqualTo(wanted);
    int kept = 0;
    for (Task task : ahead.tasks()) {
      for (Item item : task.items()) {
        Set<StepId> earlier = new HashSet<>(item.step().needs());
        earlier.addAll(item.step().afterWait());
        for (StepId n : earlier) {
          Task before = of.get(n);
          if (before == null || before.equals(task)) {
            continue;
          }
          Duration wait = item.step().afterWait().contains(n) ? d.state().item(n).orElseThrow().step().waits()
              .orElseThrow().time() : Duration.ZERO;
          assertThat(t.of(task.id()).begins()).as("%s after %s", item.step().id(), n)
              .isGreaterThanOrEqualTo(t.of(before.id()).ends().plus(wait));
          kept++;
        }
      }
    }
    assertThat(kept).as("needs between tasks").isPositive();
  }

  /** What burns fuel is begun 20 min before the departure, as the pack wants; in the cold nothing is held back. */
  @Test
  public void the_auxiliary_power_unit_runs_no_longer_than_the_pack_wants() throws IOException {
    Ahead mild = Ahead.of(opened("dovrin-46", true, 12), List.of(), Learned.NONE, NOW).orElseThrow();
    Task apu = mild.tasks().stream().filter(t -> t.items().stream().anyMatch(i ->
        i.step().id().value().equals("pu-apu"))).findFirst().orElseThrow();
    assertThat(planned(mild).of(apu.id()).begins()).isEqualTo(Duration.ofMinutes(20));
    Ahead unheld = last(mild);
    assertThat(planned(unheld).of(apu.id()).begins()).isLessThan(Duration.ofMinutes(5));
    Ahead cold = Ahead.of(opened("dovrin-46"), List.of(), Learned.NONE, NOW).orElseThrow();
    assertThat(cold.demands().activity(apu.id()).from()).as("at two below freezing").isZero();
  }

  /** With no wish left. */
  private static Ahead last(Ahead ahead) {
    return ahead.wantingLess().map(AheadTest::last).orElse(ahead);
  }

  /** Twenty minutes before, where there is time for it; where there is none the plan says so and goes on. */
  @Test
  public void the_pilot_monitoring_is_done_early_where_it_can_be_had() throws IOException {
    Departure d = opened("halyard-210");
    Instant early = DEPARTS.minus(Duration.ofMinutes(50));
    Ahead ahead = Ahead.of(d, List.of(), Learned.NONE, early).orElseThrow();
    Monitoring wish = ahead.monitoring().getFirst();
    assertThat(wish.wanted()).isEqualTo(DEPARTS.minus(Duration.ofMinutes(20)));
    assertThat(wish.tasks()).isNotEmpty().allSatisfy(id ->
        assertThat(ahead.demands().activity(id).until()).contains(Duration.ofMinutes(30)));
    Timeline t = planned(ahead);
    assertThat(wish.tasks()).allSatisfy(id -> assertThat(t.of(id).ends()).isLessThanOrEqualTo(Duration.ofMinutes(30)));
    Ahead less = ahead.wantingLess().orElseThrow();
    assertThat(wish.tasks()).allMatch(id -> less.demands().activity(id).until().isEmpty());
    Ahead late = Ahead.of(d, List.of(), Learned.NONE, DEPARTS.minus(Duration.ofMinutes(22))).orElseThrow();
    assertThat(late.monitoring().getFirst().tasks()).allMatch(id ->
        late.demands().activity(id).until().isEmpty());
  }

  /** What radiates and the hose, and from the start of the engines both pilots with their heads down. */
  @Test
  public void what_may_not_be_at_once_is_kept_apart_and_what_others_do_is_not_moved_for_it() throws IOException {
    Departure d = opened("halyard-210");
    Ahead ahead = Ahead.of(d, List.of(event(Kind.FUELLING, 5, 30)), Learned.NONE, NOW).orElseThrow();
    Timeline t = planned(ahead);
    Task hf = task(ahead, "te-hf");
    ActivityId fuelling = new ActivityId("ground.fuelling");
    assertThat(ahead.demands().apart()).anySatisfy(a ->
        assertThat(a.activities()).containsExactlyInAnyOrder(hf.id(), fuelling));
    assertThat(t.of(fuelling).begins()).isBetween(Duration.ofMinutes(5), Duration.ofSeconds(301));
    assertThat(t.of(hf.id()).begins().compareTo(t.of(fuelling).ends()) >= 0
        || t.of(hf.id()).ends().compareTo(t.of(fuelling).begins()) <= 0).isTrue();
    List<Task> turning = ahead.tasks().stream().filter(x -> x.stage() == Stage.START
        && x.procedure().kind().byPanel() && x.seats().size() == 1).toList();
    assertThat(turning).extracting(Task::seats).contains(Set.of(Seat.LEFT), Set.of(Seat.RIGHT));
    turning.forEach(one -> turning.stream().filter(other -> !other.seats().equals(one.seats())).forEach(other ->
        assertThat(t.of(one.id()).ends().compareTo(t.of(other.id()).begins()) <= 0
        || t.of(other.id()).ends().compareTo(t.of(one.id()).begins()) <= 0).isTrue()));
  }

  /** A pack that says how long a procedure takes is believed until crews' own times are known. */
  @Test
  public void what_the_pack_says_counts_until_times_are_learned() throws IOException {
    Path file = Path.of(System.getProperty("lanyard.root", ".."), "demo/packs/dovrin-46.yaml");
    String text = Files.readString(file);
    String said = text.replace("id: flow-overhead\n", "id: flow-overhead\n    takes-s: 600\n");
    assertThat(said).isNotEqualTo(text);
    Pack pack = PackReader.read(said).orThrow("pack");
    assertThat(pack.procedures().stream().flatMap(p -> p.takes().stream())).containsExactly(Duration.ofMinutes(10));
    Ahead ahead = Ahead.of(opened(pack, true, -2), List.of(), Learned.NONE, NOW).orElseThrow();
    Duration all = ahead.tasks().stream().filter(t -> t.procedure().takes().isPresent())
        .map(t -> ahead.demands().activity(t.id()).length().median()).reduce(Duration.ZERO, Duration::plus);
    assertThat(all).isBetween(Duration.ofSeconds(590), Duration.ofSeconds(610));
  }

  /** Whatever has been done, what is left can be planned, and takes no longer; at the end nothing is left. */
  @Test(dataProvider = "packs")
  public void it_gets_less_as_steps_are_done(String pack) throws IOException {
    Departure d = opened(pack);
    Duration before = over(planned(Ahead.of(d, List.of(), Learned.NONE, NOW).orElseThrow()));
    Duration slack = Duration.ofMinutes(2);
    List<Item> items = d.state().items();
    for (int i = 0; i < items.size(); i++) {
      Item item = items.get(i);
      for (Seat seat : item.seats()) {
        CrewId who = seat == Seat.LEFT ? LEFT : seat == Seat.RIGHT ? RIGHT : ENGINEER;
        d = says(d, who, new Event.StepNotToday(item.step().id(), "a test"), NOW);
      }
      if (i % 25 == 0) {
        Duration now = over(planned(Ahead.of(d, List.of(), Learned.NONE, NOW).orElseThrow()));
        assertThat(now).isLessThanOrEqualTo(before.plus(slack));
        before = now;
      }
    }
    Ahead last = Ahead.of(d, List.of(), Learned.NONE, NOW).orElseThrow();
    assertThat(last.tasks()).allMatch(Task::over);
  }

  private static Duration over(Timeline t) {
    return t.slots().values().stream().map(Timeline.Slot::ends).max(Duration::compareTo).orElseThrow();
  }

  /** A time that runs keeps what waits for it; somebody outside walks in first; who is away does nothing. */
  @Test
  public void a_running_time_a_way_in_and_somebody_away_are_counted() throws IOException {
    Departure d = opened("dovrin-46");
    d = says(d, RIGHT, new Event.StepDone(new StepId("pu-ac")), NOW);
    Ahead ahead = Ahead.of(d, List.of(), Learned.NONE, NOW.plusSeconds(60)).orElseThrow();
    Task stall = task(ahead, "tr-stall");
    assertThat(ahead.demands().activity(stall.id()).from()).isEqualTo(Duration.ofSeconds(180));
    d = says(d, RIGHT, new Event.StepDone(new StepId("wa-brake-r")), NOW.plusSeconds(60));
    Timeline outside = planned(Ahead.of(d, List.of(), Learned.NONE, NOW.plusSeconds(60)).orElseThrow());
    assertThat(outside.of(task(ahead, "pu-fire").id()).begins()).isGreaterThanOrEqualTo(Duration.ofSeconds(29));
    d = says(d, LEFT, new Event.Interrupted(), NOW.plusSeconds(60));
    Ahead away = Ahead.of(d, List.of(), Learned.NONE, NOW.plusSeconds(60)).orElseThrow();
    assertThat(planned(away).of(task(away, "fl-oxygen").id()).begins()).isGreaterThanOrEqualTo(Duration.ofMinutes(3));
  }

  private static Task task(Ahead ahead, String step) {
    return ahead.tasks().stream().filter(t -> t.items().stream()
        .anyMatch(i -> i.step().id().equals(new StepId(step)))).findFirst().orElseThrow();
  }

  /** All waits for the crew bus, figures for the load sheet, the start for fuelling, the departure for its slot. */
  @Test
  public void what_others_do_is_waited_for() throws IOException {
    Departure d = opened("halyard-210");
    Ahead ahead = Ahead.of(d, List.of(event(Kind.LOAD_SHEET, 35, 35), event(Kind.FUELLING, 5, 50),
        event(Kind.BOARDING, -10, -5), event(Kind.SLOT, 70, 85), event(Kind.CREW_BUS, 6, 6)), Learned.NONE, NOW)
        .orElseThrow();
    Timeline t = planned(ahead);
    assertThat(begins(ahead, t, "fi-trim")).isGreaterThanOrEqualTo(Duration.ofMinutes(35));
    assertThat(ahead.tasks().stream().filter(x -> x.stage().title().equals("Start")).map(x -> t.of(x.id()).begins()))
        .isNotEmpty().allMatch(b -> b.compareTo(Duration.ofMinutes(50)) >= 0);
    assertThat(ahead.at(t.departs(ahead.demands())).plus(ahead.departs())).isEqualTo(NOW.plus(Duration.ofMinutes(70)));
    assertThat(ahead.tasks()).allMatch(x -> t.of(x.id()).begins().compareTo(Duration.ofMinutes(6)) >= 0);
    assertThat(ahead.ground()).hasSize(3);
  }

  private static Duration begins(Ahead ahead, Timeline t, String step) {
    return t.of(task(ahead, step).id()).begins();
  }

  private static GroundEvent event(Kind kind, int begins, int ends) {
    return new GroundEvent(kind, NOW.plus(Duration.ofMinutes(begins)), NOW.plus(Duration.ofMinutes(ends)), "x", false);
  }

  /** What is given to the other seat is theirs by the card's own rule; tests are left where the policy lets them. */
  @Test
  public void a_choice_taken_changes_what_is_ahead() throws IOException {
    Departure d = opened("dovrin-46");
    Ahead ahead = Ahead.of(d, List.of(), Learned.NONE, NOW).orElseThrow();
    List<Choice> all = Choice.of(d, ahead, ahead.tasks().stream().map(Task::id).collect(Collectors.toSet()));
    assertThat(all).isNotEmpty();
    for (Choice c : all) {
      Ahead then = Ahead.of(c.taken(d, NOW), List.of(), Learned.NONE, NOW).orElseThrow();
      Seat by = c.by();
      long before = open(ahead, by);
      assertThat(open(then, by)).as(c.words()).isLessThan(before);
      boolean leaves = c.says().getFirst() instanceof Event.StepNotToday;
      assertThat(open(then, by.other())).as(c.words())
          .isEqualTo(open(ahead, by.other()) + (leaves ? 0 : before - open(then, by)));
    }
    assertThat(Choice.of(d, ahead, Set.of())).as("nothing hangs on them")
        .allMatch(c -> c.says().getFirst() instanceof Event.StepNotToday);
  }

  /** From word to word, and not while somebody was away from it; steps said at once count together. */
  @Test
  public void what_a_crew_took_is_read_from_its_words() throws IOException {
    Departure d = opened("dovrin-46");
    List<Item> flow = d.state().items().stream()
        .filter(i -> i.procedure().title().equals("Right flow") && i.step().measures().isEmpty()).limit(9).toList();
    assertThat(Taken.of(d)).isEmpty();
    Instant at = NOW;
    for (int i = 0; i < flow.size(); i++) {
      at = at.plusSeconds(i == 4 ? 600 : i == 7 ? 0 : 10);
      d = says(d, RIGHT, new Event.StepDone(flow.get(i).step().id()), at);
    }
    Took took = Taken.of(d).stream().filter(t -> t.procedure().equals(flow.getFirst().procedure().id())).findFirst()
        .orElseThrow();
    assertThat(took.took()).as("1 to 3, 5, 6 with 7, and 8").isEqualTo(Duration.ofSeconds(60));
    assertThat(took.estimated()).isEqualTo(Duration.ofSeconds(7 * 5));
    assertThat(took.dark()).isTrue();
    assertThat(took.cold()).isTrue();
  }

  private static long open(Ahead ahead, Seat seat) {
    return ahead.tasks().stream().flatMap(t -> t.open().stream()).filter(i -> i.seats().contains(seat)).count();
  }
}
