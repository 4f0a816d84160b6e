package neatlanyard.core.controls.simulated;

import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.simulated.Fault.Kind;

/** One surface that follows its control step by step. */
final class MovingSurface {
  /** About the middle of a control, per cent. */
  private static final double NEAR_PCT = 10;

  private final Surface surface;
  private final Linkage linkage;
  private final int own;
  private final int other;
  private final double towards;
  private final double least;
  private final double lastTime;
  private final double stays;
  private final double follow;
  /** What the control asked for lately: a surface late by a fault waits first and then goes as the others do. */
  private final double[] asked;
  private int steps;
  private double slack;
  private double at;
  private double stuck;
  private boolean was;

  MovingSurface(Surface surface, Linkage linkage, Faults faults) {
    String id = surface.id();
    this.surface = surface;
    this.linkage = linkage;
    this.own = surface.axis().ordinal();
    this.other = (surface.axis() == Axis.PITCH ? Axis.ROLL : Axis.PITCH).ordinal();
    this.towards = Math.signum(surface.full(1));
    this.least = Math.abs(surface.full(1)) - faults.size(id, Kind.SHORT, 0);
    this.lastTime = Math.abs(surface.full(1)) - faults.size(id, Kind.SHORT_LAST_TIME, 0);
    this.stays = faults.size(id, Kind.STAYS, 0);
    boolean late = faults.of(id, Kind.LATE).isPresent();
    int wait = late ? (int) Math.round((linkage.lagS() - Linkage.RIGHT.lagS()) * MovingAircraft.STEPS_HZ) : 0;
    this.asked = new double[Math.max(0, wait) + 1];
    this.follow = 1 - Math.exp(-1.0 / MovingAircraft.STEPS_HZ / (late ? Linkage.RIGHT.lagS() : linkage.lagS()));
    this.at = linkage.offsetDeg();
    this.stuck = at;
  }

  /** @param controls by axis, per cent @param lastTime whether its control is moved away for the last time */
  double step(double[] controls, boolean lastTime) {
    asked[steps % asked.length] = controls[own];
    double pct = asked[Math.max(0, steps - asked.length + 1) % asked.length];
    steps++;
    double answered = Math.signum(pct) * Math.max(0, Math.abs(pct) - linkage.deadBandPct() / 2)
        / (1 - linkage.deadBandPct() / 200);
    double target = surface.wanted(answered) * linkage.gain()
        + linkage.crossedDeg() * Math.clamp(controls[other] / 100, -1, 1);
    slack = Math.clamp(slack, target - linkage.playDeg() / 2, target + linkage.playDeg() / 2);
    double aim = slack + linkage.offsetDeg();
    double cap = lastTime ? Math.min(least, this.lastTime) : least;
    aim = aim * towards > cap ? cap * towards : aim;
    was |= aim * towards > stays + 1;
    aim = was && stays > 0 && pct * towards > -NEAR_PCT && aim * towards < stays ? stays * towards : aim;
    double fastest = linkage.rateDegS() / MovingAircraft.STEPS_HZ;
    at += Math.clamp((aim - at) * follow, -fastest, fastest);
    // Stiffness sits at the hinge: what moves it goes on, and it jumps after.
    stuck = Math.abs(at - stuck) >= linkage.stictionDeg() ? at : stuck;
    return stuck;
  }
}
