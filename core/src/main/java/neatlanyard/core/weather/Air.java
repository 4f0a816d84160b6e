package neatlanyard.core.weather;

import neatlanyard.core.units.Units;

/**
 * The air at an airfield, by the standard atmosphere up to 11 km (US Standard Atmosphere 1976; ICAO Doc 7488).
 *
 * @param pressureAltitudeFt where the standard atmosphere has the airfield's pressure
 * @param temperatureC outside
 */
public record Air(double pressureAltitudeFt, double temperatureC) {
  private static final double SEA_LEVEL_HPA = 1_013.25;
  private static final double SEA_LEVEL_K = 288.15;
  private static final double ZERO_C_IN_K = 273.15;
  private static final double LAPSE_K_PER_M = 0.006_5;
  private static final double G = 9.806_65;
  private static final double R = 287.052_87;
  private static final double EXPONENT = G / (LAPSE_K_PER_M * R);

  /** The air of an airfield. @param qnhHpa altimeter setting, which is where that altimeter reads the elevation */
  public static Air at(double elevationFt, double qnhHpa, double temperatureC) {
    return new Air(elevationFt + altitudeFt(qnhHpa), temperatureC);
  }

  /** Where the standard atmosphere has a pressure, in feet. */
  public static double altitudeFt(double hpa) {
    return Units.ftFromMetres(SEA_LEVEL_K / LAPSE_K_PER_M * (1 - Math.pow(hpa / SEA_LEVEL_HPA, 1 / EXPONENT)));
  }

  /** The standard pressure at an altitude in feet, in hectopascal. */
  public static double pressureHpa(double altitudeFt) {
    return SEA_LEVEL_HPA * Math.pow(1 - LAPSE_K_PER_M * Units.metresFromFt(altitudeFt) / SEA_LEVEL_K, EXPONENT);
  }

  /** The standard temperature at an altitude in feet. */
  public static double standardC(double altitudeFt) {
    return SEA_LEVEL_K - LAPSE_K_PER_M * Units.metresFromFt(altitudeFt) - ZERO_C_IN_K;
  }

  /** How much warmer it is than the standard atmosphere there, in °C. */
  public double deviationC() {
    return temperatureC - standardC(pressureAltitudeFt);
  }

  /** Its density over that of the standard atmosphere at sea level. */
  public double densityRatio() {
    return pressureHpa(pressureAltitudeFt) / SEA_LEVEL_HPA * SEA_LEVEL_K / (temperatureC + ZERO_C_IN_K);
  }

  /** Where the standard atmosphere has this density, in feet; dry air. */
  public double densityAltitudeFt() {
    return Units.ftFromMetres(SEA_LEVEL_K / LAPSE_K_PER_M * (1 - Math.pow(densityRatio(), 1 / (EXPONENT - 1))));
  }
}
