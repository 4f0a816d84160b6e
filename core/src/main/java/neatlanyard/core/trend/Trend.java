package neatlanyard.core.trend;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;

/**
 * Where a row of numbers that were read over months is going.
 *
 * @param points when, and how much, the oldest first; at least one
 * @param changes when it began to go another way or jumped
 * @param aWeek by how much it changes a week since the last change; 0 where no change can be told from the scatter
 * @param line the straight line since the last change, at its first number and at the last; empty where no slope can
 *     be told
 * @param weeks weeks from the last number until it meets the limit by that; empty where it does not within two years
 * @param prudentWeeks weeks until the next number could lie beyond the limit, at 95 % of both sides
 */
public record Trend(List<At> points, List<Instant> changes, double aWeek, List<At> line, OptionalInt weeks,
    OptionalInt prudentWeeks) {
  private static final double WEEK_S = Duration.ofDays(7).toSeconds();
  private static final int FARTHEST_WEEKS = 104;
  private static final double PROBABILITY = 0.95;

  /** Some years of checks twice a week: what is older says nothing of now, and cutting a row costs its square. */
  public static final int MOST_POINTS = 500;

  /** A slope is told where it is so many of its standard errors from none: less is chance in a fleet of many rows. */
  private static final double SURE = 4;

  public Trend {
    points = List.copyOf(points);
    changes = List.copyOf(changes);
    line = List.copyOf(line);
  }

  /** One number. */
  public record At(Instant at, double value) {}

  /**
   * The trend of a row; of a long one, of its last {@link #MOST_POINTS}.
   *
   * @param all the oldest first, at least one
   * @param limit that it is watched against; empty where there is none
   * @param atLeast whether the limit is the least, and not the most
   */
  public static Trend of(List<At> all, OptionalDouble limit, boolean atLeast) {
    List<At> points = all.subList(Math.max(0, all.size() - MOST_POINTS), all.size());
    Instant first = points.getFirst().at();
    // Upside down where it must not get more, so that what is watched always falls.
    double sign = atLeast ? 1 : -1;
    List<Line.Point> line = points.stream().map(p ->
        new Line.Point(Duration.between(first, p.at()).toSeconds() / WEEK_S, sign * p.value())).toList();
    List<Integer> starts = Segments.of(line);
    Optional<Line> last = Line.through(line.subList(starts.getLast(), line.size())).filter(Trend::sure);
    Optional<Line> meets = last.filter(l -> limit.isPresent());
    double least = sign * limit.orElse(0);
    return new Trend(points, starts.stream().skip(1).map(i -> points.get(i).at()).toList(),
        last.map(l -> sign * l.slope()).orElse(0.0),
        last.map(l -> Stream.of(starts.getLast(), line.size() - 1)
            .map(i -> new At(points.get(i).at(), sign * l.at(line.get(i).x()))).toList()).orElse(List.of()),
        meets.map(l -> weeks(l, l.under(least))).orElse(OptionalInt.empty()),
        meets.map(l -> weeks(l, l.couldBeUnder(least, PROBABILITY, FARTHEST_WEEKS))).orElse(OptionalInt.empty()));
  }

  private static boolean sure(Line line) {
    return Math.abs(line.slope()) * Math.sqrt(line.sxx()) > SURE * line.residual();
  }

  private static OptionalInt weeks(Line line, OptionalDouble at) {
    double weeks = at.orElse(Double.POSITIVE_INFINITY) - line.lastX();
    return weeks <= FARTHEST_WEEKS ? OptionalInt.of((int) Math.max(0, Math.floor(weeks))) : OptionalInt.empty();
  }

  public double last() {
    return points.getLast().value();
  }

  /** Whether it gets nearer a limit, and meets it within two years. @param atLeast whether the limit is the least */
  public boolean worsens(boolean atLeast) {
    return weeks.isPresent() && aWeek != 0 && (aWeek < 0) == atLeast;
  }

  /** Such as ", and meets it in 9 weeks, by the scatter perhaps in 6"; for a trend that worsens. */
  public String until() {
    int expected = weeks.orElseThrow();
    int prudent = prudentWeeks.orElse(expected);
    return ", and meets it in " + expected + " weeks"
        + (prudent < expected ? ", by the scatter perhaps in " + prudent : "");
  }
}
