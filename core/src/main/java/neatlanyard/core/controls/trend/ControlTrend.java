package neatlanyard.core.controls.trend;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import neatlanyard.core.controls.trend.Measure.Quantity;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.trend.Line;
import neatlanyard.core.units.Numbers;

/**
 * Where one number of one tail is going.
 *
 * @param points when, and how much, the oldest first
 * @param limit as it was at the last check
 * @param changes when it began to go another way or jumped
 * @param aWeek by how much it changes a week since the last change; 0 where no change can be told from the scatter
 * @param line the straight line since the last change, at its first check and at the last; empty where no slope can
 *     be told
 * @param weeks weeks from the last check until it meets its limit by that; empty where it does not within two years
 * @param prudentWeeks weeks until the next check could find it beyond its limit, at 95 % of both sides
 */
public record ControlTrend(
    TailId tail, String of, Quantity quantity, double limit, List<At> points, List<Instant> changes, double aWeek,
    List<At> line, OptionalInt weeks, OptionalInt prudentWeeks) {
  private static final double WEEK_S = Duration.ofDays(7).toSeconds();
  private static final int FARTHEST_WEEKS = 104;
  private static final double PROBABILITY = 0.95;

  /** Some years of checks twice a week: what is older says nothing of now, and cutting a row costs its square. */
  private static final int MOST_POINTS = 500;

  /** A slope is told where it is so many of its standard errors from none: less is chance in a fleet of many rows. */
  private static final double SURE = 4;

  public ControlTrend {
    points = List.copyOf(points);
    changes = List.copyOf(changes);
    line = List.copyOf(line);
  }

  /** One check's number. */
  public record At(Instant at, double value) {}

  /** One check of a tail. */
  public record Checked(TailId tail, Instant at, List<Measure> measures) {
    public Checked {
      measures = List.copyOf(measures);
    }
  }

  private record Key(TailId tail, String of, Quantity quantity) {}

  /** All that is followed, the one that meets its limit first before all others. */
  public static List<ControlTrend> of(List<Checked> checks) {
    Map<Key, List<At>> rows = new LinkedHashMap<>();
    Map<Key, Double> limits = new LinkedHashMap<>();
    checks.stream().sorted(Comparator.comparing(Checked::at)).forEach(c -> c.measures().forEach(m -> {
      Key key = new Key(c.tail(), m.of(), m.quantity());
      rows.computeIfAbsent(key, k -> new ArrayList<>()).add(new At(c.at(), m.value()));
      limits.put(key, m.limit());
    }));
    List<ControlTrend> trends = new ArrayList<>();
    rows.forEach((key, all) -> trends.add(of(key, all.subList(Math.max(0, all.size() - MOST_POINTS), all.size()),
        limits.getOrDefault(key, 0.0))));
    trends.sort(Comparator.comparingInt(t -> t.prudentWeeks().orElse(Integer.MAX_VALUE)));
    return trends;
  }

  private static ControlTrend of(Key key, List<At> points, double limit) {
    Instant first = points.getFirst().at();
    // Upside down where it must not get more, so that what is watched always falls.
    double sign = key.quantity.atLeast() ? 1 : -1;
    List<Line.Point> line = points.stream().map(p ->
        new Line.Point(Duration.between(first, p.at()).toSeconds() / WEEK_S, sign * p.value())).toList();
    List<Integer> starts = Segments.of(line);
    Optional<Line> last = Line.through(line.subList(starts.getLast(), line.size())).filter(ControlTrend::sure);
    return new ControlTrend(key.tail, key.of, key.quantity, limit, points,
        starts.stream().skip(1).map(i -> points.get(i).at()).toList(), last.map(l -> sign * l.slope()).orElse(0.0),
        last.map(l -> Stream.of(starts.getLast(), line.size() - 1)
            .map(i -> new At(points.get(i).at(), sign * l.at(line.get(i).x()))).toList()).orElse(List.of()),
        last.map(l -> weeks(l, l.under(sign * limit).orElse(Double.POSITIVE_INFINITY))).orElse(OptionalInt.empty()),
        last.map(l -> weeks(l, l.couldBeUnder(sign * limit, PROBABILITY, FARTHEST_WEEKS)
            .orElse(Double.POSITIVE_INFINITY))).orElse(OptionalInt.empty()));
  }

  private static boolean sure(Line line) {
    return Math.abs(line.slope()) * Math.sqrt(line.sxx()) > SURE * line.residual();
  }

  private static OptionalInt weeks(Line line, double at) {
    double weeks = at - line.lastX();
    return weeks <= FARTHEST_WEEKS ? OptionalInt.of((int) Math.max(0, Math.floor(weeks))) : OptionalInt.empty();
  }

  public double last() {
    return points.getLast().value();
  }

  /** Whether it gets nearer its limit, and meets it within two years. */
  public boolean worsens() {
    return weeks.isPresent() && aWeek != 0 && (aWeek < 0) == quantity.atLeast();
  }

  /** What a maintenance controller would say of it. */
  public String words() {
    String now = of + ", " + quantity.words() + ": " + amount(last(), decimals()) + ", " + amount(limit, decimals())
        + " is the " + (quantity.atLeast() ? "least" : "most");
    String going = aWeek == 0 ? "; it keeps" : "; " + (aWeek < 0 ? "loses " : "gains ")
        + amount(Math.abs(aWeek), decimals() + 1) + " a week";
    return now + going + (worsens() ? until() : "") + ".";
  }

  private String until() {
    int expected = weeks.orElseThrow();
    int prudent = prudentWeeks.orElse(expected);
    return ", and meets it in " + expected + " weeks"
        + (prudent < expected ? ", by the scatter perhaps in " + prudent : "");
  }

  private String amount(double v, int decimals) {
    return Numbers.plain(v, decimals) + (quantity.unit().equals("s") ? " s" : quantity.unit());
  }

  private int decimals() {
    return quantity == Quantity.LAG ? 2 : 1;
  }
}
