package neatlanyard.core.figures;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.weather.Bearing;
import neatlanyard.core.weather.Wind;
import neatlanyard.core.weather.WindParts;

/**
 * The wind on one end of a runway, the worst that the report allows: a gust counts across and from behind, never from
 * ahead; a variable wind blows from wherever it is worst, and one that varies from the worst of its sector.
 *
 * @param headKt whole knots along the runway that a take-off may count on, rounded down; a tail wind is negative
 * @param tailKt the most that may come from behind, in knots
 * @param crossKt the most that may come across, in knots
 * @param parts of the steady wind; empty when it is variable
 * @param eitherSide whether it may come across from the left and from the right
 */
public record RunwayWind(
    RunwayName runway, int headKt, double tailKt, double crossKt, Optional<WindParts> parts, boolean eitherSide,
    List<String> arithmetic) {
  /** What binary fractions may make of a whole knot. */
  private static final double ROUNDING = 1e-9;

  public RunwayWind {
    arithmetic = List.copyOf(arithmetic);
  }

  /** @param wind degrees true, as a report has it */
  public static RunwayWind of(Runway.End end, Wind wind) {
    return of(end.name(), end.bearingTrueDeg(), wind);
  }

  /**
   * The same where no more is known of the runway.
   *
   * @param bearingTrueDeg and {@code wind}, degrees true
   */
  public static RunwayWind of(RunwayName runway, double bearingTrueDeg, Wind wind) {
    double gust = wind.gustKt().orElse(wind.speedKt());
    if (wind.calm()) {
      return new RunwayWind(runway, 0, 0, 0, Optional.of(new WindParts(0, 0)), false, List.of("Calm"));
    }
    if (wind.directionDeg().isEmpty()) {
      return new RunwayWind(runway, (int) -gust, gust, gust, Optional.empty(), true, List.of(
          "Variable, up to %s: from behind and across, all of it, and nothing from ahead".formatted(Worked.kt(gust))));
    }
    int from = wind.directionDeg().getAsInt();
    WindParts steady = WindParts.of(from, wind.speedKt(), bearingTrueDeg);
    WindParts gusting = WindParts.of(from, gust, bearingTrueDeg);
    double tail = most(wind, bearingTrueDeg, gust, WindParts::tailKt);
    double cross = most(wind, bearingTrueDeg, gust, WindParts::crossKt);
    double least = -most(wind, bearingTrueDeg, wind.speedKt(), p -> -p.alongKt());
    int head = (int) Math.floor((tail > 0 ? -tail : least) + ROUNDING);
    List<String> lines = new ArrayList<>();
    double angle = Bearing.between(bearingTrueDeg, from);
    lines.add("Wind from %s true, runway %s lies %s true: %s° off".formatted(
        Bearing.words(from), runway, Bearing.words(bearingTrueDeg), Numbers.written(Math.abs(angle), 0)));
    lines.add(parts("Steady", wind.speedKt(), angle, steady));
    if (wind.gustKt().isPresent()) {
      lines.add(parts("Gusts", gust, angle, gusting));
    }
    boolean eitherSide = wind.sector().isPresent()
        && wind.worst(bearingTrueDeg).map(d -> Bearing.between(bearingTrueDeg, d)).anyMatch(a -> a > 0)
        && wind.worst(bearingTrueDeg).map(d -> Bearing.between(bearingTrueDeg, d)).anyMatch(a -> a < 0);
    wind.sector().ifPresent(s -> lines.add(
        "Varies from %s: at the worst of it, %s along and %s across".formatted(s.words(),
        Numbers.written(tail > 0 ? -tail : least, 1) + " kt", Numbers.written(cross, 1) + " kt")));
    return new RunwayWind(runway, head, tail, cross, Optional.of(steady), eitherSide, lines);
  }

  /** The most of a part that the directions allow from which it may blow. */
  private static double most(Wind wind, double bearing, double speedKt, ToDoubleFunction<WindParts> part) {
    return wind.worst(bearing).map(from -> part.applyAsDouble(WindParts.of(from, speedKt, bearing))).max()
        .orElseThrow();
  }

  private static String parts(String which, double speed, double angle, WindParts parts) {
    return "%s: %s × cos %s° = %s along; × sin = %s across".formatted(which, Worked.kt(speed),
        Numbers.written(Math.abs(angle), 0), Numbers.written(parts.alongKt(), 1) + " kt",
        Numbers.written(parts.crossKt(), 1) + " kt");
  }

  /** What a take-off may count on, such as "11 kt from ahead". */
  public String alongWords() {
    return along(headKt);
  }

  static String along(int headKt) {
    return headKt >= 0 ? "%s from ahead".formatted(Worked.kt(headKt)) : "%s from behind".formatted(Worked.kt(-headKt));
  }

  /** The most that may come across, and from which side the steady wind does. */
  public String acrossWords() {
    int kt = whole(crossKt);
    String side = eitherSide ? " from either side"
        : parts.map(p -> p.acrossKt() > 0 ? " from the right" : " from the left").orElse("");
    return kt == 0 ? "none across" : "%s across%s".formatted(Worked.kt(kt), side);
  }

  /** Rounded up: 15.2 kt is not within 15. */
  private static int whole(double kt) {
    return (int) Math.ceil(kt - ROUNDING);
  }

  /** Whether it is within somebody's limits on a runway in this state. */
  List<Limit> limits(WindLimits limits, RunwayState state) {
    List<Limit> all = new ArrayList<>();
    all.add(limits.cross(state).isEmpty()
        ? new Limit("cross wind", false, "No take-off on %s is allowed for.".formatted(state.words()), limits.whose())
        : limit("cross wind", crossKt, limits.cross(state).getAsInt(), " on a runway that is " + state.words(),
        limits.whose()));
    all.add(limit("tail wind", tailKt, limits.tailKt(), "", limits.whose()));
    return all;
  }

  private Limit limit(String what, double kt, int most, String where, String whose) {
    int worst = whole(kt);
    return new Limit(what, worst <= most, "Runway %s: %s %s, at most %s%s.".formatted(
        runway, what, Worked.kt(worst), Worked.kt(most), where), whose);
  }
}
