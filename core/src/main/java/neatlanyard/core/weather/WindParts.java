package neatlanyard.core.weather;

/**
 * A wind as it lies to a runway, in knots (FAA-H-8083-25, wind component chart: cosine and sine of the angle).
 *
 * @param alongKt against the take-off; a tail wind is negative
 * @param acrossKt from the right; from the left is negative
 */
public record WindParts(double alongKt, double acrossKt) {
  /** @param fromDeg where it blows from @param bearingDeg of the runway, in the same north */
  public static WindParts of(double fromDeg, double speedKt, double bearingDeg) {
    double angle = Math.toRadians(Bearing.between(bearingDeg, fromDeg));
    return new WindParts(speedKt * Math.cos(angle), speedKt * Math.sin(angle));
  }

  public double tailKt() {
    return Math.max(0, -alongKt);
  }

  /** From whichever side. */
  public double crossKt() {
    return Math.abs(acrossKt);
  }
}
