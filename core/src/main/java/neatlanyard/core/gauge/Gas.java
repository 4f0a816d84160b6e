package neatlanyard.core.gauge;

/** Gas shut in a bottle: pressure goes with the absolute temperature (ideal gas law at constant volume). */
final class Gas {
  /** Standard atmosphere in psi: 101.325 kPa at 6.894 757 kPa a psi (NIST SP 811). */
  static final double ATMOSPHERE_PSI = 101.325 / 6.894_757;

  private static final double ZERO_C_IN_K = 273.15;

  private Gas() {}

  /** What a gauge that reads {@code psi} over the atmosphere at {@code fromC} would read at {@code toC}. */
  static double gaugePsi(double psi, double fromC, double toC) {
    return (psi + ATMOSPHERE_PSI) * ratio(fromC, toC) - ATMOSPHERE_PSI;
  }

  static double ratio(double fromC, double toC) {
    return (toC + ZERO_C_IN_K) / (fromC + ZERO_C_IN_K);
  }
}
