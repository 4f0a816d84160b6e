package neatlanyard.core.gauge;

import java.util.ArrayList;
import java.util.List;
import neatlanyard.core.gauge.Judged.Level;

/**
 * Engine oil, and how fast it goes.
 *
 * @param least before start
 * @param plenty from which on it lasts the day
 * @param mostAnHour consumption from which on the engine wants a look
 */
public record Oil(double least, double plenty, double mostAnHour) implements Gauge {
  private static final String SOURCE =
      "Consumption is what went since the last reading over the hours flown since; limits of the type's pack";

  @Override
  public Judged judge(double value, String unit, Readings around) {
    List<String> sum = new ArrayList<>();
    String read = Gauge.words(value, unit);
    Judged alone = allowed(around).under(value)
        ? new Judged(Level.OUT, "%s is under the least before start, %s.".formatted(read, Gauge.words(least, unit)),
        List.of(), SOURCE)
        : value < plenty
            ? new Judged(Level.SOON, "%s is enough to start; %s lasts the day.".formatted(read,
            Gauge.words(plenty, unit)), List.of(), SOURCE)
            : new Judged(Level.AS_IT_SHOULD_BE, "%s is plenty.".formatted(read), List.of(), SOURCE);
    if (around.past().isEmpty() || around.usage().isEmpty()) {
      return alone;
    }
    Readings.EarlierReading last = around.past().getLast();
    double hours = around.usage().get().hours() - last.hours();
    double went = last.value() - value;
    if (hours <= 0 || went <= 0) {
      return alone; // Filled since, or not flown: nothing can be said of what went.
    }
    double anHour = went / hours;
    sum.add("since the last reading: (%s − %s) ÷ %s h = %.2f %s an hour".formatted(
        Gauge.words(last.value(), unit), read, Gauge.words(hours, ""), anHour, unit));
    Judged use = anHour > mostAnHour
        ? new Judged(Level.SOON, "It used %.2f %s an hour, over %.2f: tell maintenance.".formatted(anHour, unit,
        mostAnHour), sum, SOURCE)
        : new Judged(Level.AS_IT_SHOULD_BE, "", sum, SOURCE);
    return alone.and(use);
  }

  @Override
  public Allowed allowed(Readings around) {
    return Allowed.atLeast(least);
  }
}
