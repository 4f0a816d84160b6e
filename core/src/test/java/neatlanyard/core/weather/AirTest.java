package neatlanyard.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class AirTest {
  /** US Standard Atmosphere 1976, as in its tables by feet (values from memory). */
  @DataProvider
  Object[][] standard() {
    return new Object[][] {{0, 1013.25, 15.0}, {5_000, 843.1, 5.1}, {10_000, 696.8, -4.8}, {30_000, 300.9, -44.4}};
  }

  @Test(dataProvider = "standard")
  public void the_standard_atmosphere(double ft, double hpa, double celsius) {
    assertThat(Air.pressureHpa(ft)).isCloseTo(hpa, within(0.05));
    assertThat(Air.standardC(ft)).isCloseTo(celsius, within(0.05));
    assertThat(Air.altitudeFt(hpa)).isCloseTo(ft, within(5.0));
  }

  /** 11 km: 226.32 hPa, ICAO Doc 7488 (value from memory). */
  @Test
  public void the_tropopause() {
    assertThat(Air.pressureHpa(11_000 / 0.3048)).isCloseTo(226.32, within(0.01));
  }

  /** By definition; and about 27 ft a hectopascal near the ground, 118 ft a degree of temperature. */
  @Test
  public void altitudes_of_an_airfield() {
    Random random = new Random(15);
    for (int i = 0; i < 1_000; i++) {
      double elevation = random.nextDouble(-500, 9_000);
      assertThat(Air.at(elevation, 1013.25, 0).pressureAltitudeFt()).isCloseTo(elevation, within(0.01));
      Air standard = new Air(elevation, Air.standardC(elevation));
      assertThat(standard.densityAltitudeFt()).as("in standard air").isCloseTo(elevation, within(0.5));
      assertThat(standard.deviationC()).isCloseTo(0, within(1e-9));
    }
    assertThat(Air.at(31, 1003, -2).pressureAltitudeFt()).isCloseTo(31 + 10.25 * 27.4, within(3.0));
    double warmer = new Air(0, 25).densityAltitudeFt();
    assertThat(warmer).isCloseTo(10 * 118.8, within(40.0));
  }

  /** ICAO Doc 8168, the table of corrections at 1 000 ft above the station, in feet (values from memory). */
  @DataProvider
  Object[][] cold() {
    return new Object[][] {{-10, 100}, {-20, 140}, {-30, 190}, {-40, 240}};
  }

  @Test(dataProvider = "cold")
  public void minimum_altitudes_are_raised_in_the_cold(int celsius, int ft) {
    assertThat(ColdCorrection.roundedFt(1_000, 0, celsius)).isEqualTo(ft);
  }

  /** About 4 % of the height for 10 °C below standard (common practice, no source). */
  @Test
  public void nothing_is_added_when_it_is_not_colder() {
    assertThat(ColdCorrection.ft(1_000, 0, 15)).isZero();
    assertThat(ColdCorrection.ft(0, 0, -40)).isZero();
    assertThat(ColdCorrection.ft(1_000, 0, 5)).isCloseTo(40, within(5.0));
    assertThat(ColdCorrection.ft(2_000, 500, -20)).isGreaterThan(2 * ColdCorrection.ft(1_000, 500, -20));
  }

  /** FAA-H-8083-25, wind component chart: 60° off at 20 kt is 10 along and 17.3 across; 30° off the other way. */
  @Test
  public void wind_parts() {
    WindParts sixty = WindParts.of(300, 20, 240);
    assertThat(sixty.alongKt()).isCloseTo(10, within(0.01));
    assertThat(sixty.acrossKt()).isCloseTo(17.32, within(0.01));
    WindParts thirty = WindParts.of(330, 20, 360);
    assertThat(thirty.alongKt()).isCloseTo(17.32, within(0.01));
    assertThat(thirty.acrossKt()).as("from the left").isCloseTo(-10, within(0.01));
    assertThat(WindParts.of(180, 7, 360).tailKt()).isCloseTo(7, within(1e-9));
  }

  /** From the other end the same wind is the same across, the other way round; and its length is the wind's. */
  @Test
  public void from_the_other_end_it_is_the_other_way_round() {
    Random random = new Random(16);
    for (int i = 0; i < 1_000; i++) {
      double from = random.nextInt(361);
      double speed = random.nextInt(60);
      double bearing = random.nextDouble(360);
      WindParts one = WindParts.of(from, speed, bearing);
      WindParts other = WindParts.of(from, speed, Bearing.within(bearing + 180));
      assertThat(other.alongKt()).isCloseTo(-one.alongKt(), within(1e-9));
      assertThat(other.acrossKt()).isCloseTo(-one.acrossKt(), within(1e-9));
      assertThat(Math.hypot(one.alongKt(), one.acrossKt())).isCloseTo(speed, within(1e-9));
    }
  }

  /** East is least, west is best; and there and back is the same. */
  @Test
  public void true_and_magnetic() {
    assertThat(Bearing.magnetic(68, -2)).isEqualTo(70);
    assertThat(Bearing.magnetic(1, 3)).isEqualTo(358);
    assertThat(Bearing.fromMagnetic(Bearing.magnetic(359.5, -2.4), -2.4)).isCloseTo(359.5, within(1e-9));
    assertThat(Bearing.words(0)).isEqualTo("360°");
    assertThat(Bearing.words(359.6)).isEqualTo("360°");
    assertThat(Bearing.between(350, 10)).isEqualTo(20);
    assertThat(Bearing.between(10, 350)).isEqualTo(-20);
  }
}
