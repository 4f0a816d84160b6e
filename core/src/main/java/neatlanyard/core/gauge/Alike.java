package neatlanyard.core.gauge;

import java.util.List;
import java.util.OptionalDouble;
import neatlanyard.core.gauge.Judged.Level;

/**
 * One of several of a kind, such as the current of one of four generators, against the middle of the others read so
 * far.
 *
 * @param with the others' quantities
 * @param mostApart in the unit of all
 */
public record Alike(List<String> with, double mostApart) implements Gauge {
  private static final String SOURCE = "Limit of the type's pack, against the median of the others";

  public Alike {
    with = List.copyOf(with);
  }

  @Override
  public Judged judge(double value, String unit, Readings around) {
    OptionalDouble middle = middle(around);
    if (middle.isEmpty()) {
      return new Judged(Level.AS_IT_SHOULD_BE, "%s, the first of its kind read.".formatted(Gauge.words(value, unit)),
          List.of(), SOURCE);
    }
    double apart = value - middle.getAsDouble();
    List<String> sum = List.of("%s − %s (middle of the others) = %s, at most %s apart".formatted(
        Gauge.words(value, unit), Gauge.words(middle.getAsDouble(), unit), Gauge.words(apart, unit),
        Gauge.words(mostApart, unit)));
    return allowed(around).holds(value)
        ? new Judged(Level.AS_IT_SHOULD_BE, "%s, like the others.".formatted(Gauge.words(value, unit)), sum, SOURCE)
        : new Judged(Level.OUT, "%s is %s from the others; %s is the most.".formatted(Gauge.words(value, unit),
        Gauge.words(Math.abs(apart), unit), Gauge.words(mostApart, unit)), sum, SOURCE);
  }

  @Override
  public Allowed allowed(Readings around) {
    return Allowed.near(middle(around), mostApart);
  }

  private OptionalDouble middle(Readings around) {
    double[] read = with.stream().map(around::other).filter(OptionalDouble::isPresent)
        .mapToDouble(OptionalDouble::getAsDouble).sorted().toArray();
    return read.length == 0 ? OptionalDouble.empty()
        : OptionalDouble.of((read[(read.length - 1) / 2] + read[read.length / 2]) / 2);
  }

  @Override
  public List<String> comparesWith() {
    return with;
  }
}
