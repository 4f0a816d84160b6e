package neatlanyard.core.controls.simulated;

import java.util.random.RandomGenerator;
import neatlanyard.core.controls.ControlSpec.Following;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.ControlSpec;

/**
 * What stands between a control and one surface.
 *
 * @param gain share of the deflection that is wanted; 1 where it is right, negative where it is reversed
 * @param offsetDeg where it rests
 * @param playDeg width between out and back
 * @param stictionDeg how far it is left behind before it jumps after
 * @param deadBandPct of the control about its middle
 * @param lagS time constant of what moves it
 * @param rateDegS fastest it can move
 * @param crossedDeg how far it moves with full input of another axis
 */
public record Linkage(
    double gain, double offsetDeg, double playDeg, double stictionDeg, double deadBandPct, double lagS,
    double rateDegS, double crossedDeg) {
  /** As it is drawn. */
  public static final Linkage RIGHT = new Linkage(1, 0, 0, 0, 0, 0.08, 120, 0);

  /** A sound one as they come: each thing up to a quarter of what is allowed off. */
  public static Linkage sound(Allowed allowed, RandomGenerator chance) {
    double part = 0.25;
    return new Linkage(
        1 + chance.nextDouble(-part, part) * allowed.gain(), chance.nextDouble(-part, part) * allowed.offsetDeg(),
        chance.nextDouble(0, part) * allowed.playDeg(), chance.nextDouble(0, part) * allowed.stictionDeg(),
        chance.nextDouble(0, part) * allowed.deadBandPct(), chance.nextDouble(0.03, 0.12),
        chance.nextDouble(90, 200), chance.nextDouble(-part, part) * allowed.crossedDeg());
  }

  /** What a type allows, in the same measures. */
  public record Allowed(
      double gain, double offsetDeg, double playDeg, double stictionDeg, double deadBandPct, double crossedDeg) {
    public static Allowed of(ControlSpec spec, Surface s) {
      Following f = spec.following();
      double full = Math.max(Math.abs(s.positiveDeg()), Math.abs(s.negativeDeg()));
      return new Allowed(
          s.toleranceDeg() / full, spec.neutralDeg(), f.playDeg(), f.jumpDeg(), f.deadBandPct(), f.crossDeg());
    }
  }
}
