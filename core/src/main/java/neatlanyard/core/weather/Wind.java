package neatlanyard.core.weather;

import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/**
 * Surface wind.
 *
 * @param directionDeg where it blows from, degrees true, 0..360; empty when variable
 * @param speedKt mean speed in knots
 * @param gustKt gusts in knots; empty when none are reported
 * @param sector within which its direction varies; empty when that is not reported
 */
public record Wind(OptionalInt directionDeg, int speedKt, OptionalInt gustKt, Optional<Sector> sector) {
  private static final double BEAM = 90;

  public Wind(OptionalInt directionDeg, int speedKt, OptionalInt gustKt) {
    this(directionDeg, speedKt, gustKt, Optional.empty());
  }

  /** Directions from one to another, clockwise, degrees true. */
  public record Sector(int fromDeg, int toDeg) {
    public boolean contains(double deg) {
      return Bearing.within(deg - fromDeg) <= Bearing.within(toDeg - fromDeg);
    }

    /** In words, such as "210° to 270°". */
    public String words() {
      return "%03d° to %03d°".formatted(fromDeg, toDeg);
    }
  }

  /**
   * The directions among which the worst for a runway is, along and across: its own, and where it varies the ends of
   * the sector and what lies within it of straight ahead, straight behind and square across; none when variable.
   *
   * @param bearingDeg of the runway, true
   */
  public DoubleStream worst(double bearingDeg) {
    DoubleStream own = directionDeg.stream().mapToDouble(d -> d);
    return sector.map(s -> DoubleStream.concat(own, DoubleStream.concat(DoubleStream.of(s.fromDeg(), s.toDeg()),
        Stream.of(0, 1, 2, 3).mapToDouble(n -> Bearing.within(bearingDeg + n * BEAM)).filter(s::contains))))
        .orElse(own);
  }

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
    String varies = sector.map(s -> ", varying %s".formatted(s.words())).orElse("");
    return "%s %d kt%s%s".formatted(from, speedKt, gust, varies);
  }
}
