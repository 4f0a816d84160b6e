package neatlanyard.core.gauge;

import java.util.List;
import neatlanyard.core.gauge.Judged.Level;

/**
 * A bottle's pressure for its temperature: fire bottles.
 *
 * @param leastPsi at {@code ratedC}, as the gauge shows it
 * @param soonPsi at {@code ratedC}; under it it is leaking and wants a look
 * @param mostPsi at {@code ratedC}
 */
public record Bottle(double ratedC, double leastPsi, double soonPsi, double mostPsi) implements Gauge {
  private static final String SOURCE = "Ideal gas law at constant volume; limits of the type's pack";

  @Override
  public Judged judge(double value, String unit, Readings around) {
    double now = around.outsideC().orElse(ratedC);
    double atRated = Gas.gaugePsi(value, now, ratedC);
    List<String> sum = List.of("(%s + %s) × %s K ÷ %s K − %s = %s at %s".formatted(
        Gauge.words(value, ""), Gauge.words(Gas.ATMOSPHERE_PSI, ""), Gauge.words(ratedC + 273.15, ""),
        Gauge.words(now + 273.15, ""),
        Gauge.words(Gas.ATMOSPHERE_PSI, ""), Gauge.words(atRated, unit), Gauge.words(ratedC, "°C")));
    String read = "%s at %s is %s at %s".formatted(
        Gauge.words(value, unit), Gauge.words(now, "°C"), Gauge.words(atRated, unit), Gauge.words(ratedC, "°C"));
    if (allowed(around).under(value)) {
      return new Judged(Level.OUT, "%s: under the least, %s.".formatted(read, Gauge.words(leastPsi, unit)), sum,
          SOURCE);
    }
    if (allowed(around).over(value)) {
      return new Judged(Level.OUT, "%s: over the most, %s.".formatted(read, Gauge.words(mostPsi, unit)), sum, SOURCE);
    }
    return atRated < soonPsi
        ? new Judged(Level.SOON, "%s: within limits, but under %s.".formatted(read, Gauge.words(soonPsi, unit)), sum,
        SOURCE)
        : new Judged(Level.AS_IT_SHOULD_BE, "%s.".formatted(read), sum, SOURCE);
  }

  @Override
  public Allowed allowed(Readings around) {
    double now = around.outsideC().orElse(ratedC);
    return new Allowed(Gas.gaugePsi(leastPsi, ratedC, now), Gas.gaugePsi(mostPsi, ratedC, now));
  }
}
