package neatlanyard.core.sop;

import static neatlanyard.core.sop.Packs.ONE;
import static neatlanyard.core.sop.Packs.TWO;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.sop.Procedure.Kind;
import neatlanyard.core.weather.StationReport;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * The card by the fleet's schools, and what differs between two cards. Schools as in the product's own list of them.
 */
public class CardTest {
  private static Step at(String place) {
    return Step.of("at-" + place, place, place, "seen", Owner.RIGHT).build();
  }

  private static final Procedure WALK =
      Packs.procedure("walk", Stage.WALKAROUND, Kind.WALKAROUND, at("door"), at("left"), at("nose"), at("right"),
      at("tail"), at("left-rear"));

  @DataProvider
  Object[][] routes() {
    return new Object[][] {
      {School.LEFT_DOOR_CLOCKWISE, List.of("door", "left", "nose", "right", "tail", "left-rear")},
      {School.NOSE_FIRST, List.of("door", "nose", "right", "tail", "left-rear", "left")},
      {School.RIGHT_THEN_LEFT, List.of("door", "nose", "right", "tail", "left", "left-rear")},
    };
  }

  @Test(dataProvider = "routes")
  public void the_walk_goes_the_fleets_way_and_drops_nothing(School school, List<String> order) {
    Pack pack = Packs.of(Policy.of(Map.of(Matter.ROUTE, school)), List.of(), WALK);
    Card card = Card.cut(pack, Seat.LEFT, Packs.day(pack, ONE, 15, false, false));
    assertThat(card.items()).extracting(i -> i.step().place().value()).containsExactlyElementsOf(order);
  }

  @DataProvider
  Object[][] tests() {
    return new Object[][] {
      {School.BY_CONDITION, true, List.of("first", "alerted", "critical")},
      {School.BY_CONDITION, false, List.of("alerted", "critical")},
      {School.EVERY_TIME, false, List.of("first", "alerted", "critical")},
      {School.FIRST_FLIGHT_ONLY, false, List.of("critical")},
      {School.FIRST_FLIGHT_ONLY, true, List.of("first", "alerted", "critical")},
      {School.UNALERTED_ONLY, true, List.of("first", "critical")},
    };
  }

  @Test(dataProvider = "tests")
  public void tests_are_made_as_often_as_the_fleet_makes_them(School school, boolean firstFlight, List<String> made) {
    Procedure tests = Packs.procedure("tests", Stage.FLOWS, Kind.TEST,
        Step.of("first", "overhead", "First", "heard", Owner.LEFT).when(new Condition.Is(Circumstance.FIRST_FLIGHT))
        .build(),
        Step.of("alerted", "overhead", "Alerted", "heard", Owner.LEFT).alerted().build(),
        Step.of("critical", "overhead", "Critical", "heard", Owner.LEFT).alerted().critical().build());
    Pack pack = Packs.of(Policy.of(Map.of(Matter.TESTS, school)), List.of(), tests);
    Circumstance[] so = firstFlight ? new Circumstance[] {Circumstance.FIRST_FLIGHT} : new Circumstance[0];
    Card card = Card.cut(pack, Seat.LEFT, Packs.day(pack, ONE, 15, false, false, so));
    assertThat(card.items()).extracting(i -> i.step().id().value()).containsExactlyElementsOf(made);
    assertThat(card.leftOut()).allMatch(l -> !l.why().isBlank());
  }

  @Test
  public void a_step_for_another_school_is_left_out_and_says_which_holds() {
    Step on = Step.of("on", "overhead", "Pump", "on", Owner.RIGHT).when(new Condition.Follows(School.HYDRAULICS_ON))
        .build();
    Pack pack = Packs.of(Packs.flow(on));
    Card card = Card.cut(pack, Seat.LEFT, Packs.day(pack, ONE, 15, false, false));
    assertThat(card.whyLeftOut(on.id())).isEqualTo("Hydraulics during the walkaround: off, so that nothing can move");
  }

  @Test
  public void two_tails_beside_each_other_show_what_differs_and_nothing_else() {
    Pack pack = Packs.of(Packs.flow(
        Step.of("apu", "overhead", "APU", "running", Owner.RIGHT).when(new Condition.Fitted(Packs.APU)).build(),
        Step.of("all", "overhead", "Battery", "on", Owner.RIGHT).build()));
    Situation one = Packs.day(pack, ONE, 15, false, false);
    Situation two = Packs.day(pack, TWO, 15, false, false);
    List<CardDifference> differences = CardDifference.between(Card.cut(pack, Seat.LEFT, one),
        Card.cut(pack, Seat.LEFT, two));
    assertThat(differences).extracting(d -> d.step().id().value(), d -> d.left().why(), d -> d.right().why())
        .containsExactly(org.assertj.core.groups.Tuple.tuple("apu", "APU fitted", "no APU on this tail"));
    assertThat(CardDifference.between(Card.cut(pack, Seat.LEFT, one), Card.cut(pack, Seat.LEFT, one))).isEmpty();
  }

  @Test
  public void who_flies_moves_the_steps_of_a_role() {
    Pack pack = Packs.of(Packs.flow(
        Step.of("flying", "overhead", "Trim", "set for today", Owner.FLYING).build(),
        Step.of("left", "own-left", "Light", "lit", Owner.LEFT).build()));
    Situation now = Packs.day(pack, ONE, 15, false, false);
    List<CardDifference> differences = CardDifference.between(Card.cut(pack, Seat.LEFT, now),
        Card.cut(pack, Seat.RIGHT, now));
    assertThat(differences).extracting(d -> d.step().id().value()).containsExactly("flying");
    assertThat(Seat.pilots().stream().map(s -> Card.cut(pack, s, now).items().size())).containsOnly(2);
  }

  /** In low visibility always stationary, whatever the school. */
  @Test
  public void the_control_check_is_made_standing_in_low_visibility() {
    Policy taxiing = Policy.of(Map.of(Matter.CONTROL_CHECK, School.STRAIGHT_TAXI));
    Pack pack = Packs.of(taxiing, List.of(), WALK);
    Day clear = Packs.day(pack, ONE, 4, false, false).day();
    assertThat(taxiing.controlCheckOn(clear)).startsWith("Taxiing straight");
    StationReport fog = new StationReport(
        "", "QTRN", clear.report().observed(), clear.report().wind(), OptionalInt.of(Policy.LOW_VISIBILITY_M - 50),
        List.of(), List.of(),
        clear.report().temperatureC(), clear.report().dewPointC(), clear.report().qnhHpa());
    Day low = new Day(fog, false, false, clear.circumstances());
    assertThat(taxiing.controlCheckOn(low)).isEqualTo("Stationary: visibility 500 m");
    assertThat(Policy.DEFAULT.controlCheckOn(low)).startsWith("Stationary, after start");
  }

  @DataProvider
  Object[][] latitudes() {
    return new Object[][] {
      {Optional.of(10.0), 300}, {Optional.of(59.9), 300}, {Optional.of(60.0), 420}, {Optional.of(-60.0), 420},
      {Optional.of(69.9), 420}, {Optional.of(78.2), 600}, {Optional.of(-90.0), 600}, {Optional.<Double>empty(), 600}};
  }

  @Test(dataProvider = "latitudes")
  public void a_wait_is_that_of_the_airfields_latitude_and_the_longest_where_nobody_knows_it(
      Optional<Double> latitude, int seconds) {
    Wait wait = new Wait(Duration.ofSeconds(300), "before it moves", List.of(
        new Wait.From(70, Duration.ofSeconds(600)), new Wait.From(60, Duration.ofSeconds(420))));
    Pack pack = Packs.of(Packs.flow(Step.of("a", "overhead", "Units", "aligned", Owner.LEFT).waits(wait).build()));
    Situation day = Packs.day(pack, ONE, 15, false, false);
    Card card = Card.cut(pack, Seat.LEFT, new Situation(
        day.tail(), day.from(), day.to(), latitude, day.day(), day.measured()));
    assertThat(card.items()).singleElement().satisfies(i ->
        assertThat(i.step().waits()).contains(new Wait(Duration.ofSeconds(seconds), "before it moves")));
  }
}
