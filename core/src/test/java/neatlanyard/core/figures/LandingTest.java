package neatlanyard.core.figures;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import neatlanyard.core.figures.TakeoffTables.Gives;
import neatlanyard.core.figures.TakeoffTables.Key;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Outbound;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.StationReport;
import neatlanyard.core.weather.Wind;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class LandingTest {
  /** From 600 m with 10 t to 1 200 m with 20 t, and 20 m less for each knot from ahead. */
  private static final Grid WAY = new Grid(List.of(new Grid.Axis(Grid.Of.WEIGHT, new double[] {10_000, 20_000}),
      new Grid.Axis(Grid.Of.WIND, new double[] {-10, 10})), new double[] {800, 400, 1_400, 1_000});

  private static TypeFigures type(OptionalInt gravel) {
    TakeoffTables tables = new TakeoffTables(Map.of(new Key(Gives.LANDING, "30", Optional.empty()), WAY));
    return new TypeFigures(new TypeId("small"), "1", new Loading(Map.of(), new Loading.Chord(0, 1),
        new Loading.Most(0, 0, 0, 0), List.of(), List.of(), List.of(), 0, List.of(), List.of(), Optional.empty()),
        List.of(new WindLimits(Map.of(RunwayState.DRY, 20, RunwayState.WET, 15), 10, "Limits of the type")),
        new Icing(0, 0), 0, new TakeoffType(tables, 2, 0, 0, 0, 0, 0, false, List.of(), 0, false, gravel, 0),
        Optional.of("30"));
  }

  private static Airfield field(Runway.Surface surface, int ldaM) {
    return new Airfield(new AirfieldId("QAAA"), "Alder", 60, 0, 0, ZoneOffset.UTC, 0, List.of(new Runway(30, surface,
        List.of(end("36", 360, ldaM), end("18", 180, ldaM)))), Outbound.NONE, Optional.empty(), Optional.empty());
  }

  private static Runway.End end(String name, double bearing, int ldaM) {
    return new Runway.End(new RunwayName(name), bearing, new Runway.Declared(2_000, 2_000, 2_000, ldaM), 0, List.of(),
        List.of(), "", "");
  }

  private static StationReport report(int fromDeg, int kt, boolean rain) {
    return new StationReport("", "QAAA", Instant.EPOCH,
        Optional.of(new Wind(OptionalInt.of(fromDeg), kt, OptionalInt.empty())), OptionalInt.empty(),
        rain ? List.of(new Phenomenon(Phenomenon.Intensity.MODERATE, false,
        Phenomenon.Descriptor.NONE, List.of(Phenomenon.Kind.RA))) : List.of(),
        List.of(), OptionalInt.of(15), OptionalInt.of(5), OptionalDouble.of(1_013.25));
  }

  /**
   * By hand, 1 500 m to land on. Dry, 60 per cent of it (14 CFR 121.195(b)): 900 m, so 15 000 kg. Wet, 1 500 / 1.15 of
   * that ((d)): 782.6 m, so 13 043 kg. Five knots from ahead are worth 100 m, 1 666 kg; gravel 10 per cent.
   */
  @DataProvider
  public Object[][] landings() {
    return new Object[][] {
      {0, false, Runway.Surface.PAVED, 15_000}, {0, true, Runway.Surface.PAVED, 13_043},
      {5, false, Runway.Surface.PAVED, 16_666}, {0, false, Runway.Surface.GRAVEL, 13_636},
    };
  }

  @Test(dataProvider = "landings")
  public void the_most_to_land_with_stops_within_its_share_of_the_runway(
      int kt, boolean rain, Runway.Surface surface, int mostKg) {
    Landing landing = Landing.of(type(OptionalInt.of(10)), field(surface, 1_500), report(360, kt, rain)).orElseThrow();
    assertThat(landing.ends().getFirst().mostKg()).isEqualTo(mostKg);
    assertThat(landing.ends().getFirst().end().name()).isEqualTo(new RunwayName("36"));
    assertThat(landing.limit(mostKg)).hasValueSatisfying(l -> assertThat(l.held()).isTrue());
    assertThat(landing.limit(mostKg + 1)).hasValueSatisfying(l -> {
      assertThat(l.held()).isFalse();
      assertThat(l.words()).contains("to land with at Alder", "on 36, 1 500 m to land on");
    });
  }

  @Test
  public void what_cannot_be_known_or_used_is_said_and_never_taken_for_good() {
    TypeFigures small = type(OptionalInt.empty());
    assertThat(Landing.of(small, field(Runway.Surface.GRAVEL, 1_500), report(360, 0, false)).orElseThrow().words())
        .isEqualTo("No runway is long enough, or the wind is over a limit on all.");
    assertThat(Landing.of(small, field(Runway.Surface.PAVED, 900), report(360, 0, false)).orElseThrow().limit(1))
        .hasValueSatisfying(l -> assertThat(l.held()).isFalse());
    assertThat(Landing.of(small, field(Runway.Surface.PAVED, 1_500), report(90, 21, false)).orElseThrow().ends())
        .as("across").isEmpty();
    StationReport unsaid = new StationReport("", "QAAA", Instant.EPOCH, Optional.empty(), OptionalInt.empty(),
        List.of(), List.of(), OptionalInt.empty(), OptionalInt.empty(), OptionalDouble.empty());
    Landing unknown = Landing.of(small, field(Runway.Surface.PAVED, 1_500), unsaid).orElseThrow();
    assertThat(unknown.limit(1)).isEmpty();
    assertThat(unknown.words()).contains("not reported");
  }
}
