package neatlanyard.core.walkaround;

import java.time.Duration;
import java.util.List;
import neatlanyard.core.sop.Place;

/**
 * How far a walkaround is and how long it takes.
 *
 * @param metres along the stations
 * @param takes the estimate
 * @param from what the estimate rests on, in words
 */
public record WalkTime(double metres, Duration takes, String from) {
  /** Walking slowly and looking: common practice, no source. */
  public static final double METRES_A_SECOND = 0.8;

  /** Looking at one thing: common practice, no source; 60 steps come to about the usual 10 minutes with the walk. */
  private static final double SECONDS_A_STEP = 8;

  private static final int ENOUGH_PAST = 3;

  /**
   * The estimate: by the geometry, or by the middle one of the fleet's past times where there are at least three.
   *
   * @param stations in the order they are walked
   * @param steps how many things are looked at
   * @param past how long crews took on this type
   */
  public static WalkTime of(List<Place> stations, int steps, List<Duration> past) {
    double metres = 0;
    for (int i = 1; i < stations.size(); i++) {
      metres += stations.get(i - 1).distance(stations.get(i));
    }
    if (past.size() >= ENOUGH_PAST) {
      List<Duration> sorted = past.stream().sorted().toList();
      return new WalkTime(metres, sorted.get(sorted.size() / 2),
          "the middle of %d walks by this fleet".formatted(past.size()));
    }
    double seconds = metres / METRES_A_SECOND + steps * SECONDS_A_STEP;
    return new WalkTime(
        metres, Duration.ofSeconds(Math.round(seconds)),
        "%.0f m at %.1f m/s and %d steps of %.0f s".formatted(metres, METRES_A_SECOND, steps, SECONDS_A_STEP));
  }
}
