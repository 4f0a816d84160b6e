package neatlanyard.core.controls.simulated;

import java.util.random.RandomGenerator;

/**
 * What records a check.
 *
 * @param rateHz samples a second
 * @param noisePct standard deviation of the noise of the controls, per cent
 * @param noiseDeg and of the surfaces, degrees
 * @param grainDeg step in which surfaces are recorded, degrees; 0 for none
 * @param jitter how far a sample may be from its time, share of the time between two
 * @param skewS how much later the surfaces are told than the controls
 * @param lost share of the samples that are lost one by one
 */
public record Recorder(
    double rateHz, double noisePct, double noiseDeg, double grainDeg, double jitter, double skewS, double lost) {
  public static final Recorder GOOD = new Recorder(50, 0.05, 0.02, 0.01, 0, 0, 0);

  /** One within the quality for which the judge is stated, see docs/controls.md. */
  public static Recorder stated(RandomGenerator chance) {
    double[] rates = {10, 16, 20, 25, 50, 100};
    return new Recorder(rates[chance.nextInt(rates.length)], chance.nextDouble(0, 0.5), chance.nextDouble(0, 0.3),
        chance.nextInt(3) == 0 ? chance.nextDouble(0.05, 0.25) : 0.01, chance.nextDouble(0, 0.2),
        chance.nextDouble(0, 0.05), chance.nextInt(3) == 0 ? 0.02 : 0);
  }
}
