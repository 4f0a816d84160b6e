package neatlanyard.formats.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.github.mivek.model.Metar;
import io.github.mivek.parser.MetarParser;
import java.time.Instant;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import neatlanyard.core.fleet.Outbound.LandingLimits;
import neatlanyard.core.weather.LandingWeather;
import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.StationReport;
import neatlanyard.core.weather.Trend;
import neatlanyard.core.weather.Wind;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class StationReportReaderTest {
  private static final Instant NOW = Instant.parse("2027-01-14T07:25:00Z");

  private static StationReport good(String text) {
    return StationReportReader.read(text, NOW).orThrow(text);
  }

  private static List<String> faults(String text) {
    return StationReportReader.read(text, NOW) instanceof Read.Bad<StationReport> bad
        ? bad.faults().stream().map(Fault::words).toList()
        : List.of();
  }

  /** ICAO Annex 3, appendix 3, example A3-1 (from memory). */
  @Test
  public void routine_report_of_the_annex() {
    StationReport r = good(
        "METAR YUDO 221630Z 24004MPS 0600 R12/1000U DZ FG SCT010 OVC020 17/16 Q1018 BECMG TL1700 0800 FG BECMG "
        + "AT1800 9999 NSW");
    assertThat(r.station()).isEqualTo("YUDO");
    assertThat(r.observed()).isEqualTo(Instant.parse("2027-01-22T16:30:00Z"));
    assertThat(r.wind()).contains(new Wind(OptionalInt.of(240), 8, OptionalInt.empty()));
    assertThat(r.visibilityM()).hasValue(600);
    assertThat(r.weather()).extracting(Phenomenon::words).containsExactly("drizzle", "fog");
    assertThat(r.clouds()).extracting(c -> c.amount() + c.baseFt().orElse(-1)).containsExactly("SCT1000", "OVC2000");
    assertThat(r.temperatureC()).hasValue(17);
    assertThat(r.qnhHpa()).hasValue(1018);
  }

  /** ICAO Annex 3, appendix 3, example A3-2 (from memory). */
  @Test
  public void special_report_of_the_annex() {
    StationReport r = good(
        "SPECI YUDO 151115Z 05025G37KT 3000 1200NE +TSRA BKN005CB 25/22 Q1008 TEMPO TL1200 0600 BECMG AT1200 8000 "
        + "NSW NSC");
    assertThat(r.wind()).contains(new Wind(OptionalInt.of(50), 25, OptionalInt.of(37)));
    assertThat(r.visibilityM()).hasValue(3000);
    assertThat(r.weather()).extracting(Phenomenon::words).containsExactly("heavy thunderstorm with rain");
    assertThat(r.clouds().getFirst().kind()).isEqualTo("CB");
  }

  /** Groups of the code form, WMO No. 306 FM 15 (from memory): each in a report of its own. */
  @DataProvider
  Object[][] forms() {
    return new Object[][] {
      {"QTRN 140720Z AUTO 00000KT CAVOK 05/M01 Q1030="},
      {"METAR COR QTRN 140720Z VRB02KT 9999NDV NCD 05/M01 Q1030 NOSIG"},
      {"METAR QTRN 140720Z 24012KT 210V270 9000 -SN FEW012 BKN025 M02/M04 Q1003 RESN RMK NOTHING DECODED HERE"},
      {"METAR QTRN 140720Z 18015G30KT 1 1/2SM R07/P2000N BR VV003 00/M00 A2992"},
      {"METAR QTRN 140720Z /////KT //// ////// 05/01 Q////"},
      {"METAR QTRN 140720Z AUTO /////KT //// // ////// ///// Q////"},
      {"METAR QTRN 140720Z AUTO 24012KT 9999 // //////CB 05/01 Q1003"},
      {"METAR QTRN 140720Z AUTO 24012KT Q1003"},
      {"METAR QTRN 140720Z 36008MPS 0350 R25L/0400V0700D FZFG VCSH SCT005TCU OVC008 M01/M01 Q0998 WS R25"},
    };
  }

  @Test(dataProvider = "forms")
  public void forms_that_belong(String text) {
    assertThat(faults(text)).as(text).isEmpty();
  }

  /** What no rule asks for is read by the crew all the same, and so is what a station has not observed. */
  @Test
  public void what_is_not_among_the_values_is_put_into_words() {
    StationReport r = good("METAR QTRN 140720Z 24012KT 210V270 9000 1200NE R25L/0400V0700D R07/P2000N R07/////  -SN "
        + "FEW012 M02/M04 Q1003 RESHSN WS R25L TEMPO 0600 FG RMK NOTHING");
    StationReportDetails d = StationReportDetails.of(r, NOW);
    assertThat(r.wind().orElseThrow().words()).isEqualTo("240° 12 kt, varying 210° to 270°");
    assertThat(d.sight()).containsExactly("1200 m to the north-east", "runway 25L: 400 to 700 m, falling",
        "runway 07: more than 2000 m, steady", "runway 07: visual range not reported");
    assertThat(d.unseen()).isEmpty();
    assertThat(d.later()).containsExactly("recent showers of snow", "wind shear: runway 25L", "trend TEMPO 0600 FG");
    StationReport blind = good("METAR QTRN 140720Z AUTO /////KT //// // ////// ///// Q//// NOSIG=");
    assertThat(StationReportDetails.of(blind, NOW).unseen()).containsExactly("visibility not reported",
        "weather not observed", "cloud not observed", "temperature not reported", "pressure setting not reported");
    assertThat(StationReportDetails.of(blind, NOW).later()).containsExactly("no significant change in two hours");
    assertThat(blind.weather()).isEmpty();
  }

  @Test
  public void ranges_and_trends_are_values() {
    StationReport r = good("METAR QTRN 140720Z 24012KT 0800 R25L/0400V0700D R07/P2000N R12/M0600FT FG OVC004 M02/M04 "
        + "Q1003 TEMPO FM0800 TL0900 30020G35KT 0300 FZFG VV001 BECMG AT1000 CAVOK NSW=");
    assertThat(r.ranges()).extracting(x -> x.runway() + " " + x.leastM().orElse(-1) + " " + x.bound())
        .containsExactly("25L 400 EXACT", "07 2000 OR_MORE", "12 182 OR_LESS");
    assertThat(r.trends()).extracting(Trend::text)
        .containsExactly("TEMPO FM0800 TL0900 30020G35KT 0300 FZFG VV001", "BECMG AT1000 CAVOK NSW");
    assertThat(r.trends().getFirst().wind().orElseThrow().words()).isEqualTo("300° 20 kt, gusting 35");
    assertThat(r.trends().getFirst().weather()).extracting(Phenomenon::words).containsExactly("freezing fog");
    assertThat(r.trends().getLast().visibilityM()).hasValue(10_000);
    assertThat(faults("METAR QTRN 140720Z 24012KT 9000 M02/M04 Q1003 TEMPO 0600 XX BECMG FM2561")).containsExactly(
        "line 1, column 58: 'XX' is not a group of a trend.",
        "line 1, column 67: 'FM2561' is not a group of a trend.");
    assertThat(faults("METAR QTRN 140720Z 24012KT 9000 M02/M04 Q1003 NOSIG TEMPO")).hasSize(1);
  }

  /** Each alone against landing limits of 500 ft and 1 500 m; what is so at times counts. */
  @DataProvider
  Object[][] landings() {
    return new Object[][] {
      {"9000 BKN008", ""}, {"9000 SCT003", ""}, {"1400 BKN008", "visibility 1 400 m, landing wants 1 500"},
      {"9000 BKN004", "ceiling 400 ft, landing wants 500"}, {"9000 VV004", "ceiling 400 ft, landing wants 500"},
      {"9000 R25/1200N BKN008", "runway 25 range 1 200 m, landing wants 1 500"}, {"9000 R25/P1400N BKN008", ""},
      {"9000 BKN008 TEMPO 0600 FG", "at times visibility 600 m, landing wants 1 500"},
      {"9000 BKN008 BECMG OVC002", "later ceiling 200 ft, landing wants 500"},
    };
  }

  @Test(dataProvider = "landings")
  public void held_against_landing_limits(String groups, String below) {
    String[] parts = groups.split("(?= TEMPO| BECMG)");
    StationReport r = good("METAR QTRN 140720Z 24012KT %s M02/M04 Q1003%s".formatted(
        parts[0], parts.length > 1 ? parts[1] : ""));
    assertThat(LandingWeather.of(r, new LandingLimits(500, 1_500)))
        .isEqualTo(new LandingWeather.Known(below.isEmpty() ? List.of() : List.of(below)));
  }

  @Test
  public void what_a_station_did_not_see_holds_no_limit() {
    assertThat(LandingWeather.of(good("METAR QTRN 140720Z AUTO 24012KT 9000 BKN/// 05/01 Q1003"),
        new LandingLimits(500, 1_500))).isEqualTo(new LandingWeather.Unknown("the ceiling"));
    assertThat(LandingWeather.of(good("METAR QTRN 140720Z AUTO 24012KT //// 05/01 Q1003"),
        new LandingLimits(500, 1_500))).isEqualTo(new LandingWeather.Unknown("the visibility"));
  }

  @Test
  public void units_both_ways() {
    assertThat(good("QTRN 140720Z 18015G30KT 1 1/2SM BR VV003 00/M00 A2992").visibilityM()).hasValue(2414);
    assertThat(good("QTRN 140720Z 18015KT 1/4SM FG VV003 00/M00 A2992").visibilityM()).hasValue(402);
    assertThat(good("QTRN 140720Z 18015KT CAVOK 00/M00 A2992").qnhHpa().orElse(0)).isCloseTo(1013.2, within(0.1));
    assertThat(good("QTRN 140720Z 36010MPS CAVOK 00/M00 Q0998").wind().orElseThrow().speedKt()).isEqualTo(19);
  }

  @Test
  public void every_fault_is_named_with_its_place() {
    assertThat(faults("METAR QTRN 322590Z 40012KT 9000 -XX FEW012 M02/M04 Q9003")).containsExactly(
        "line 1, column 12: '322590Z': 32 is more than 31 days.",
        "line 1, column 14: '322590Z': 25 is more than 23 hours.",
        "line 1, column 16: '322590Z': 90 is more than 59 minutes.",
        "line 1, column 20: '40012KT': 400 is more than 360 degrees.",
        "line 1, column 33: '-XX' is not a group of the code form.",
        "line 1, column 52: 'Q9003': a pressure setting lies between 850 and 1 100 hPa.");
    assertThat(faults("METAR QTRN 140720Z 24012KT")).hasSize(3).allMatch(f -> f.contains("It lacks"));
    assertThat(faults("METAR QTRN 140720Z 24012KT 9000 M02/M04 Q1003 FEW012")).containsExactly(
        "line 1, column 47: 'FEW012' looks like cloud, which stands earlier in a report or stands there already.");
    assertThat(faults("hello")).isNotEmpty();
    assertThat(faults("")).isNotEmpty();
    assertThat(faults("QTRN 140720Z 18015KT 1/0SM FG VV003 00/M00 A2992")).isNotEmpty();
  }

  /** A report from before midnight on the last of the month belongs to the month before. */
  @Test
  public void the_day_of_the_month_is_the_nearest() {
    Instant newYear = Instant.parse("2027-01-01T00:10:00Z");
    StationReport r = StationReportReader.read("QTRN 312350Z 00000KT CAVOK 05/01 Q1030", newYear).orThrow("");
    assertThat(r.observed()).isEqualTo(Instant.parse("2026-12-31T23:50:00Z"));
  }

  /** Second opinion: a METAR library, over random reports of the code form. */
  @Test
  public void agrees_with_a_library() {
    Random random = new Random(306);
    String[] weathers = {"", "-SN", "+RA", "FZFG", "SHSN", "-DZ", "BR", "TSRA"};
    String[] amounts = {"FEW", "SCT", "BKN", "OVC"};
    for (int i = 0; i < 200; i++) {
      int direction = random.nextInt(36) * 10 + 10;
      int speed = 1 + random.nextInt(60);
      boolean gusts = random.nextBoolean();
      int visibility = 100 * (1 + random.nextInt(90));
      String weather = weathers[random.nextInt(weathers.length)];
      int base = 1 + random.nextInt(200);
      int air = random.nextInt(60) - 30;
      int dew = air - random.nextInt(15);
      int qnh = 960 + random.nextInt(90);
      String body = "%03d%02d%sKT %04d %s %s%03d %s/%s Q%04d".formatted(
          direction, speed, gusts ? "G%02d".formatted(speed + 10) : "", visibility, weather,
          amounts[random.nextInt(amounts.length)], base, celsius(air), celsius(dew), qnh);
      String text = ("QTRN 140720Z " + body).replace("  ", " ");
      StationReport ours = good(text);
      Metar theirs = MetarParser.getInstance().parse(text);
      Wind wind = ours.wind().orElseThrow();
      assertThat(wind.directionDeg().orElse(-1)).as(text).isEqualTo(theirs.getWind().getDirectionDegrees());
      assertThat(wind.speedKt()).as(text).isEqualTo(theirs.getWind().getSpeed());
      assertThat(wind.gustKt().orElse(0)).as(text).isEqualTo(gusts ? theirs.getWind().getGust() : 0);
      assertThat(ours.visibilityM().orElse(0) + "m").as(text).isEqualTo(theirs.getVisibility().getMainVisibility());
      assertThat(ours.temperatureC().orElse(99)).as(text).isEqualTo(theirs.getTemperature());
      assertThat(ours.dewPointC().orElse(99)).as(text).isEqualTo(theirs.getDewPoint());
      assertThat(ours.qnhHpa().orElse(0)).as(text).isCloseTo(theirs.getAltimeter(), within(0.5));
      assertThat(ours.weather()).as(text).hasSize(theirs.getWeatherConditions().size());
      assertThat(ours.clouds().getFirst().baseFt().orElse(0)).as(text)
          .isEqualTo(theirs.getClouds().getFirst().getHeight());
    }
  }

  private static String celsius(int c) {
    return (c < 0 ? "M" : "") + "%02d".formatted(Math.abs(c));
  }
}
