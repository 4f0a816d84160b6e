package neatlanyard.core.weather;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A change that a report expects within two hours (ICAO Annex 3, appendix 5, trend forecasts). What it does not name
 * stays as it was observed.
 *
 * @param text as received, such as "TEMPO TL1200 0600 FG"
 * @param visibilityM prevailing visibility in metres, 10 000 for "10 km or more"
 */
public record Trend(
    Kind kind, String text, Optional<Wind> wind, OptionalInt visibilityM, List<Phenomenon> weather,
    List<Cloud> clouds) {
  /** How it comes. */
  public enum Kind {
    TEMPO("at times"), BECMG("later");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  public Trend {
    weather = List.copyOf(weather);
    clouds = List.copyOf(clouds);
  }
}
