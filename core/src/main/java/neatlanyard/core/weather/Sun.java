package neatlanyard.core.weather;

import static java.lang.Math.asin;
import static java.lang.Math.cos;
import static java.lang.Math.sin;
import static java.lang.Math.tan;
import static java.lang.Math.toDegrees;
import static java.lang.Math.toRadians;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import neatlanyard.core.fleet.Airfield;

/**
 * Where the sun stands, after the NOAA Global Monitoring Laboratory's solar calculation, which follows J. Meeus,
 * Astronomical Algorithms, chapter 25 (low accuracy, 0.01 degree, 1900 to 2100).
 */
public final class Sun {
  /**
   * Height of the sun's centre below which it counts as dark: the end of civil twilight, six degrees below the
   * horizon, which is how 14 CFR 1.1 bounds night.
   */
  public static final double DARK_BELOW_DEG = -6.0;

  /** Height of the centre at sunrise and sunset: refraction 34' and half a diameter 16'. */
  public static final double RISE_DEG = -0.833;

  private static final Duration STEP = Duration.ofMinutes(10);

  private Sun() {}

  /** Declination of the sun in degrees. Meeus eq. 25.7 with the apparent longitude of p. 164. */
  public static double declinationDeg(Instant at) {
    return Position.at(at).declinationDeg;
  }

  /** Height of the sun's centre above the horizon in degrees, without refraction. Meeus eq. 13.6. */
  public static double elevationDeg(Instant at, double latitudeDeg, double longitudeDeg) {
    Position sun = Position.at(at);
    double minutesUtc = Math.floorMod(at.getEpochSecond(), 86_400L) / 60.0;
    double hourAngleDeg = (minutesUtc + sun.equationOfTimeMin) / 4.0 + longitudeDeg - 180.0;
    double lat = toRadians(latitudeDeg);
    double dec = toRadians(sun.declinationDeg);
    return toDegrees(asin(sin(lat) * sin(dec) + cos(lat) * cos(dec) * cos(toRadians(hourAngleDeg))));
  }

  public static boolean dark(Instant at, Airfield where) {
    return elevationDeg(at, where.latitudeDeg(), where.longitudeDeg()) < DARK_BELOW_DEG;
  }

  /** The next moment within a day after {@code from} at which the sun passes {@code heightDeg}, to the second. */
  public static Optional<Instant> nextPassing(Instant from, Airfield where, double heightDeg) {
    boolean below = elevationDeg(from, where.latitudeDeg(), where.longitudeDeg()) < heightDeg;
    Instant end = from.plus(Duration.ofDays(1));
    for (Instant t = from; t.isBefore(end); t = t.plus(STEP)) {
      Instant next = t.plus(STEP);
      if (elevationDeg(next, where.latitudeDeg(), where.longitudeDeg()) < heightDeg != below) {
        return Optional.of(bisect(t, next, where, heightDeg, below));
      }
    }
    return Optional.empty();
  }

  private static Instant bisect(Instant before, Instant after, Airfield where, double heightDeg, boolean below) {
    Instant low = before;
    Instant high = after;
    while (Duration.between(low, high).toSeconds() > 1) {
      Instant middle = low.plus(Duration.between(low, high).dividedBy(2));
      boolean same = elevationDeg(middle, where.latitudeDeg(), where.longitudeDeg()) < heightDeg == below;
      low = same ? middle : low;
      high = same ? high : middle;
    }
    return high;
  }

  private record Position(double declinationDeg, double equationOfTimeMin) {
    static Position at(Instant at) {
      double julianDay = at.toEpochMilli() / 86_400_000.0 + 2_440_587.5;
      double t = (julianDay - 2_451_545.0) / 36_525.0;
      double meanLongitude = 280.46646 + t * (36_000.76983 + t * 0.0003032); // Meeus 25.2
      double anomaly = toRadians(357.52911 + t * (35_999.05029 - 0.0001537 * t)); // 25.3
      double eccentricity = 0.016708634 - t * (0.000042037 + 0.0000001267 * t); // 25.4
      double centre =
          sin(anomaly) * (1.914602 - t * (0.004817 + 0.000014 * t))
              + sin(2 * anomaly) * (0.019993 - 0.000101 * t)
              + sin(3 * anomaly) * 0.000289;
      double node = toRadians(125.04 - 1_934.136 * t);
      double apparentLongitude = toRadians(meanLongitude + centre - 0.00569 - 0.00478 * sin(node));
      double meanObliquity =
          23.0 + (26.0 + (21.448 - t * (46.815 + t * (0.00059 - t * 0.001813))) / 60.0) / 60.0; // 22.2
      double obliquity = toRadians(meanObliquity + 0.00256 * cos(node)); // 25.8
      double declination = toDegrees(asin(sin(obliquity) * sin(apparentLongitude)));
      double y = Math.pow(tan(obliquity / 2), 2);
      double l = toRadians(meanLongitude);
      double equation =
          y * sin(2 * l)
              - 2 * eccentricity * sin(anomaly)
              + 4 * eccentricity * y * sin(anomaly) * cos(2 * l)
              - 0.5 * y * y * sin(4 * l)
              - 1.25 * eccentricity * eccentricity * sin(2 * anomaly); // 28.3
      return new Position(declination, 4 * toDegrees(equation));
    }
  }
}
