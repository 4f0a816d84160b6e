package neatlanyard.core.weather;

/** Directions in degrees, true and magnetic. */
public final class Bearing {
  private static final double FULL = 360;

  private Bearing() {}

  /** The same direction within 0..360, 360 left out. */
  public static double within(double deg) {
    double within = deg % FULL;
    return within < 0 ? within + FULL : within;
  }

  /** From one direction to another by the shorter way, clockwise positive, -180..180. */
  public static double between(double from, double to) {
    double turn = within(to - from);
    return turn > FULL / 2 ? turn - FULL : turn;
  }

  /** Magnetic from true: east is least, west is best. @param variationDeg east positive */
  public static double magnetic(double trueDeg, double variationDeg) {
    return within(trueDeg - variationDeg);
  }

  /** True from magnetic. @param variationDeg east positive */
  public static double fromMagnetic(double magneticDeg, double variationDeg) {
    return within(magneticDeg + variationDeg);
  }

  /** As it is said and written: three digits, north as 360. */
  public static String words(double deg) {
    long whole = Math.round(within(deg));
    return "%03d°".formatted(whole == 0 ? 360 : whole);
  }
}
