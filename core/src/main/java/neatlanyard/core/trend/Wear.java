package neatlanyard.core.trend;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How something that only gets shorter is wearing, and when it meets its limit.
 *
 * @param line through the readings since it was last changed; x in landings since new
 * @param since number of those readings
 * @param changes how often a change was seen in the whole row
 * @param expected landings left by the line itself, 0 or more
 * @param prudent landings after which the next reading could be under the limit, at 95 % of both sides; at most
 *     expected
 */
public record Wear(Line line, int since, int changes, int expected, int prudent) {
  /** Share of readings the interval holds. */
  public static final double PROBABILITY = 0.95;

  private static final int FARTHEST = 20_000;

  /**
   * The wear of a row of readings, the oldest first.
   *
   * @param jump by how much a reading must rise over the one before it to mean a new part
   * @return empty while fewer than three readings stand since the last change, or when nothing wears
   */
  public static Optional<Wear> of(List<Line.Point> readings, double limit, double jump) {
    int changes = 0;
    List<Line.Point> since = new ArrayList<>();
    for (Line.Point p : readings) {
      if (!since.isEmpty() && p.y() - since.getLast().y() > jump) {
        since.clear();
        changes++;
      }
      since.add(p);
    }
    int seen = changes;
    return Line.through(since).filter(l -> l.slope() < 0).map(line -> {
      double now = line.lastX();
      int expected = whole(line.under(limit).orElse(now + FARTHEST) - now);
      int prudent = whole(line.couldBeUnder(limit, PROBABILITY, FARTHEST).orElse(now + FARTHEST) - now);
      return new Wear(line, since.size(), seen, expected, Math.min(expected, prudent));
    });
  }

  private static int whole(double landings) {
    return (int) Math.max(0, Math.min(FARTHEST, Math.floor(landings)));
  }
}
