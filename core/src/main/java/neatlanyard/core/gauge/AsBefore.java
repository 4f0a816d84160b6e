package neatlanyard.core.gauge;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import neatlanyard.core.gauge.Judged.Level;

/**
 * A reading against its own past on this tail: the middle of the last ones. Away from it is worth a word, never a find
 * by itself.
 *
 * @param soonApart how far from the middle of the past it may be, in its unit
 */
public record AsBefore(double soonApart) implements Gauge {
  private static final String SOURCE =
      "Limit of the type's pack, against the median of the tail's last ten readings";
  private static final int LAST = 10;
  private static final int FEWEST = 3;

  @Override
  public Judged judge(double value, String unit, Readings around) {
    OptionalDouble middle = middle(around);
    if (middle.isEmpty()) {
      return new Judged(Level.AS_IT_SHOULD_BE, "Too little is known of before.",
          List.of("Fewer than %d earlier readings".formatted(FEWEST)), SOURCE);
    }
    double apart = value - middle.getAsDouble();
    List<String> sum = List.of("%s − %s (middle of its last readings) = %s, worth a word beyond %s".formatted(
        Gauge.words(value, unit), Gauge.words(middle.getAsDouble(), unit), Gauge.words(apart, unit),
        Gauge.words(soonApart, unit)));
    return Math.abs(apart) > soonApart
        ? new Judged(Level.SOON, "It was %s before: %s away, tell maintenance.".formatted(
        Gauge.words(middle.getAsDouble(), unit), Gauge.words(Math.abs(apart), unit)), sum, SOURCE)
        : new Judged(Level.AS_IT_SHOULD_BE, "As it was before.", sum, SOURCE);
  }

  private static OptionalDouble middle(Readings around) {
    List<Readings.EarlierReading> past = around.past();
    double[] last = past.subList(Math.max(0, past.size() - LAST), past.size()).stream()
        .mapToDouble(Readings.EarlierReading::value).sorted().toArray();
    return last.length < FEWEST ? OptionalDouble.empty()
        : DoubleStream.of(last[(last.length - 1) / 2], last[last.length / 2]).average();
  }

  @Override
  public Allowed allowed(Readings around) {
    return Allowed.ANY;
  }
}
