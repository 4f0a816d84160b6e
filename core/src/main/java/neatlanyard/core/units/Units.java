package neatlanyard.core.units;

/** Factors of NIST SP 811 (2008), appendix B, for the units crews mix. */
public final class Units {
  static final double HPA_PER_INHG = 33.863_9;
  private static final double M_PER_FT = 0.304_8;
  static final double KG_PER_LB = 0.453_592_37;
  private static final double KT_PER_MPS = 3_600.0 / 1_852.0;
  private static final double M_PER_STATUTE_MILE = 1_609.344;
  static final double KT_PER_MPH = M_PER_STATUTE_MILE / 1_852;
  static final double MM_PER_INCH = 25.4;
  static final double LITRES_PER_US_GALLON = 3.785_411_784;

  private Units() {}

  /** Pressure in hectopascal of a pressure in inches of mercury. */
  public static double hpaFromInHg(double inHg) {
    return inHg * HPA_PER_INHG;
  }

  /** Pressure in inches of mercury of a pressure in hectopascal. */
  public static double inHgFromHpa(double hpa) {
    return hpa / HPA_PER_INHG;
  }

  /** Speed in knots of a speed in metres per second; one nautical mile is 1 852 m. */
  public static double ktFromMps(double mps) {
    return mps * KT_PER_MPS;
  }

  /** Length in metres of a length in statute miles. */
  public static double metresFromStatuteMiles(double miles) {
    return miles * M_PER_STATUTE_MILE;
  }

  /** Length in feet of a length in metres. */
  public static double ftFromMetres(double metres) {
    return metres / M_PER_FT;
  }

  /** Length in metres of a length in feet. */
  public static double metresFromFt(double ft) {
    return ft * M_PER_FT;
  }

  /** Mass in kilograms of a mass in pounds. */
  public static double kgFromLb(double lb) {
    return lb * KG_PER_LB;
  }

  /** Mass in pounds of a mass in kilograms. */
  public static double lbFromKg(double kg) {
    return kg / KG_PER_LB;
  }
}
