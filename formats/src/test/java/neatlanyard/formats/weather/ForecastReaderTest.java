package neatlanyard.formats.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import neatlanyard.core.fleet.Outbound.LandingLimits;
import neatlanyard.core.weather.Forecast;
import neatlanyard.core.weather.Forecast.Change;
import neatlanyard.core.weather.Forecast.Kind;
import neatlanyard.core.weather.LandingForecast;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import org.testng.annotations.Test;

/** Forecasts in the code form. */
public class ForecastReaderTest {
  private static final Instant NOW = Instant.parse("2027-01-31T22:10:00Z");

  private static Forecast read(String text) {
    return ForecastReader.read(text, NOW).orThrow("forecast");
  }

  private static List<String> faults(String text) {
    return ForecastReader.read(text, NOW) instanceof Read.Bad<Forecast> bad
        ? bad.faults().stream().map(Fault::words).toList() : List.of();
  }

  /** The shape of the example of ICAO Annex 3, table A5-1, with an indicator nobody has; over the end of a month. */
  @Test
  public void each_group_is_read_with_its_time() {
    Forecast f = read("TAF QYUD 312200Z 3122/0118 13005MPS 9000 BKN020 BECMG 0106/0108 SCT015CB BKN020 "
        + "TEMPO 0108/0112 17007G12MPS 1000 TSRA SCT010CB BKN020 FM011230 15004MPS 9999 BKN020=");
    assertThat(f.station()).isEqualTo("QYUD");
    assertThat(f.issued()).isEqualTo("2027-01-31T22:00:00Z");
    assertThat(f.ends()).isEqualTo("2027-02-01T18:00:00Z");
    assertThat(f.first().visibilityM()).isEqualTo(OptionalInt.of(9_000));
    assertThat(f.first().wind().orElseThrow().speedKt()).isEqualTo(10);
    assertThat(f.changes()).extracting(Change::kind).containsExactly(Kind.BECOMING, Kind.AT_TIMES, Kind.FROM);
    Change storm = f.changes().get(1);
    assertThat(storm.begins()).isEqualTo("2027-02-01T08:00:00Z");
    assertThat(storm.what().wind().orElseThrow().gustKt()).isEqualTo(OptionalInt.of(23));
    assertThat(storm.text()).startsWith("TEMPO 0108/0112").endsWith("BKN020");
    assertThat(f.changes().get(2).ends()).as("to the end").isEqualTo(f.ends());
  }

  @Test
  public void likelihoods_the_hour_24_and_what_clears_are_read() {
    Forecast f = read("TAF AMD QTRN 312100Z 3121/0124 24008KT CAVOK TX02/0114Z TNM05/0106Z "
        + "PROB40 TEMPO 0101/0105 0400 FZFG VV001 PROB30 0105/0107 0800 BECMG 0110/0112 NSW NSC");
    assertThat(f.ends()).isEqualTo("2027-02-02T00:00:00Z");
    assertThat(f.first().clouds()).contains(List.of());
    assertThat(f.changes()).extracting(Change::percent)
        .containsExactly(OptionalInt.of(40), OptionalInt.of(30), OptionalInt.empty());
    assertThat(f.changes().getLast().what().clouds()).isEqualTo(Optional.of(List.of()));
    assertThat(LandingForecast.against(f, new LandingLimits(200, 550)))
        .extracting(LandingForecast.Spell::words, LandingForecast.Spell::always).containsExactly(
        tuple("40 % likely at times ceiling 100 ft, landing wants 200; visibility 400 m, landing wants 550", false));
  }

  @Test
  public void what_does_not_belong_is_named_with_its_place() {
    assertThat(faults("")).hasSize(3).anyMatch(w -> w.contains("the station"));
    assertThat(faults("TAF QTRN 312100Z 3121/3121 24008KT 9999 NSC")).anyMatch(w -> w.contains("ends before"));
    assertThat(faults("TAF QTRN 312100Z 3121/0121 24008KT 9999 SUNNY TEMPO 0126/0128 0800"))
        .anyMatch(w -> w.startsWith("line 1, column 41") && w.contains("'SUNNY': no group of a forecast"))
        .anyMatch(w -> w.contains("There is no day 01, hour 26"));
    assertThat(faults("TAF QTRN 312100Z 3121/0121 24008KT 9999 NSC TEMPO 0120/0123 0800"))
        .containsExactly("line 1, column 45: 'TEMPO': its time is not within that of the forecast.");
    assertThat(faults("TAF QTRN 312100Z 3121/0121 NIL")).anyMatch(w -> w.contains("it forecasts nothing"));
    assertThat(faults("TAF QTRN 312100Z 3121/0121 9999")).containsExactly(
        "line 1, column 32: It lacks the wind, such as 24008KT.");
    assertThat(faults("X".repeat(3_000))).anyMatch(w -> w.contains("2 000 characters"));
  }
}
