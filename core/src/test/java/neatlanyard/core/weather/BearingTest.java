package neatlanyard.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import neatlanyard.core.figures.TowerWind;
import org.locationtech.jts.algorithm.Angle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** True and magnetic: what a report says against what a runway's number and the tower say. */
public class BearingTest {
  private static final Random RANDOM = new Random(360);

  /** East is least, west is best (FAA-H-8083-25, variation). */
  @DataProvider
  Object[][] variations() {
    return new Object[][] {{360, 10, 350}, {360, -10, 10}, {5, 9, 356}, {355, -9, 4}, {180, 0, 180}, {90, 0.5, 89.5}};
  }

  @Test(dataProvider = "variations")
  public void magnetic_from_true(double trueDeg, double variation, double magnetic) {
    assertThat(Bearing.magnetic(trueDeg, variation)).isCloseTo(magnetic, within(1e-9));
    assertThat(Bearing.between(Bearing.fromMagnetic(magnetic, variation), trueDeg)).isCloseTo(0, within(1e-9));
  }

  /** A second library: the compass turned by the variation, as a turn of the plane, clockwise as bearings go. */
  @Test
  public void is_a_turn_of_the_compass() {
    for (int i = 0; i < 2_000; i++) {
      double bearing = RANDOM.nextDouble(-720, 720);
      double variation = RANDOM.nextDouble(-180, 180);
      Coordinate north = new Coordinate(0, 1);
      Coordinate truly = turned(north, bearing);
      Coordinate magnetically = turned(north, Bearing.magnetic(bearing, variation));
      assertThat(turned(magnetically, variation).distance(truly)).isCloseTo(0, within(1e-9));
      double other = RANDOM.nextDouble(-720, 720);
      assertThat(Math.abs(Bearing.between(bearing, other))).isCloseTo(Math.toDegrees(Angle.diff(
          Angle.normalize(Math.toRadians(bearing)), Angle.normalize(Math.toRadians(other)))), within(1e-6));
      assertThat(Bearing.within(bearing)).isBetween(0.0, Math.nextDown(360.0));
    }
  }

  private static Coordinate turned(Coordinate from, double clockwiseDeg) {
    return AffineTransformation.rotationInstance(-Math.toRadians(clockwiseDeg)).transform(from, new Coordinate());
  }

  /** The wind on a runway is the same whichever north both are counted from, but for the half degree it is rounded. */
  @Test
  public void the_wind_on_a_runway_knows_no_north() {
    for (int i = 0; i < 2_000; i++) {
      double variation = RANDOM.nextDouble(-30, 30);
      double runway = RANDOM.nextDouble(0, 360);
      int from = RANDOM.nextInt(360);
      int kt = RANDOM.nextInt(60);
      WindParts magnetic = WindParts.of(from, kt, Bearing.magnetic(runway, variation));
      Wind wind = new TowerWind(OptionalInt.of(from), kt, OptionalInt.empty()).toTrue(variation);
      WindParts truly = WindParts.of(wind.directionDeg().orElseThrow(), kt, runway);
      double rounded = kt * Math.toRadians(0.5) + 1e-9;
      assertThat(truly.alongKt()).isCloseTo(magnetic.alongKt(), within(rounded));
      assertThat(truly.acrossKt()).isCloseTo(magnetic.acrossKt(), within(rounded));
    }
  }

  /** The sector of a varying wind: what lies in it, also across north, and the worst of it among a few directions. */
  @Test
  public void the_worst_of_a_sector_is_among_a_few_directions() {
    for (int i = 0; i < 500; i++) {
      int least = RANDOM.nextInt(361);
      int most = RANDOM.nextInt(361);
      double runway = RANDOM.nextDouble(0, 360);
      Wind.Sector sector = new Wind.Sector(least, most);
      Wind wind = new Wind(OptionalInt.of(least), 20, OptionalInt.empty(), Optional.of(sector));
      double tail = Double.NEGATIVE_INFINITY;
      double cross = 0;
      for (double d = 0; d <= Bearing.within(most - least); d += 0.25) {
        WindParts parts = WindParts.of(least + d, 20, runway);
        tail = Math.max(tail, -parts.alongKt());
        cross = Math.max(cross, parts.crossKt());
      }
      assertThat(wind.worst(runway).map(x -> -WindParts.of(x, 20, runway).alongKt()).max().orElseThrow())
          .isCloseTo(tail, within(0.01)).isGreaterThanOrEqualTo(tail - 1e-9);
      assertThat(wind.worst(runway).map(x -> WindParts.of(x, 20, runway).crossKt()).max().orElseThrow())
          .isCloseTo(cross, within(0.01)).isGreaterThanOrEqualTo(cross - 1e-9);
    }
  }
}
