package neatlanyard.core.dispatch;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import neatlanyard.core.gauge.Allowed;
import neatlanyard.core.gauge.Gauge;
import neatlanyard.core.gauge.Readings;
import neatlanyard.core.sop.Quantity;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.trend.Segments;
import neatlanyard.core.trend.Trend;
import neatlanyard.core.units.Numbers;

/**
 * Where what crews read of one tail is going: oil pressure of one engine, a wear pin, a bottle.
 *
 * @param limit the one it goes to; of one that keeps, the least where it has one; empty where its gauge has none that
 *     stands by itself
 * @param atLeast whether that is the least, and not the most
 */
public record ReadingTrend(Quantity quantity, OptionalDouble limit, boolean atLeast, Trend trend) {
  /**
   * All that is followed, the one that meets its limit first before all others, the rest as the pack has them.
   *
   * @param quantities of the tail's pack; what is in no pack any more is left out
   * @param readings of one tail, in any order
   */
  public static List<ReadingTrend> of(List<Quantity> quantities, List<ReadingHistory.Reading> readings) {
    Map<QuantityId, List<Trend.At>> rows = new LinkedHashMap<>();
    readings.stream().sorted(Comparator.comparing(ReadingHistory.Reading::at)).forEach(r ->
        rows.computeIfAbsent(r.quantity(), q -> new ArrayList<>()).add(new Trend.At(r.at(), r.value())));
    return quantities.stream().filter(q -> rows.getOrDefault(q.id(), List.of()).size() >= Segments.LEAST)
        .map(q -> of(q, rows.getOrDefault(q.id(), List.of())))
        .sorted(Comparator.comparingInt(t -> t.worsens()
        ? t.trend.prudentWeeks().orElse(Integer.MAX_VALUE - 1) : Integer.MAX_VALUE)).toList();
  }

  private static ReadingTrend of(Quantity quantity, List<Trend.At> row) {
    Allowed allowed = quantity.gauge().map(g -> g.allowed(Readings.NONE)).orElse(Allowed.ANY);
    OptionalDouble least = finite(allowed.least());
    OptionalDouble most = finite(allowed.most());
    Trend falling = Trend.of(row, least, true);
    boolean rises = most.isPresent() && (falling.aWeek() > 0 || least.isEmpty());
    return rises ? new ReadingTrend(quantity, most, false, Trend.of(row, most, false))
        : new ReadingTrend(quantity, least, true, falling);
  }

  private static OptionalDouble finite(double limit) {
    return Double.isInfinite(limit) ? OptionalDouble.empty() : OptionalDouble.of(limit);
  }

  public boolean worsens() {
    return trend.worsens(atLeast);
  }

  /** What a maintenance controller would say of it. */
  public String words() {
    String unit = quantity.unit().symbol();
    String which = atLeast ? "least" : "most";
    String against = limit.isPresent() ? ", " + Gauge.words(limit.getAsDouble(), unit) + " is the " + which : "";
    String now = quantity.name() + ": " + Gauge.words(trend.last(), unit) + against;
    String going = trend.aWeek() == 0 ? "; it keeps" : "; " + (trend.aWeek() < 0 ? "loses " : "gains ")
        + (Numbers.plain(Math.abs(trend.aWeek()), 2) + " " + unit).strip() + " a week";
    return now + going + (worsens() ? trend.until() : "") + ".";
  }
}
