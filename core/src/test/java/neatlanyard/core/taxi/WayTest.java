package neatlanyard.core.taxi;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.IntStream;
import neatlanyard.core.fleet.GroundPlan;
import neatlanyard.core.fleet.GroundPlan.Bridge;
import neatlanyard.core.fleet.GroundPlan.Spot;
import neatlanyard.core.fleet.GroundPlan.Strip;
import neatlanyard.core.fleet.GroundPlan.Taxiway;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.fleet.Seating;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.taxi.ClearanceWords.Heard;
import neatlanyard.core.taxi.Way.Place;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Clearances as they are heard, and where they lead. */
public class WayTest {
  private static final RunwayName MAIN = new RunwayName("09");
  private static final RunwayName OTHER = new RunwayName("18");

  /** A runway east to west, a taxiway north of it, another runway over both, the apron further north. */
  public static final GroundPlan PLAN = new GroundPlan(List.of(
      spot("1", 0, 300, Spot.Kind.STAND), spot("2", 100, 300, Spot.Kind.STAND), spot("L1", 0, 250, Spot.Kind.POINT),
      spot("L2", 100, 250, Spot.Kind.POINT), spot("J", 100, 150, Spot.Kind.POINT),
      spot("W", -900, 150, Spot.Kind.POINT),
      holding("A1", -900, 75, MAIN), spot("HS", 400, 150, Spot.Kind.HOT_SPOT), holding("X1", 450, 150, OTHER),
      holding("X2", 550, 150, OTHER), spot("E", 1100, 150, Spot.Kind.POINT), holding("D1", 1100, 75, MAIN),
      spot("MAST", 50, 268, Spot.Kind.OBSTACLE)),
      List.of(lane("S1", true, 20, "1", "L1"), lane("S2", true, 20, "2", "L2"), lane("AP", true, 20, "L1", "L2", "J"),
      new Taxiway("A", List.of("A1", "W", "J", "HS", "X1", "X2", "E"), 15, OptionalInt.of(80), false, Optional.empty(),
      List.of(new Bridge("X2", "E", 30))), lane("D", false, 23, "E", "D1")),
      List.of(new Strip(List.of(MAIN, new RunwayName("27")), -900, 0, 1100, 0, 45),
      new Strip(List.of(OTHER, new RunwayName("36")), 500, 600, 500, -600, 30)), GroundPlan.Transponder.STANDBY);

  public static final Planform SHAPE = new Planform(30, 3, new Planform.Aerofoil(34, 10, 5, 12, 2),
      new Planform.Aerofoil(10, 26, 3, 27, 1), List.of(),
      List.of(new Planform.Gear(0, 4, 2), new Planform.Gear(-4, 16, 2), new Planform.Gear(4, 16, 2)), List.of(),
      List.of(), Seating.ABREAST, Optional.of(new Planform.Ground(2.5, 65, 25, new Planform.Speeds(15, 10, 30, 50),
      List.of(new Planform.Cooling(200, 0, 0), new Planform.Cooling(400, 30, 10)))));

  private static Spot spot(String name, double east, double north, Spot.Kind kind) {
    return new Spot(name, east, north, kind, Optional.empty(), OptionalInt.empty(),
        kind == Spot.Kind.HOT_SPOT ? "unlit" : kind == Spot.Kind.OBSTACLE ? "a mast" : "");
  }

  private static Spot holding(String name, double east, double north, RunwayName runway) {
    return new Spot(name, east, north, Spot.Kind.HOLDING, Optional.of(runway), OptionalInt.empty(), "");
  }

  private static Taxiway lane(String name, boolean apron, int widthM, String... along) {
    return new Taxiway(name, List.of(along), widthM, OptionalInt.empty(), apron, Optional.empty(), List.of());
  }

  private static Clearance heard(String from, String words) {
    return ((Heard.Understood) ClearanceWords.read(PLAN, from, words)).clearance();
  }

  @DataProvider
  public Object[][] the_same() {
    return new Object[][] {{"D1 via A D cross 18"}, {"A, D, cross runway 18, hold D1"},
        {"taxi to holding point D1 runway 09 via A and D, crossing 18/36"},
        {"via a d crossing 36 hold short of runway 27"}};
  }

  @Test(dataProvider = "the_same")
  public void limit_first_and_route_first_are_one_clearance(String words) {
    assertThat(heard("2", words)).isEqualTo(new Clearance("2", List.of("A", "D"), "D1", List.of(OTHER)));
  }

  @DataProvider
  public Object[][] not_understood() {
    return new Object[][] {
        {"1", "A", "No limit is named"}, {"1", "A1", "No taxiway is named"}, {"9", "A A1", "no stand 9"},
        {"1", "A Q A1", "'Q' is no taxiway"}, {"1", "A A1 D1", "Two limits: A1 and D1"},
        {"1", "A A1 runway 18", "A1 is of runway 09, not of 18/36"}, {"1", "D D1", "Nothing leads from stand 1 via D"},
        {"1", "A hold short of 18", "Which holding point of 18/36"}, {"1", "\u0000 A A1", "is no taxiway"},
        {"1", "x".repeat(301), "at most 300"}, {"1", "backtrack 09", "is not taxied along"},
        {"2", "A D cross hold D1", "'D1' is no runway to cross"}, {"1", "A A1 cross", "Nothing is named behind"}};
  }

  @Test(dataProvider = "not_understood")
  public void what_is_not_understood_is_said(String from, String words, String why) {
    assertThat(ClearanceWords.read(PLAN, from, words)).isInstanceOfSatisfying(Heard.NotUnderstood.class,
        n -> assertThat(String.join(" ", n.faults())).contains(why));
  }

  @Test
  public void the_way_is_cut_into_its_places() {
    Way way = Way.of(PLAN, heard("1", "A D hold D1")).orElseThrow();
    assertThat(way.legs()).extracting(Way.Leg::place).containsExactly(Place.STAND, Place.APRON, Place.TURN,
        Place.STRAIGHT, Place.HOLDING, Place.CROSSING, Place.STRAIGHT, Place.TURN, Place.STRAIGHT, Place.HOLDING);
    assertThat(way.legs().get(4).cleared()).isFalse();
    assertThat(way.legs().get(3).remark()).contains("unlit");
    assertThat(Way.of(PLAN, heard("1", "A D hold D1 cross 18")).orElseThrow().legs())
        .filteredOn(l -> l.place() == Place.HOLDING).hasSize(1);
  }

  @Test
  public void a_type_is_told_of_its_speeds_turns_widths_weights_and_tips() {
    Rolling r = rolling("A D hold D1 cross 18", OptionalDouble.of(60));
    assertThat(r.places()).filteredOn(s -> s.leg().place() == Place.CROSSING).singleElement()
        .satisfies(s -> assertThat(s.may()).contains("no checklist"));
    assertThat(r.places()).filteredOn(s -> s.leg().place() == Place.TURN).allSatisfy(s -> {
      assertThat(s.kt()).isEqualTo(10);
      assertThat(s.words()).contains("14 m straight on, then 3.4 m past the line");
    });
    assertThat(String.join("\n", r.places().stream().flatMap(s -> s.cautions().stream()).toList()))
        .contains("15 m of pavement, 16 m wanted").contains("bears 30 t, the aircraft weighs 60.0 t")
        .contains("a mast: the wing tip passes at 1.0 m");
    assertThat(Rolling.notFor(PLAN, SHAPE, OptionalDouble.of(60))).containsExactly(
        "A: 15 m wide, 16 m wanted, bears 30 t, the aircraft weighs 60.0 t");
    assertThat(Rolling.notFor(PLAN, SHAPE, OptionalDouble.empty())).containsExactly("A: 15 m wide, 16 m wanted");
  }

  /** 40 s at 30 kt are 617 m: there are 1 000 m to the west and less to the east. */
  @Test
  public void the_control_check_is_made_where_it_is_straight_for_long_enough() {
    assertThat(rolling("A A1", OptionalDouble.empty()).controlCheck()).contains("On A, straight for 1000 m");
    assertThat(rolling("A D cross 18 D1", OptionalDouble.empty()).controlCheck()).contains("Standing: no straight");
    assertThat(Rolling.of(Way.of(PLAN, heard("1", "A A1")).orElseThrow(), PLAN, SHAPE, OptionalDouble.empty(),
        Optional.of("visibility 300 m")).controlCheck()).isEqualTo("Standing: visibility 300 m");
  }

  private static Rolling rolling(String words, OptionalDouble tonnes) {
    return Rolling.of(Way.of(PLAN, heard("1", words)).orElseThrow(), PLAN, SHAPE, tonnes, Optional.empty());
  }

  /** JTS is of the same opinion. */
  @Test
  public void a_crossing_is_one_for_a_second_library_too() {
    Random random = new Random(17);
    GeometryFactory jts = new GeometryFactory();
    List<Boolean> all = new ArrayList<>();
    IntStream.range(0, 20_000).forEach(n -> {
      double[] x = random.doubles(8, -100, 100).toArray();
      boolean crosses = jts.createLineString(new Coordinate[] {new Coordinate(x[0], x[1]), new Coordinate(x[2], x[3])})
          .crosses(jts.createLineString(new Coordinate[] {new Coordinate(x[4], x[5]), new Coordinate(x[6], x[7])}));
      assertThat(Way.Crossing.of(spot("F", x[0], x[1], Spot.Kind.POINT), spot("T", x[2], x[3], Spot.Kind.POINT),
          new Strip(List.of(MAIN), x[4], x[5], x[6], x[7], 30))).isEqualTo(crosses);
      all.add(crosses);
    });
    assertThat(all).contains(true, false);
  }
}
