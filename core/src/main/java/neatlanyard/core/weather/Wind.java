package neatlanyard.core.weather;

import java.util.OptionalInt;

/**
 * Surface wind.
 *
 * @param directionDeg where it blows from, degrees true, 0..360; empty when variable
 * @param speedKt mean speed in knots
 * @param gustKt gusts in knots; empty when none are reported
 */
public record Wind(OptionalInt directionDeg, int speedKt, OptionalInt gustKt) {
  public boolean calm() {
    return speedKt == 0 && gustKt.isEmpty();
  }

  /** In words, such as "240° 8 kt, gusting 20". */
  public String words() {
    if (calm()) {
      return "calm";
    }
    String from = directionDeg.isPresent() ? "%03d°".formatted(directionDeg.getAsInt()) : "variable";
    String gust = gustKt.isPresent() ? ", gusting " + gustKt.getAsInt() : "";
    return "%s %d kt%s".formatted(from, speedKt, gust);
  }
}
