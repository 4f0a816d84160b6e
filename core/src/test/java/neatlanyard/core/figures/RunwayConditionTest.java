package neatlanyard.core.figures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import neatlanyard.core.figures.RunwayCondition.Third;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.weather.Wind;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class RunwayConditionTest {
  private static final OptionalInt NONE = OptionalInt.empty();

  private static Third third(Contaminant what, int depthMm) {
    return new Third(NONE, what, OptionalInt.of(depthMm), NONE);
  }

  /** ICAO Doc 9981 and FAA AC 25-31, the matrix of codes (values from memory). */
  @DataProvider
  Object[][] matrix() {
    return new Object[][] {
      {Contaminant.DRY, 0, 0, 6}, {Contaminant.WET, 0, 5, 5}, {Contaminant.FROST, 0, -5, 5},
      {Contaminant.WATER, 3, 5, 5}, {Contaminant.WATER, 4, 5, 2}, {Contaminant.SLUSH, 3, 1, 5},
      {Contaminant.SLUSH, 4, 1, 2}, {Contaminant.DRY_SNOW, 3, -5, 5}, {Contaminant.DRY_SNOW, 10, -5, 3},
      {Contaminant.WET_SNOW, 4, 0, 3}, {Contaminant.COMPACTED_SNOW, 0, -15, 4},
      {Contaminant.COMPACTED_SNOW, 0, -14, 3}, {Contaminant.SLIPPERY_WET, 0, 8, 3}, {Contaminant.ICE, 0, -5, 1},
      {Contaminant.WET_ICE, 0, 0, 0},
    };
  }

  @Test(dataProvider = "matrix")
  public void the_codes(Contaminant what, int depthMm, int celsius, int code) {
    RunwayCondition.Holding holding = new RunwayCondition(List.of(third(what, depthMm)), Optional.empty())
        .holding(OptionalInt.of(celsius));
    assertThat(holding.code()).isEqualTo(code);
  }

  @Test
  public void the_worst_third_decides_and_a_pilot_can_only_make_it_worse() {
    List<Third> thirds = List.of(third(Contaminant.WET, 0), third(Contaminant.WET, 0), third(Contaminant.DRY_SNOW, 8));
    RunwayCondition.Holding holding = new RunwayCondition(thirds, Optional.of(BrakingAction.GOOD))
        .holding(OptionalInt.of(-3));
    assertThat(holding.code()).isEqualTo(3);
    assertThat(holding.state()).isEqualTo(RunwayState.SNOW);
    RunwayCondition.Holding poor = new RunwayCondition(thirds, Optional.of(BrakingAction.POOR))
        .holding(OptionalInt.of(-3));
    assertThat(poor.code()).isEqualTo(1);
    assertThat(poor.state()).isEqualTo(RunwayState.ICE);
    assertThat(poor.arithmetic()).contains("A pilot reported braking poor: code 1 in place of 3");
  }

  @Test
  public void a_report_better_than_what_lies_there_is_not_believed() {
    Third said = new Third(OptionalInt.of(5), Contaminant.SLUSH, OptionalInt.of(6), NONE);
    RunwayCondition.Holding holding = new RunwayCondition(List.of(said), Optional.empty()).holding(NONE);
    assertThat(holding.code()).isEqualTo(2);
    assertThat(holding.arithmetic()).first().asString().endsWith("5 was reported, the lower one counts");
    Third less = new Third(OptionalInt.of(2), Contaminant.WET, NONE, NONE);
    assertThat(new RunwayCondition(List.of(less), Optional.empty()).holding(NONE).state())
        .as("downgraded by the airfield").isEqualTo(RunwayState.SLUSH);
  }

  @Test
  public void a_quarter_or_less_counts_as_bare() {
    Third patches = new Third(NONE, Contaminant.ICE, NONE, OptionalInt.of(25));
    assertThat(new RunwayCondition(List.of(patches), Optional.empty()).holding(NONE).code()).isEqualTo(6);
    Third more = new Third(NONE, Contaminant.ICE, NONE, OptionalInt.of(26));
    assertThat(new RunwayCondition(List.of(more), Optional.empty()).holding(NONE).code()).isEqualTo(1);
    assertThatThrownBy(() -> new RunwayCondition(List.of(more, more), Optional.empty()))
        .hasMessageContaining("three thirds");
  }

  private static Runway.End end(String name, double bearing) {
    return new Runway.End(new RunwayName(name), bearing, new Runway.Declared(2_000, 2_000, 2_000, 2_000), 0,
        List.of(), List.of(), "", "");
  }

  @Test
  public void the_worst_wind_that_a_report_allows() {
    RunwayWind gusts = RunwayWind.of(end("36", 0), new Wind(OptionalInt.of(120), 10, OptionalInt.of(20)));
    assertThat(gusts.tailKt()).as("a gust counts from behind").isCloseTo(10, within(1e-9));
    assertThat(gusts.headKt()).isEqualTo(-10);
    assertThat(gusts.crossKt()).isCloseTo(17.32, within(0.01));
    RunwayWind ahead = RunwayWind.of(end("18", 180), new Wind(OptionalInt.of(180), 10, OptionalInt.of(20)));
    assertThat(ahead.headKt()).as("not from ahead").isEqualTo(10);
    RunwayWind varies = RunwayWind.of(end("18", 180), new Wind(OptionalInt.of(200), 10, OptionalInt.of(20),
        Optional.of(new Wind.Sector(170, 290))));
    assertThat(varies.headKt()).as("290 lies behind the beam: 20 kt gusting, 20 cos 110").isEqualTo(-7);
    assertThat(varies.crossKt()).as("all of the gust from square across, 270").isCloseTo(20, within(1e-9));
    assertThat(varies.acrossWords()).isEqualTo("20 kt across from either side");
    RunwayWind variable = RunwayWind.of(end("18", 180), new Wind(NONE, 4, NONE));
    assertThat(variable.headKt()).isEqualTo(-4);
    assertThat(variable.crossKt()).isEqualTo(4);
    assertThat(RunwayWind.of(end("18", 180), new Wind(OptionalInt.of(0), 0, NONE)).headKt()).isZero();
    assertThat(new TowerWind(OptionalInt.of(70), 10, NONE).toTrue(-2).directionDeg()).hasValue(68);
  }

  @Test
  public void runways_are_named_by_their_other_end() {
    assertThat(new RunwayName("09L").reciprocal()).isEqualTo(new RunwayName("27R"));
    assertThat(new RunwayName("36").reciprocal()).isEqualTo(new RunwayName("18"));
    assertThat(new RunwayName("18C").reciprocal()).isEqualTo(new RunwayName("36C"));
    for (int i = 1; i <= 36; i++) {
      RunwayName name = new RunwayName("%02d".formatted(i));
      assertThat(name.reciprocal().reciprocal()).isEqualTo(name);
      assertThat(Math.abs(name.tens() - name.reciprocal().tens())).isEqualTo(18);
    }
    assertThatThrownBy(() -> new RunwayName("37")).isInstanceOf(IllegalArgumentException.class);
  }
}
