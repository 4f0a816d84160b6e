package neatlanyard.core.sop;

import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A time that must pass after a step.
 *
 * @param time where nothing of {@code nearerPoles} holds
 * @param before what it is for, such as "before bleed air is taken"
 * @param nearerPoles what holds instead from some latitude on, rising, such as for inertial units, which find north
 *     the slower the nearer it is; empty where latitude does not matter
 */
public record Wait(Duration time, String before, List<From> nearerPoles) {
  private static final int MINUTE = 60;

  public Wait {
    nearerPoles = nearerPoles.stream().sorted(Comparator.comparing(From::latitudeDeg)).toList();
  }

  /** The same wherever one is. */
  public Wait(Duration time, String before) {
    this(time, before, List.of());
  }

  /** @param latitudeDeg from which on it holds, north or south, 0..90 */
  public record From(int latitudeDeg, Duration time) {}

  /**
   * What holds at a place, by latitude no more.
   *
   * @param latitudeDeg north positive; empty where nobody knows it: the longest of all holds, so that nothing is begun
   *     early
   */
  public Wait at(Optional<Double> latitudeDeg) {
    Duration then = latitudeDeg
        .map(deg -> nearerPoles.stream().filter(f -> Math.abs(deg) >= f.latitudeDeg()).map(From::time)
            .reduce(time, (nearer, evenNearer) -> evenNearer))
        .orElseGet(() -> nearerPoles.stream().map(From::time).reduce(time, (a, b) -> a.compareTo(b) >= 0 ? a : b));
    return new Wait(then, before);
  }

  /** Such as "2 min before bleed air is taken" or "5 min before it moves, from 60° 7 min". */
  public String words() {
    StringBuilder words = new StringBuilder("%s %s".formatted(length(time), before));
    nearerPoles.forEach(f -> words.append(", from %d° %s".formatted(f.latitudeDeg(), length(f.time()))));
    return words.toString();
  }

  private static String length(Duration time) {
    long s = time.toSeconds();
    return s % MINUTE == 0 ? "%d min".formatted(s / MINUTE) : "%d s".formatted(s);
  }
}
