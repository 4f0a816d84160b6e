package neatlanyard.core.weather;

/**
 * By how much a minimum altitude is raised when it is colder than standard: the altimeter then reads too high.
 *
 * <p>ICAO Doc 8168 Volume III, the equation behind its table: {@code H × (15 − t0) / (273 + t0 − L0 × (H + Hs) / 2)},
 * with t0 the temperature of the airfield brought to sea level by {@code L0} = 0.00198 °C a foot.
 */
public final class ColdCorrection {
  private static final double LAPSE_C_PER_FT = 0.001_98;
  private static final double ZERO_C_IN_K = 273;
  private static final double STANDARD_C = 15;
  private static final double STEP_FT = 10;

  private ColdCorrection() {}

  /**
   * In feet, as it comes out; 0 when it is not colder than standard.
   *
   * @param heightFt of the minimum altitude above the airfield that gives the pressure setting
   * @param elevationFt of that airfield
   * @param temperatureC at that airfield
   */
  public static double ft(double heightFt, double elevationFt, double temperatureC) {
    double seaLevelC = temperatureC + LAPSE_C_PER_FT * elevationFt;
    if (heightFt <= 0 || seaLevelC >= STANDARD_C) {
      return 0;
    }
    return heightFt * (STANDARD_C - seaLevelC)
        / (ZERO_C_IN_K + seaLevelC - LAPSE_C_PER_FT * (heightFt + elevationFt) / 2);
  }

  /** The same as crews add it: up to the next ten feet. */
  public static int roundedFt(double heightFt, double elevationFt, double temperatureC) {
    return (int) (Math.ceil(ft(heightFt, elevationFt, temperatureC) / STEP_FT) * STEP_FT);
  }
}
