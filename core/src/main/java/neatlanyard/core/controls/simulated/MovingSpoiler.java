package neatlanyard.core.controls.simulated;

import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlSpec.Spoiler;
import neatlanyard.core.controls.simulated.Fault.Kind;

/** One roll spoiler that follows its control step by step. */
final class MovingSpoiler {
  private final Spoiler spoiler;
  private final double furthest;
  private final double stays;
  private final double more;
  private final double follow = 1 - Math.exp(-1.0 / MovingAircraft.STEPS_HZ / Linkage.RIGHT.lagS());
  private double at;
  private boolean was;

  MovingSpoiler(Spoiler spoiler, Faults faults) {
    this.spoiler = spoiler;
    double shortBy = faults.size(spoiler.id(), Kind.SHORT, 0);
    this.furthest = shortBy > 0 ? spoiler.outDeg() - shortBy : Double.MAX_VALUE;
    this.stays = faults.size(spoiler.id(), Kind.STAYS, 0);
    // Where there is no schedule it comes out a tenth further than the least that is wanted.
    this.more = spoiler.schedule().isEmpty() ? 1.1 : 1;
  }

  double step(double[] controls) {
    double aim = Math.min(spoiler.wanted(controls[Axis.ROLL.ordinal()]) * more, furthest);
    was |= aim > stays;
    aim = was ? Math.max(aim, stays) : aim;
    at += (aim - at) * follow;
    return at;
  }
}
