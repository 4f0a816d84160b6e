package neatlanyard.core.gauge;

import java.util.List;
import neatlanyard.core.gauge.Judged.Level;

/**
 * Oxygen pressure while a mask flows, against the pressure before.
 *
 * @param before the quantity read before
 * @param most the most it may sag
 */
public record Sag(String before, double most) implements Gauge {
  private static final String SOURCE =
      "5 s of emergency flow, not more than 100 psi: common practice; limit of the type's pack";

  @Override
  public Judged judge(double value, String unit, Readings around) {
    if (around.other(before).isEmpty()) {
      return new Judged(Level.SOON, "The pressure before the test was not read, so the sag is not known.", List.of(),
          SOURCE);
    }
    double was = around.other(before).getAsDouble();
    double sag = was - value;
    List<String> sum = List.of(
        "%s − %s = %s".formatted(Gauge.words(was, unit), Gauge.words(value, unit), Gauge.words(sag, unit)));
    return allowed(around).under(value)
        ? new Judged(
            Level.OUT,
            "It sags by %s, %s is the most: the bottle valve is not fully open. Open it and test again.".formatted(
                Gauge.words(sag, unit), Gauge.words(most, unit)), sum, SOURCE)
        : new Judged(Level.AS_IT_SHOULD_BE, "It sags by %s; up to %s is right.".formatted(
            Gauge.words(Math.max(0, sag), unit), Gauge.words(most, unit)), sum, SOURCE);
  }

  @Override
  public Allowed allowed(Readings around) {
    return Allowed.atLeast(Allowed.near(around.other(before), most).least());
  }

  @Override
  public List<String> comparesWith() {
    return List.of(before);
  }
}
