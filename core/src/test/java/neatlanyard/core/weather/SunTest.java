package neatlanyard.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Outbound;
import org.shredzone.commons.suncalc.SunPosition;
import org.shredzone.commons.suncalc.SunTimes;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class SunTest {
  private static Airfield at(double latitudeDeg, double longitudeDeg) {
    return new Airfield(new AirfieldId("QXXX"), "Somewhere", latitudeDeg, longitudeDeg, 0, ZoneOffset.UTC, 0,
        List.of(), Outbound.NONE, Optional.empty(), Optional.empty());
  }

  /** J. Meeus, Astronomical Algorithms, example 25.a: declination −7.785 07° (value from memory). */
  @Test
  public void declination_of_the_textbook_example() {
    assertThat(Sun.declinationDeg(Instant.parse("1992-10-13T00:00:00Z"))).isCloseTo(-7.78507, within(0.001));
  }

  /**
   * Sunrise and sunset at London on the solstices of 2024 as published in almanacs, to the minute (values from
   * memory).
   */
  @DataProvider
  Object[][] published() {
    return new Object[][] {
      {"2024-06-20T00:00:00Z", "2024-06-20T03:43:00Z", "2024-06-20T20:21:00Z"},
      {"2024-12-21T00:00:00Z", "2024-12-21T08:04:00Z", "2024-12-21T15:53:00Z"},
    };
  }

  @Test(dataProvider = "published")
  public void rises_and_sets_at_published_times(String day, String rise, String set) {
    Airfield london = at(51.507, -0.128);
    Instant up = Sun.nextPassing(Instant.parse(day), london, Sun.RISE_DEG).orElseThrow();
    Instant down = Sun.nextPassing(up.plusSeconds(3_600), london, Sun.RISE_DEG).orElseThrow();
    assertThat(Duration.between(up, Instant.parse(rise)).abs()).isLessThan(Duration.ofMinutes(2));
    assertThat(Duration.between(down, Instant.parse(set)).abs()).isLessThan(Duration.ofMinutes(2));
  }

  /** Second opinion: commons-suncalc, at random places and times of this century. */
  @Test
  public void stands_where_an_astronomy_library_says() {
    Random random = new Random(46);
    for (int i = 0; i < 3_000; i++) {
      Instant t = Instant.parse("2000-01-01T00:00:00Z").plusSeconds((long) (random.nextDouble() * 3_155_760_000L));
      double lat = random.nextDouble() * 170 - 85;
      double lon = random.nextDouble() * 360 - 180;
      double theirs = SunPosition.compute().on(t).at(lat, lon).execute().getTrueAltitude();
      assertThat(Sun.elevationDeg(t, lat, lon)).as("%s at %s, %s", t, lat, lon).isCloseTo(theirs, within(0.2));
    }
  }

  /** Second opinion: the end of the morning's darkness at Ternholm through a year, against civil dawn there. */
  @Test
  public void darkness_ends_at_civil_dawn() {
    Airfield ternholm = at(61.42, 2.15);
    for (int day = 0; day < 365; day += 7) {
      Instant midnight = Instant.parse("2027-01-01T00:00:00Z").plus(Duration.ofDays(day));
      ZonedDateTime theirs = SunTimes.compute().on(midnight).utc().at(61.42, 2.15)
          .twilight(SunTimes.Twilight.CIVIL).oneDay().execute().getRise();
      if (theirs == null || !Sun.dark(midnight, ternholm)) {
        continue; // In summer it does not get dark there.
      }
      Instant ours = Sun.nextPassing(midnight, ternholm, Sun.DARK_BELOW_DEG).orElseThrow();
      assertThat(Duration.between(ours, theirs.toInstant()).abs()).as("day %d", day).isLessThan(Duration.ofMinutes(3));
      assertThat(Sun.dark(ours.minusSeconds(60), ternholm)).isTrue();
      assertThat(Sun.dark(ours.plusSeconds(60), ternholm)).isFalse();
    }
  }
}
