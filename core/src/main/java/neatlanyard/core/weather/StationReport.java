package neatlanyard.core.weather;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * A routine or special aerodrome report as values (WMO No. 306 FM 15/16; ICAO Annex 3 appendix 3).
 *
 * @param text the report as received
 * @param station location indicator
 * @param observed time of observation
 * @param visibilityM prevailing visibility in metres, 10 000 for "10 km or more"; empty when not reported
 * @param temperatureC whole degrees Celsius
 * @param dewPointC whole degrees Celsius
 * @param qnhHpa altimeter setting in hectopascal
 * @param ranges how far one sees along runways
 * @param trends what is expected within two hours; empty for no significant change, and where nothing is said
 */
public record StationReport(
    String text,
    String station,
    Instant observed,
    Optional<Wind> wind,
    OptionalInt visibilityM,
    List<Phenomenon> weather,
    List<Cloud> clouds,
    OptionalInt temperatureC,
    OptionalInt dewPointC,
    OptionalDouble qnhHpa,
    List<RunwayRange> ranges,
    List<Trend> trends) {
  public StationReport {
    weather = List.copyOf(weather);
    clouds = List.copyOf(clouds);
    ranges = List.copyOf(ranges);
    trends = List.copyOf(trends);
  }

  /** Without runway ranges and a trend. */
  public StationReport(String text, String station, Instant observed, Optional<Wind> wind, OptionalInt visibilityM,
      List<Phenomenon> weather, List<Cloud> clouds, OptionalInt temperatureC, OptionalInt dewPointC,
      OptionalDouble qnhHpa) {
    this(text, station, observed, wind, visibilityM, weather, clouds, temperatureC, dewPointC, qnhHpa, List.of(),
        List.of());
  }

  /** How long before {@code now} it was observed; negative when it lies in the future. */
  public Duration age(Instant now) {
    return Duration.between(observed, now);
  }
}
