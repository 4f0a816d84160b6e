package neatlanyard.core.figures;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import neatlanyard.core.figures.Holdover.Applied;
import neatlanyard.core.figures.Holdover.Result;
import neatlanyard.core.figures.Holdover.Row;
import neatlanyard.core.figures.Holdover.Standing;
import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.Phenomenon.Descriptor;
import neatlanyard.core.weather.Phenomenon.Intensity;
import neatlanyard.core.weather.Phenomenon.Kind;
import neatlanyard.core.weather.StationReport;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class HoldoverTest {
  private static final Instant BEGAN = Instant.parse("2027-01-14T07:20:00Z");
  private static final Applied APPLIED = new Applied("thick", "100/0", BEGAN);
  private static final Holdover TABLE = new Holdover("1", List.of(
      new Row("thick", "100/0", Falling.LIGHT_SNOW, -3, 0, 50, 95),
      new Row("thick", "100/0", Falling.SNOW, -3, 0, 28, 55),
      new Row("thick", "100/0", Falling.FROST, -3, 0, 200, 420)));

  private static Phenomenon falls(Intensity strength, Descriptor how, Kind... what) {
    return new Phenomenon(strength, false, how, List.of(what));
  }

  private static StationReport report(int celsius, Phenomenon... weather) {
    return new StationReport("", "QTRN", BEGAN, Optional.empty(), OptionalInt.of(9_999), List.of(weather), List.of(),
        OptionalInt.of(celsius), OptionalInt.empty(), OptionalDouble.empty());
  }

  private static final StationReport LIGHT = report(-2, falls(Intensity.LIGHT, Descriptor.NONE, Kind.SN));
  private static final StationReport MODERATE = report(-2, falls(Intensity.MODERATE, Descriptor.SH, Kind.SN));

  @Test
  public void from_the_beginning_of_the_last_application() {
    Result.Until until = (Result.Until) TABLE.of(APPLIED, List.of(LIGHT));
    assertThat(until.least()).isEqualTo("2027-01-14T08:10:00Z");
    assertThat(until.most()).isEqualTo("2027-01-14T08:55:00Z");
    assertThat(until.at(until.least().minusMillis(1))).isEqualTo(Standing.WITHIN);
    assertThat(until.at(until.least())).isEqualTo(Standing.LOOK);
    assertThat(until.at(until.most())).isEqualTo(Standing.OVER);
    assertThat(until.arithmetic()).containsExactly("thick 100/0 in light snow at −2 °C: 50 to 95 min");
  }

  /** Whatever the order, and better weather gives nothing back. */
  @Test
  public void the_shortest_since_then_holds() {
    StationReport frost = report(-1);
    for (List<StationReport> since : List.of(List.of(LIGHT, MODERATE, frost), List.of(frost, MODERATE, LIGHT))) {
      assertThat(((Result.Until) TABLE.of(APPLIED, since)).most()).isEqualTo("2027-01-14T08:15:00Z");
    }
    assertThat(TABLE.of(APPLIED, List.of(LIGHT, report(-2, falls(Intensity.HEAVY, Descriptor.NONE, Kind.SN)))))
        .isEqualTo(new Result.None(
        "The table has no time for thick 100/0 in precipitation that no table has a time for at −2 °C."));
    assertThat(TABLE.of(new Applied("thin", "100/0", BEGAN), List.of(LIGHT))).isInstanceOf(Result.None.class);
    assertThat(TABLE.of(APPLIED, List.of(report(-4)))).as("colder than any row").isInstanceOf(Result.None.class);
    assertThat(TABLE.of(APPLIED, List.of(report(3)))).isInstanceOf(Result.NoEnd.class);
    assertThat(TABLE.of(APPLIED, List.of())).isInstanceOf(Result.None.class);
  }

  @DataProvider
  Object[][] weather() {
    return new Object[][] {
      {1, falls(Intensity.LIGHT, Descriptor.NONE, Kind.RA), Falling.OTHER},
      {6, falls(Intensity.LIGHT, Descriptor.NONE, Kind.RA), Falling.NOTHING},
      {-1, falls(Intensity.LIGHT, Descriptor.FZ, Kind.RA), Falling.LIGHT_FREEZING_RAIN},
      {-1, falls(Intensity.MODERATE, Descriptor.FZ, Kind.RA), Falling.OTHER},
      {-1, falls(Intensity.MODERATE, Descriptor.FZ, Kind.DZ), Falling.FREEZING_DRIZZLE},
      {-1, falls(Intensity.MODERATE, Descriptor.FZ, Kind.FG), Falling.FREEZING_FOG},
      {-1, falls(Intensity.LIGHT, Descriptor.NONE, Kind.SN, Kind.PL), Falling.OTHER},
      {-1, falls(Intensity.LIGHT, Descriptor.NONE, Kind.SN, Kind.RA), Falling.OTHER},
      {-1, falls(Intensity.MODERATE, Descriptor.NONE, Kind.BR), Falling.FROST},
      {2, falls(Intensity.MODERATE, Descriptor.NONE, Kind.SN), Falling.SNOW},
      {2, new Phenomenon(Intensity.MODERATE, true, Descriptor.SH, List.of(Kind.SN)), Falling.NOTHING},
    };
  }

  @Test(dataProvider = "weather")
  public void what_falls(int celsius, Phenomenon what, Falling falling) {
    assertThat(Falling.of(report(celsius, what))).isEqualTo(falling);
  }
}
