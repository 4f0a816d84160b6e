package neatlanyard.core.figures;

import neatlanyard.core.units.Numbers;

import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.StationReport;

/**
 * When a type's procedures say that there is icing on the ground and in the take-off.
 *
 * @param atOrBelowC temperature of the air
 * @param visibilityUnderM in which moisture is taken to be visible, besides precipitation
 */
public record Icing(int atOrBelowC, int visibilityUnderM) {
  /** @param conditions whether there is icing @param words why, or why not */
  public record Found(boolean conditions, String words) {}

  /** What a report comes to; what it does not say counts as if it were so. */
  public Found in(StationReport report) {
    int air = report.temperatureC().orElse(atOrBelowC);
    int seen = report.visibilityM().orElse(0);
    boolean wet = report.weather().stream().anyMatch(Phenomenon::precipitation);
    boolean moist = wet || seen < visibilityUnderM;
    String temperature = report.temperatureC().isPresent()
        ? "%s °C, %d or below".formatted(Numbers.written(air, 0), atOrBelowC) : "temperature not reported";
    if (air > atOrBelowC) {
      return new Found(false, "%s °C is above %d °C.".formatted(Numbers.written(air, 0), atOrBelowC));
    }
    if (!moist) {
      return new Found(false, "%s, but no precipitation and visibility not under %s.".formatted(
          temperature, Worked.m(visibilityUnderM)));
    }
    return new Found(true, "%s, and %s.".formatted(temperature, wet ? "precipitation"
        : report.visibilityM().isPresent() ? "visibility " + Worked.m(seen) : "visibility not reported"));
  }
}
