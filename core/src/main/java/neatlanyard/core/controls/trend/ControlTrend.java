package neatlanyard.core.controls.trend;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import neatlanyard.core.controls.trend.Measure.Quantity;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.trend.Trend;
import neatlanyard.core.units.Numbers;

/**
 * Where one number of one tail is going.
 *
 * @param limit as it was at the last check
 */
public record ControlTrend(TailId tail, String of, Quantity quantity, double limit, Trend trend) {
  /** One check of a tail. */
  public record Checked(TailId tail, Instant at, List<Measure> measures) {
    public Checked {
      measures = List.copyOf(measures);
    }
  }

  private record Key(TailId tail, String of, Quantity quantity) {}

  /** All that is followed, the one that meets its limit first before all others. */
  public static List<ControlTrend> of(List<Checked> checks) {
    Map<Key, List<Trend.At>> rows = new LinkedHashMap<>();
    Map<Key, Double> limits = new LinkedHashMap<>();
    checks.stream().sorted(Comparator.comparing(Checked::at)).forEach(c -> c.measures().forEach(m -> {
      Key key = new Key(c.tail(), m.of(), m.quantity());
      rows.computeIfAbsent(key, k -> new ArrayList<>()).add(new Trend.At(c.at(), m.value()));
      limits.put(key, m.limit());
    }));
    List<ControlTrend> trends = new ArrayList<>();
    rows.forEach((key, all) -> {
      double limit = limits.getOrDefault(key, 0.0);
      trends.add(new ControlTrend(key.tail, key.of, key.quantity, limit,
          Trend.of(all, OptionalDouble.of(limit), key.quantity.atLeast())));
    });
    trends.sort(Comparator.comparingInt(t -> t.trend.prudentWeeks().orElse(Integer.MAX_VALUE)));
    return trends;
  }

  /** Whether it gets nearer its limit, and meets it within two years. */
  public boolean worsens() {
    return trend.worsens(quantity.atLeast());
  }

  /** What a maintenance controller would say of it. */
  public String words() {
    String now = of + ", " + quantity.words() + ": " + amount(trend.last(), decimals()) + ", "
        + amount(limit, decimals())
        + " is the " + (quantity.atLeast() ? "least" : "most");
    double aWeek = trend.aWeek();
    String going = aWeek == 0 ? "; it keeps" : "; " + (aWeek < 0 ? "loses " : "gains ")
        + amount(Math.abs(aWeek), decimals() + 1) + " a week";
    return now + going + (worsens() ? trend.until() : "") + ".";
  }

  private String amount(double v, int decimals) {
    return Numbers.plain(v, decimals) + (quantity.unit().equals("s") ? " s" : quantity.unit());
  }

  private int decimals() {
    return quantity == Quantity.LAG ? 2 : 1;
  }
}
