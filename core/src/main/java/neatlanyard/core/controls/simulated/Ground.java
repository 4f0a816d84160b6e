package neatlanyard.core.controls.simulated;

/**
 * What stands around a check: what the aircraft tells beside controls and surfaces.
 *
 * @param pressure share of the least pressure that is wanted, on every hydraulic system
 * @param speedKt how fast it rolls
 * @param turnDegPerS how fast its heading changes
 * @param brake whether the parking brake is set
 * @param autobrake whether the autobrake is armed
 * @param disconnected whether the steering is disconnected while the rudder moves
 * @param released whether it is connected again afterwards
 */
public record Ground(
    double pressure, double speedKt, double turnDegPerS, boolean brake, boolean autobrake, boolean disconnected,
    boolean released) {
  /** Standing, brake set, pressure up, steering disconnected for the rudder and connected again. */
  public static final Ground STANDING = new Ground(1.1, 0, 0, true, false, true, true);

  /** The same with so much pressure, as a share of the least. */
  public Ground withPressure(double share) {
    return new Ground(share, speedKt, turnDegPerS, brake, autobrake, disconnected, released);
  }

  /** The same with the autobrake armed. */
  public Ground autobrakeArmed() {
    return new Ground(pressure, speedKt, turnDegPerS, brake, true, disconnected, released);
  }
}
