package neatlanyard.core.controls.simulated;

import neatlanyard.core.controls.ControlSpec.Following;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.ControlSpec;

/**
 * One thing wrong with one surface.
 *
 * @param surface its channel
 * @param size in the kind's own measure
 */
public record Fault(Kind kind, String surface, double size) {
  /** What may be wrong, and the measure of its size. */
  public enum Kind {
    /** Short of its travel at the positive input's stop, degrees. */
    SHORT,
    /** Short of it the last time only, degrees. */
    SHORT_LAST_TIME,
    /** Against the control, share of its travel. */
    REVERSED,
    /** With another axis' control instead of its own, share of its travel. */
    CROSSED,
    /** With another axis' control as well as its own, degrees. */
    COUPLED,
    /** Not moving at all; no size. */
    JAMMED,
    /** Jumping after its control, degrees. */
    JUMPING,
    /** Out and back by different ways, degrees. */
    PLAY,
    /** Not answering about the middle, per cent of the control. */
    DEAD_BAND,
    /** Behind its control, seconds. */
    LATE,
    /** Resting beside neutral, degrees. */
    OFFSET,
    /** Staying out after its first movement, degrees. */
    STAYS,
    /** Geared otherwise both ways, degrees at the stop. */
    GEARED,
    /** Recorded as the same for the second half of the check; no size. */
    FROZEN,
    /** Not recorded for a while in the first movement, seconds. */
    SILENT
  }

  /** The size at which a kind is at the limit of a surface; 0 where it has none. */
  public static double limit(Kind kind, ControlSpec spec, Surface surface) {
    Following f = spec.following();
    return switch (kind) {
      case SHORT, SHORT_LAST_TIME, GEARED -> surface.toleranceDeg();
      case COUPLED -> f.crossDeg();
      case JUMPING -> f.jumpDeg();
      case PLAY -> f.playDeg();
      case DEAD_BAND -> f.deadBandPct();
      case LATE -> spec.lag().toMillis() / 1_000.0;
      case OFFSET, STAYS -> spec.neutralDeg();
      case SILENT -> 0.25;
      case REVERSED, CROSSED, JAMMED, FROZEN -> 0;
    };
  }
}
