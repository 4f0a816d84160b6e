package neatlanyard.core.controls;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.Findings.Measured;
import neatlanyard.core.controls.LeastSquares.Fit;
import neatlanyard.core.controls.SurfaceJudge.Moved;

/**
 * How a surface went between the stops: what is measured by fitting its deflection with what was wanted of it, the
 * first and second change of that (which take up what moves it with a delay of its own), the side from which it came,
 * and the side of the middle it is on.
 *
 * @param gearing by how many degrees at full travel its gearing differs
 * @param play how far its way out and its way back lie apart
 * @param deadBand share of the control about its middle that it does not answer
 * @param jumps how far it jumps, from what is left over the noise: even steps of one size scatter by that size over
 *     the square root of twelve; empty where it was never on its way for long enough
 */
record Way(Measured gearing, Measured play, Measured deadBand, Optional<Measured> jumps) {
  /** Slower recorders show too little of the way, seconds a sample. */
  static final double SLOWEST_STEP_S = 0.105;

  /**
   * So many standard errors of a fit are allowed for. What a fit has no regressor for makes its errors larger by
   * itself; with more, sizes one tolerance over their limit are passed on slow recorders (docs/controls.md).
   */
  private static final double ALLOWED = 2;

  /**
   * The same of the dead band: with no more than this no sound check made up came near the limit, and a quick hand
   * before a slow recorder shows too little of the middle for more.
   */
  private static final double ALLOWED_OF_ZONE = 1;

  /** Within this share of full travel a control is at its middle. */
  private static final double AT_MIDDLE = 0.02;

  /** From this share on a surface answers, whatever its dead band. */
  private static final double ANSWERS = 0.15;

  private static final int ENOUGH = 12;
  private static final int REGRESSORS = 6;
  private static final int SIDE = 4;
  private static final int ZONE = 5;

  static Optional<Way> of(
      Seen seen, Surface surface, double[] at, double[] wanted, Scatter scatter, List<Moved> moved, double lag) {
    return new Fitter(seen, surface, at, wanted, scatter, moved, lag).fit(moved);
  }

  /** Goes through the movements, twice: once to fit, once to see what is left. */
  private static final class Fitter {
    private final Seen seen;
    private final Surface surface;
    private final double[] at;
    private final double[] asked;
    private final double[] speed;
    private final double[] bend;
    private final double[] side;
    private final Scatter scatter;
    private final double full;
    private final double span;
    private final double noise;

    Fitter(
        Seen seen, Surface surface, double[] at, double[] wanted, Scatter scatter, List<Moved> moved, double lag) {
      this.seen = seen;
      this.surface = surface;
      this.at = at;
      this.scatter = scatter;
      this.full = Math.max(Math.abs(surface.positiveDeg()), Math.abs(surface.negativeDeg()));
      int n = at.length;
      asked = new double[n];
      speed = new double[n];
      bend = new double[n];
      side = new double[n];
      int first = Math.max(0, moved.getFirst().movement().from() - seen.even().steps(1));
      int end = Math.min(n, moved.getLast().movement().to() + seen.even().steps(1));
      for (int i = first; i < end; i++) {
        asked[i] = Signal.between(wanted, i - lag);
      }
      int steps = seen.even().steps(0.06);
      span = steps * seen.even().step();
      noise = seen.movements().scatter(surface.axis()).sigma() * full / 100;
      for (int i = first; i < end; i++) {
        double before = asked[Math.max(first, i - steps)];
        double after = asked[Math.min(end - 1, i + steps)];
        speed[i] = (after - before) / 2 / span;
        bend[i] = (after - 2 * asked[i] + before) / span / span;
      }
      double moving = Math.max(0.1 * full, Scatter.ALLOWED * noise / span);
      double last = 0;
      for (int i = first; i < end; i++) {
        last = Math.abs(speed[i]) > moving ? Math.signum(speed[i]) : last;
        side[i] = last;
      }
    }

    Optional<Way> fit(List<Moved> moved) {
      LeastSquares all = new LeastSquares(REGRESSORS);
      for (Moved one : moved) {
        for (int i = one.movement().from(); one.rightWay() && i < end(one); i++) {
          if (usable(one, i)) {
            all.add(row(i), at[i]);
          }
        }
      }
      return all.fit().map(f -> new Way(gearing(f), play(f), deadBand(f), jumps(f, moved)));
    }

    private double[] row(int i) {
      double zone = Math.abs(asked[i]) < AT_MIDDLE * full ? 0
          : surface.sense() * asked[i] > 0 ? surface.positiveDeg() / full : surface.negativeDeg() / full;
      return new double[] {1, asked[i], speed[i], bend[i], side[i], zone};
    }

    private int end(Moved one) {
      return Math.min(at.length, one.movement().to() + seen.skewSteps());
    }

    /** Where it stands at a stop short of what is wanted, nothing is to be learnt of the way. */
    private boolean usable(Moved one, int i) {
      double reached = one.enough() ? Double.POSITIVE_INFINITY : one.reachedDeg() * 0.95;
      double v = at[i] + asked[i] + speed[i] + bend[i];
      double away = Math.abs(asked[i]);
      return !Double.isNaN(v) && away < reached && (away < AT_MIDDLE * full || away > ANSWERS * full);
    }

    private Measured gearing(Fit f) {
      return new Measured(Math.abs(f.factors()[1] - 1) * full, surface.toleranceDeg(),
          ALLOWED * f.errors()[1] * full, "\u00b0");
    }

    private Measured play(Fit f) {
      double u = 2 * ALLOWED * f.errors()[SIDE] + scatter.grain() / 2;
      double limit = seen.spec().following().playDeg();
      return new Measured(Math.max(0, -2 * f.factors()[SIDE]), limit, u, "\u00b0");
    }

    /** What it is behind by on both sides of the middle, without what else it is behind by. */
    private Measured deadBand(Fit f) {
      double u = 2 * 100 * ALLOWED_OF_ZONE * f.errors()[ZONE] / full;
      double limit = seen.spec().following().deadBandPct();
      return new Measured(Math.max(0, -200 * f.factors()[ZONE] / full), limit, u, "%");
    }

    /** What the noise of the control itself leaves over, through its value, its change and its second change. */
    private double ofControl(Fit f) {
      double value = f.factors()[1];
      double change = f.factors()[2] / span / Math.sqrt(2);
      double second = f.factors()[3] / span / span * Math.sqrt(6);
      return noise * noise * (value * value + change * change + second * second);
    }

    private Optional<Measured> jumps(Fit f, List<Moved> moved) {
      double worst = 0;
      int rows = 0;
      for (Moved one : moved) {
        double squares = 0;
        int n = 0;
        for (int i = one.movement().from(); one.rightWay() && i < end(one); i++) {
          if (usable(one, i) && Math.abs(speed[i]) > 0.1 * full) {
            double left = at[i] - f.at(row(i));
            squares += left * left;
            n++;
          }
        }
        if (n >= ENOUGH && squares / n > worst) {
          worst = squares / n;
          rows = n;
        }
      }
      if (rows == 0) {
        return Optional.empty();
      }
      double over = Math.sqrt(12 * Math.max(0, worst - scatter.sigma() * scatter.sigma() - ofControl(f)));
      double u = Scatter.ALLOWED * scatter.sigma() * Math.sqrt(6.0 / rows) + scatter.grain() / 2;
      return Optional.of(new Measured(over, seen.spec().following().jumpDeg(), u, "\u00b0"));
    }
  }
}
