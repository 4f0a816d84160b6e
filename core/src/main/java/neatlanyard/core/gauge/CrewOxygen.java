package neatlanyard.core.gauge;

import java.util.List;
import java.util.Map;
import neatlanyard.core.gauge.Judged.Level;

/**
 * Crew oxygen against what the route and the people on it need.
 *
 * @param bottleLitres volume of the bottle
 * @param litresAMinute free gas one person draws, at one atmosphere
 * @param minutes on oxygen where the route does not say, from the worst point to where one needs it no more
 * @param minutesTo the same by airfield of destination
 * @param keepPsi what must stay in the bottle
 * @param observers the quantity that counts people on observer seats; empty where there are none
 * @param ratedC temperature at which pressures are stated
 */
public record CrewOxygen(
    double bottleLitres, double litresAMinute, double minutes, Map<String, Double> minutesTo, double keepPsi,
    String observers, double ratedC) implements Gauge {
  private static final double SOON = 1.15;
  private static final String SOURCE =
      "Ideal gas law; that 1 000 psi may do for a route and 1 800 to 1 850 psi is usual: common practice; flows of "
      + "the type's pack";

  public CrewOxygen {
    minutesTo = Map.copyOf(minutesTo);
  }

  @Override
  public Judged judge(double value, String unit, Readings around) {
    int users = users(around);
    double time = minutes(around);
    double need = needPsi(users, time);
    double now = around.outsideC().orElse(ratedC);
    double have = Gas.gaugePsi(value, now, ratedC);
    List<String> sum = List.of(
        "%d people × %s min × %s L/min ÷ %s L × %s psi + %s kept = %s at %s".formatted(
            users, Gauge.words(time, ""), Gauge.words(litresAMinute, ""), Gauge.words(bottleLitres, ""),
            Gauge.words(Gas.ATMOSPHERE_PSI, ""), Gauge.words(keepPsi, ""), Gauge.words(need, unit),
            Gauge.words(ratedC, "°C")),
        "read %s at %s = %s at %s".formatted(
            Gauge.words(value, unit), Gauge.words(now, "°C"), Gauge.words(have, unit), Gauge.words(ratedC, "°C")));
    String read = "%s at %s; %d people to %s need %s".formatted(
        Gauge.words(have, unit), Gauge.words(ratedC, "°C"), users, around.to().isEmpty() ? "the destination"
        : around.to(),
        Gauge.words(need, unit));
    if (allowed(around).under(value)) {
      return new Judged(Level.OUT, "%s: not enough.".formatted(read), sum, SOURCE);
    }
    return have < need * SOON
        ? new Judged(Level.SOON, "%s: enough, with little over.".formatted(read), sum, SOURCE)
        : new Judged(Level.AS_IT_SHOULD_BE, "%s.".formatted(read), sum, SOURCE);
  }

  @Override
  public Allowed allowed(Readings around) {
    return Allowed.atLeast(
        Gas.gaugePsi(needPsi(users(around), minutes(around)), ratedC, around.outsideC().orElse(ratedC)));
  }

  private int users(Readings around) {
    return Math.max(1, around.crew() + (int) Math.round(around.other(observers).orElse(0)));
  }

  private double minutes(Readings around) {
    return minutesTo.getOrDefault(around.to(), minutes);
  }

  /** What the gauge must show at the rated temperature. */
  double needPsi(int users, double onOxygenMin) {
    return users * onOxygenMin * litresAMinute / bottleLitres * Gas.ATMOSPHERE_PSI + keepPsi;
  }

  @Override
  public List<String> comparesWith() {
    return observers.isEmpty() ? List.of() : List.of(observers);
  }
}
