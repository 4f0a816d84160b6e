package neatlanyard.core.gauge;

import java.util.List;
import java.util.OptionalDouble;
import neatlanyard.core.gauge.Judged.Level;

/**
 * A value within a band, with a margin inside it that is worth a word: tread and cut depth, brake accumulator,
 * hydraulic quantity, battery and external power.
 *
 * @param least below it is out
 * @param soonBelow below it is soon
 * @param soonAbove above it is soon
 * @param most above it is out
 */
public record Band(OptionalDouble least, OptionalDouble soonBelow, OptionalDouble soonAbove, OptionalDouble most)
    implements Gauge {
  private static final String SOURCE = "Limits of the type's pack";

  @Override
  public Judged judge(double value, String unit, Readings around) {
    String read = Gauge.words(value, unit);
    if (allowed(around).under(value)) {
      return new Judged(Level.OUT, "%s is under the least, %s.".formatted(read,
          Gauge.words(least.orElseThrow(), unit)), List.of(), SOURCE);
    }
    if (allowed(around).over(value)) {
      return new Judged(Level.OUT, "%s is over the most, %s.".formatted(read, Gauge.words(most.orElseThrow(), unit)),
          List.of(), SOURCE);
    }
    if (soonBelow.isPresent() && value < soonBelow.getAsDouble()) {
      return new Judged(Level.SOON,
          "%s is within limits, but under %s.".formatted(read, Gauge.words(soonBelow.getAsDouble(), unit)), List.of(),
          SOURCE);
    }
    if (soonAbove.isPresent() && value > soonAbove.getAsDouble()) {
      return new Judged(Level.SOON,
          "%s is within limits, but over %s.".formatted(read, Gauge.words(soonAbove.getAsDouble(), unit)), List.of(),
          SOURCE);
    }
    return new Judged(Level.AS_IT_SHOULD_BE, "%s is as it should be.".formatted(read), List.of(), SOURCE);
  }

  @Override
  public Allowed allowed(Readings around) {
    return Allowed.of(least, most);
  }
}
