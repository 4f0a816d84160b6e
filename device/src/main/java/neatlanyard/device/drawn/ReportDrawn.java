package neatlanyard.device.drawn;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.units.Units;
import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.StationReport;
import neatlanyard.core.weather.Wind;
import neatlanyard.formats.weather.StationReportDetails;

/** A station report in words. */
public final class ReportDrawn {
  /** Reports come each half hour; older than this, one was missed. Common practice, no source. */
  private static final Duration OLD = Duration.ofMinutes(75);

  private ReportDrawn() {}

  /**
   * The report in words: wind, visibility, weather, cloud, temperature, pressure in both units, what it does not say,
   * what was and will be, age.
   */
  public static List<String> facts(StationReport r, Instant now) {
    StationReportDetails besides = StationReportDetails.of(r, now);
    List<String> facts = new ArrayList<>();
    facts.add("wind " + r.wind().map(Wind::words).orElse("not reported"));
    r.visibilityM().ifPresent(v ->
        facts.add(v >= 10_000 ? "visibility 10 km or more" : "visibility %d m".formatted(v)));
    facts.addAll(besides.sight());
    r.weather().stream().map(Phenomenon::words).forEach(facts::add);
    r.clouds().forEach(c -> c.baseFt().ifPresent(b -> facts.add("%s %d ft%s".formatted(
        cover(c.amount()), b, c.kind().isEmpty() || c.kind().equals("///") ? "" : " " + c.kind()))));
    r.temperatureC().ifPresent(t -> facts.add(degrees(t)));
    r.dewPointC().ifPresent(t -> facts.add("dew point " + degrees(t)));
    r.qnhHpa().ifPresent(q -> facts.add("%s hPa, %s inHg".formatted(Numbers.plain(q, 0),
        Numbers.plain(Units.inHgFromHpa(q), 2))));
    facts.addAll(besides.unseen());
    facts.addAll(besides.later());
    Duration age = r.age(now);
    facts.add(age.isNegative() ? "dated in the future" : age.toMinutes() + " min old"
        + (age.compareTo(OLD) > 0 ? ": ask for a newer one" : ""));
    return facts;
  }

  /** Degrees Celsius as crews read them. */
  public static String degrees(int c) {
    return (c < 0 ? "−" : "") + Math.abs(c) + " °C";
  }

  private static String cover(String amount) {
    return switch (amount) {
      case "FEW" -> "few at";
      case "SCT" -> "scattered at";
      case "BKN" -> "broken at";
      case "OVC" -> "overcast at";
      default -> "vertical visibility";
    };
  }
}
