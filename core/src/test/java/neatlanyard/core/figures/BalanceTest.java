package neatlanyard.core.figures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import neatlanyard.core.figures.Loading.Chord;
import neatlanyard.core.figures.Loading.Corner;
import neatlanyard.core.figures.Loading.Most;
import neatlanyard.core.figures.Loading.Place;
import neatlanyard.core.figures.Loading.Trim;
import neatlanyard.core.figures.Loading.Weighing;
import neatlanyard.core.fleet.TailId;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.testng.annotations.Test;

public class BalanceTest {
  private static final TailId TAIL = new TailId("TL-DVA");

  private static Loading loading(List<Corner> envelope) {
    return new Loading(
        Map.of(TAIL, new Weighing(10_000, 10)), new Chord(9, 2), new Most(15_000, 18_000, 17_800, 17_000),
        List.of(new Place("front", "Front cabin", 6, 2_000)), List.of(new Place("aft", "Aft hold", 16, 500)),
        List.of(new Place("left", "Left tank", 10.5, 1_500), new Place("right", "Right tank", 10.5, 1_500)), 80,
        envelope, List.of(new Trim(10, 5, 4, 6), new Trim(70, 1, 0, 2)),
        Optional.of(new Loading.ByHand(2, 300)));
  }

  private static final List<Corner> WIDE = List.of(
      new Corner(0, 5_000), new Corner(90, 5_000), new Corner(90, 20_000), new Corner(0, 20_000));

  private static LoadSheet sheet(double statedKg, double statedPercent, Map<String, Double> holds) {
    return new LoadSheet("Flight 1", TAIL, LocalDate.EPOCH, 1, new LoadSheet.Stated(statedKg, statedPercent,
        OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty()),
        Optional.of(new LoadSheet.Load(Map.of("front", 10), holds)), Map.of("left", 1_000.0, "right", 1_000.0), 100,
        600, LastMinuteChange.NONE);
  }

  /** FAA-H-8083-1B chapter 3: leading edge at 144, chord 62 inches, centre at 161 is 27.4 % (from memory). */
  @Test
  public void per_cent_of_the_chord() {
    assertThat(new Chord(144, 62).percent(161)).isCloseTo(27.4, within(0.05));
    assertThat(new Chord(144, 62).armM(27.42)).isCloseTo(161, within(0.01));
  }

  /** By hand: 10 000 × 10 + 800 × 6 + 400 × 16 = 111 200 kg·m over 11 200 kg is 9.929 m, 46.4 %. */
  @Test
  public void weights_and_centre_by_moments() {
    Balance balance = Balance.of(sheet(11_200, 46.4, Map.of("aft", 400.0)), loading(WIDE), OptionalDouble.of(13_350),
        200);
    assertThat(balance.zeroFuelKg().value()).isEqualTo(11_200);
    assertThat(balance.zeroFuelPercent().value()).isCloseTo(46.43, within(0.01));
    assertThat(balance.grossKg().value()).isEqualTo(13_200);
    assertThat(balance.takeoffKg().value()).isEqualTo(13_100);
    assertThat(balance.landingKg().value()).isEqualTo(12_500);
    // 1 900 kg of fuel are left at 10.5 m: (111 200 + 19 950) / 13 100 = 10.011 m, 50.6 %.
    assertThat(balance.takeoffPercent().value()).isCloseTo(50.57, within(0.01));
    assertThat(balance.trim()).hasValueSatisfying(t -> assertThat(t.setting()).isCloseTo(2.295, within(0.01)));
    assertThat(balance.limits()).allMatch(Limit::held);
  }

  @Test
  public void what_does_not_agree_is_said() {
    Balance balance = Balance.of(sheet(12_100, 46.4, Map.of("aft", 600.0, "roof", 40.0)), loading(WIDE),
        OptionalDouble.of(13_700), 200);
    assertThat(balance.limits().stream().filter(l -> !l.held()).map(Limit::words)).containsExactlyInAnyOrder(
        "Aft hold holds 600 kg, at most 500 kg.",
        "The type has no 'roof', where 40 kg are said to be.",
        "The sheet states 12 100 kg; what is on it comes to 11 400 kg: 700 kg apart.",
        "The sheet states 46.4 %; what is on it comes to 51.8 %: 5.4 % apart.",
        "The aircraft weighs itself at 13 700 kg, the sheet comes to 13 400 kg: 300 kg apart, at most 200 kg.");
  }

  /** Two more in front and 40 kg out of the hold: 111 200 + 960 − 640 kg·m over 11 320 kg is 9.852 m, 42.6 %. */
  @Test
  public void a_change_by_hand_counts_from_what_the_sheet_had() {
    LoadSheet sheet = sheet(11_200, 46.4, Map.of("aft", 400.0)).with(
        new LastMinuteChange(Map.of("front", 2), Map.of("aft", -40.0)));
    Balance balance = Balance.of(sheet, loading(WIDE), OptionalDouble.empty(), 200);
    assertThat(balance.zeroFuelKg().value()).isEqualTo(11_320);
    assertThat(balance.zeroFuelPercent().value()).isCloseTo(42.58, within(0.01));
    assertThat(balance.limits()).as("what it states is of before the change").allMatch(Limit::held);
    assertThat(balance.limits()).extracting(Limit::words).contains(
        "2 passengers and 200 kg in all by hand, at most 2 and 300 kg.");
    assertThat(sheet.change().words()).isEqualTo("front +2, hold aft \u221240 kg");
    Balance more = Balance.of(sheet.with(new LastMinuteChange(Map.of("front", 3), Map.of())), loading(WIDE),
        OptionalDouble.empty(), 200);
    assertThat(more.limits().stream().filter(l -> !l.held()).map(Limit::words)).containsExactly(
        "3 passengers and 240 kg in all by hand, at most 2 and 300 kg: ask for a new sheet.");
    assertThat(new LastMinuteChange(Map.of("front", -11, "roof", 1), Map.of("aft", -500.0)).faults(sheet,
        loading(WIDE))).containsExactly("10 sit in 'front'; 11 cannot leave it.", "The type has no cabin 'roof'.",
        "400 kg lie in 'aft'; 500 kg cannot come out of it.");
  }

  /** A limit is met at it, and passed one kilogram beyond. */
  @Test
  public void at_a_limit_and_over_it() {
    for (int over : new int[] {0, 1}) {
      LoadSheet sheet = new LoadSheet("Flight 1", TAIL, LocalDate.EPOCH, 1, new LoadSheet.Stated(15_000 + over, 30,
          OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty()), Optional.empty(),
          Map.of("left", 1_000.0, "right", 1_000.0), 0, 600, LastMinuteChange.NONE);
      Balance balance = Balance.of(sheet, loading(WIDE), OptionalDouble.empty(), 200);
      assertThat(balance.limits().stream().filter(l -> !l.held()).map(Limit::what).toList())
          .isEqualTo(over == 0 ? List.of() : List.of("zero-fuel weight"));
    }
  }

  /** Against JTS: random outlines that look from a middle in every direction, random points and all corners. */
  @Test
  public void inside_the_envelope_as_a_geometry_library_has_it() {
    Random random = new Random(35);
    GeometryFactory shapes = new GeometryFactory();
    int inside = 0;
    for (int i = 0; i < 300; i++) {
      int corners = 3 + random.nextInt(8);
      List<Corner> outline = IntStream.range(0, corners).mapToObj(k -> {
        double angle = 2 * Math.PI * k / corners;
        double far = random.nextDouble(0.3, 1);
        return new Corner(25 + 15 * far * Math.cos(angle), 50_000 + 20_000 * far * Math.sin(angle));
      }).toList();
      Loading loading = loading(outline);
      Polygon polygon = shapes.createPolygon(Stream.concat(outline.stream(), Stream.of(outline.getFirst()))
          .map(c -> new Coordinate(c.percent(), c.kg())).toArray(Coordinate[]::new));
      Envelope box = polygon.getEnvelopeInternal();
      for (int k = 0; k < 100; k++) {
        double percent = random.nextDouble(box.getMinX() - 1, box.getMaxX() + 1);
        double kg = random.nextDouble(box.getMinY() - 500, box.getMaxY() + 500);
        boolean covers = polygon.covers(shapes.createPoint(new Coordinate(percent, kg)));
        assertThat(loading.within(percent, kg)).isEqualTo(covers);
        inside += covers ? 1 : 0;
      }
      outline.forEach(c -> assertThat(loading.within(c.percent(), c.kg())).as("a corner").isTrue());
    }
    assertThat(inside).isBetween(5_000, 25_000);
  }

  @Test
  public void fuel_by_its_parts() {
    FuelPlan plan = new FuelPlan(Map.of(FuelPlan.Part.TRIP, 640.0, FuelPlan.Part.FINAL_RESERVE, 410.0,
        FuelPlan.Part.TAXI, 60.0, FuelPlan.Part.EXTRA, 200.0));
    assertThat(plan.least().value()).isEqualTo(1_110);
    assertThat(plan.least().arithmetic()).containsExactly(
        "taxi 60 kg + trip 640 kg + final reserve 410 kg = 1 110 kg");
    assertThat(plan.enough(1_110).held()).isTrue();
    assertThat(plan.enough(1_109).words()).isEqualTo("1 109 kg on board, 1 kg under the least, 1 110 kg.");
  }

  /** At the tolerance it holds, one kilogram beyond it does not, whichever has more. */
  @Test
  public void the_fuel_on_the_gauges_agrees_within_what_the_pack_allows() {
    assertThat(new GaugedFuel(2_060, 60).agrees(2_000).held()).isTrue();
    assertThat(new GaugedFuel(1_940, 60).agrees(2_000).held()).isTrue();
    assertThat(new GaugedFuel(2_061, 60).agrees(2_000).held()).isFalse();
    assertThat(new GaugedFuel(1_939, 60).agrees(2_000).words())
        .isEqualTo("1 939 kg on the gauges, 2 000 kg on the load sheet: 61 kg apart, at most 60 kg.");
  }
}
