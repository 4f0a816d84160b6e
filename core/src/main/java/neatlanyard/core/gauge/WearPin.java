package neatlanyard.core.gauge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.gauge.Judged.Level;
import neatlanyard.core.trend.Line;
import neatlanyard.core.trend.Wear;

/**
 * How far a brake's wear pin stands out, and how many landings that leaves.
 *
 * @param limitMm at or under it the brake is worn out; 0 is flush with the housing
 * @param soonLandings fewer landings left than these are worth a word
 * @param newPinMm by how much a reading must rise to mean that the brake was changed
 */
public record WearPin(double limitMm, int soonLandings, double newPinMm) implements Gauge {
  private static final String SOURCE =
      "Flush with its housing means worn out: common practice; least squares and 95 % prediction interval: "
      + "NIST/SEMATECH e-Handbook 4.1.4, 4.5.2";

  @Override
  public Judged judge(double value, String unit, Readings around) {
    String read = "%s stands out".formatted(Gauge.words(value, unit));
    if (allowed(around).under(value)) {
      return new Judged(Level.OUT, "%s, at or under the limit, %s: the brake is worn out.".formatted(read,
          Gauge.words(limitMm, unit)), List.of(), SOURCE);
    }
    Optional<Wear> wear = wear(value, around);
    if (wear.isEmpty()) {
      return new Judged(
          Level.AS_IT_SHOULD_BE,
          "%s, limit %s. Fewer than three readings since the last change: no trend yet.".formatted(read,
          Gauge.words(limitMm, unit)),
          List.of(), SOURCE);
    }
    Wear w = wear.get();
    List<String> sum = new ArrayList<>();
    sum.add("%d readings%s: %.4f %s a landing, scatter %.2f %s".formatted(
        w.since(), w.changes() > 0 ? " since the last of %d brake changes".formatted(w.changes()) : "", -w.line()
        .slope(), unit,
        w.line().residual(), unit));
    sum.add("the line meets %s after %d landings; 19 of 20 readings stay over it for %d".formatted(
        Gauge.words(limitMm, unit), w.expected(), w.prudent()));
    String left = "%s. About %d landings left, safely %d%s".formatted(read, w.expected(), w.prudent(),
        day(w.prudent(), around));
    return w.prudent() < soonLandings
        ? new Judged(Level.SOON, left + ": tell maintenance when.", sum, SOURCE)
        : new Judged(Level.AS_IT_SHOULD_BE, left + ".", sum, SOURCE);
  }

  @Override
  public Allowed allowed(Readings around) {
    return Allowed.atLeast(Math.nextUp(limitMm));
  }

  /** The wear by the past readings and this one. */
  private Optional<Wear> wear(double value, Readings around) {
    List<Line.Point> points = new ArrayList<>(around.past().stream().map(p -> new Line.Point(p.landings(), p.value()))
        .toList());
    around.usage().ifPresent(u -> points.add(new Line.Point(u.landings(), value)));
    return Wear.of(points, limitMm, newPinMm);
  }

  private static String day(int landings, Readings around) {
    return around.schedule().dayOf(landings).map(d -> ", which is %s on this tail's schedule".formatted(d)).orElse("");
  }
}
