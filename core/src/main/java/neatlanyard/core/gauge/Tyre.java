package neatlanyard.core.gauge;

import java.util.List;
import java.util.OptionalDouble;
import neatlanyard.core.gauge.Judged.Level;

/**
 * A tyre's pressure for the temperature of the day, and against the other wheel of its leg.
 *
 * @param ratedPsi what it should hold at {@code ratedC}
 * @param soonPct per cent under what it should hold from which it is to be inflated
 * @param outPct per cent under from which the wheel is not used
 * @param with the other wheel's quantity; empty for a single wheel
 * @param mostApartPct per cent of the rated pressure the two may differ by
 */
public record Tyre(double ratedPsi, double ratedC, double soonPct, double outPct, String with, double mostApartPct)
    implements Gauge {
  /** Degrees for one per cent of pressure. */
  private static final double C_PER_PCT = 3;

  private static final String SOURCE = "FAA AC 20-97B: about 1 % for 3 °C (5 °F); bands of the type's pack";

  @Override
  public Judged judge(double value, String unit, Readings around) {
    double warmer = around.outsideC().orElse(ratedC) - ratedC;
    double should = should(warmer + ratedC);
    double pct = 100 * (value - should) / should;
    List<String> sum = List.of(
        "%s at %s; %s today: %s × (1 + %s ÷ 3 ÷ 100) = %s".formatted(
            Gauge.words(ratedPsi, unit), Gauge.words(ratedC, "°C"),
            around.outsideC().isPresent() ? Gauge.words(around.outsideC().getAsDouble(), "°C")
            : "no temperature given",
            Gauge.words(ratedPsi, ""), Gauge.words(warmer, ""), Gauge.words(should, unit)),
        "read %s: %s of that".formatted(Gauge.words(value, unit), Gauge.words(100 * value / should, "%")));
    Judged alone = judged(pct, value, unit, should, sum);
    return alone.and(Gauge.apart(
        value, around.other(with), with, mostApart(), unit, SOURCE,
        "The two wheels of the leg do not carry alike"));
  }

  @Override
  public Allowed allowed(Readings around) {
    return Allowed.atLeast(least(should(around.outsideC().orElse(ratedC))))
        .and(Allowed.near(around.other(with), mostApart()));
  }

  /** What it should hold when the air, and the tyre, has this temperature. */
  double should(double temperatureC) {
    return ratedPsi * (1 + (temperatureC - ratedC) / C_PER_PCT / 100);
  }

  private double least(double should) {
    return should * (1 - outPct / 100);
  }

  private double mostApart() {
    return ratedPsi * mostApartPct / 100;
  }

  private Judged judged(double pct, double value, String unit, double should, List<String> sum) {
    String read = "%s, %s is wanted at this temperature".formatted(Gauge.words(value, unit),
        Gauge.words(should, unit));
    if (value < least(should)) {
      return new Judged(Level.OUT, "%s: more than %s under.".formatted(read, Gauge.words(outPct, "%")), sum, SOURCE);
    }
    if (pct < -soonPct) {
      return new Judged(Level.SOON, "%s: to be inflated.".formatted(read), sum, SOURCE);
    }
    return new Judged(Level.AS_IT_SHOULD_BE, "%s.".formatted(read), sum, SOURCE);
  }

  @Override
  public List<String> comparesWith() {
    return with.isEmpty() ? List.of() : List.of(with);
  }
}
