package neatlanyard.core.controls;

import static neatlanyard.core.controls.Findings.deg;
import static neatlanyard.core.controls.Judgement.Criterion.CORRELATION;
import static neatlanyard.core.controls.Judgement.Criterion.DEAD_BAND;
import static neatlanyard.core.controls.Judgement.Criterion.FOLLOWING;
import static neatlanyard.core.controls.Judgement.Criterion.GEARING;
import static neatlanyard.core.controls.Judgement.Criterion.JUMPS;
import static neatlanyard.core.controls.Judgement.Criterion.LAG;
import static neatlanyard.core.controls.Judgement.Criterion.PLAY;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.ControlSpec.Following;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.Findings.Measured;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Signal.Lag;
import neatlanyard.core.controls.SurfaceJudge.Moved;
import neatlanyard.core.units.Numbers;

/** Judges how a surface follows its control on the way: away from it, behind it, by which gearing, with what play. */
final class FollowingJudge {
  /** Below this correlation nothing can be said of a delay. */
  private static final double FOLLOWS_AT_ALL = 0.5;

  /** A delay is sought in steps of at least this, seconds: finer ones add nothing to the parabola between them. */
  private static final double FINE_S = 0.04;

  /** How far beyond the longest delay one is sought, seconds. */
  private static final double BEYOND_S = 0.4;

  private final Seen seen;
  private final Following limits;
  private final Surface surface;
  private final Findings findings;
  private final double[] at;
  private final double[] wanted;
  private final Scatter scatter;

  FollowingJudge(Seen seen, Surface surface, Findings findings, double[] at, double[] wanted, Scatter scatter) {
    this.seen = seen;
    this.limits = seen.spec().following();
    this.surface = surface;
    this.findings = findings;
    this.at = at;
    this.wanted = wanted;
    this.scatter = scatter;
  }

  void judge(List<Moved> moved) {
    if (moved.isEmpty()) {
      return;
    }
    int settle = seen.even().steps(Seen.seconds(seen.spec().settle()));
    int from = Math.max(0, moved.getFirst().movement().from() - settle);
    int to = Math.min(at.length, moved.getLast().movement().to() + settle);
    Lag lag = Signal.lag(wanted, at, from, to, -2 * seen.skewSteps(),
        seen.even().steps(Seen.seconds(seen.spec().lag()) + BEYOND_S),
        Math.max(1, (int) (FINE_S / seen.even().step())));
    boolean follows = findings.add(surface.axis(), surface.name(), CORRELATION,
        new Measured(lag.correlation(), seen.spec().correlation(), 0, ""),
        lag.correlation() >= seen.spec().correlation(), surface.name()
            + (lag.correlation() >= seen.spec().correlation() ? " followed the control, correlation "
                : " did not follow the control: correlation ") + Numbers.plain(lag.correlation(), 3) + ".");
    if (lag.correlation() < FOLLOWS_AT_ALL || moved.stream().noneMatch(Moved::rightWay)) {
      for (Criterion c : List.of(FOLLOWING, LAG, GEARING, PLAY, DEAD_BAND, JUMPS)) {
        unjudged(c, surface.name() + " did not follow, so there is nothing to measure of how.");
      }
      return;
    }
    lag(lag);
    away(moved);
    fit(moved, lag.samples(), follows);
  }

  private void lag(Lag lag) {
    double step = seen.even().step();
    Measured m = new Measured(lag.samples() * step, Seen.seconds(seen.spec().lag()), step / 2, "s");
    findings.add(surface.axis(), surface.name(), LAG, m, m.atMost(), surface.name() + " was "
        + Numbers.plain(Math.abs(m.value()), 2) + " s " + (m.value() < 0 ? "ahead of" : "behind") + " its control"
        + (m.atMost() ? "." : "; " + Numbers.plain(m.limit(), 2) + " s is the most."));
  }

  private void away(List<Moved> moved) {
    int n = seen.evidence();
    for (Moved one : moved) {
      Movement e = one.movement();
      if (!one.rightWay()) {
        continue;
      }
      // What it is short by at the stop is said once, at the stop.
      double cap = one.enough() ? Double.POSITIVE_INFINITY : one.reachedDeg();
      boolean up = surface.full(e.sign()) > 0;
      double worst = Band.of(seen, wanted, e).worst(
          seen, at, base(e), up ? Double.NEGATIVE_INFINITY : -cap, up ? cap : Double.POSITIVE_INFINITY);
      Measured m = new Measured(Math.abs(worst), limits.awayDeg(), scatter.ofMean(n), "\u00b0", e.number());
      findings.add(surface.axis(), surface.name(), FOLLOWING, m, m.atMost(), m.atMost()
          ? surface.name() + " stayed with its control, " + e.words() + "."
          : surface.name() + " was " + deg(Math.abs(worst)) + " away from its control, " + e.words() + "; "
              + deg(m.limit()) + " is the most.");
    }
  }

  /** Where it rested before a movement, so that an offset of neutral is said once, at neutral. */
  private double base(Movement e) {
    int begin = 0;
    for (Movement other : seen.movements().of(surface.axis())) {
      if (other.to() <= e.from()) {
        begin = other.to();
      }
    }
    Seen.Rest rest = seen.rest(at, begin, e.from());
    return rest.enough(seen.evidence()) ? rest.mean() : 0;
  }

  private void fit(List<Moved> moved, double lag, boolean follows) {
    if (seen.even().step() > Way.SLOWEST_STEP_S || !follows) {
      for (Criterion c : List.of(GEARING, PLAY, DEAD_BAND, JUMPS)) {
        unjudged(c, surface.name() + (follows
            ? ": too few samples a second to tell how it went between the stops."
            : " did not follow closely enough to measure how."));
      }
      return;
    }
    Optional<Way> way = Way.of(seen, surface, at, wanted, scatter, moved, lag);
    if (way.isEmpty()) {
      for (Criterion c : List.of(GEARING, PLAY, DEAD_BAND, JUMPS)) {
        unjudged(c, surface.name() + ": its control was moved too little to tell how it went between the stops.");
      }
      return;
    }
    add(GEARING, way.get().gearing(), "was geared ", " from what it should be");
    add(PLAY, way.get().play(), "went back ", " apart from its way out");
    add(DEAD_BAND, way.get().deadBand(), "left ", " of the control about its middle unanswered");
    way.get().jumps().ifPresent(m -> add(JUMPS, m, "moved in jumps of about ", ""));
  }

  private void add(Criterion criterion, Measured m, String before, String after) {
    String said = surface.name() + " " + before + written(m, m.value()) + after;
    if (m.atMost() && m.uncertainty() > m.limit()) {
      findings.unjudged(Optional.of(surface.axis()), surface.name(), criterion, m, said + ", give or take "
          + written(m, m.uncertainty()) + ": the recording is too coarse to tell.");
    } else {
      findings.add(surface.axis(), surface.name(), criterion, m, m.atMost(), said
          + (m.atMost() ? ", within " + written(m, m.limit()) + "." : "; " + written(m, m.limit()) + " is the most."));
    }
  }

  private static String written(Measured m, double value) {
    return Numbers.plain(value, 1) + (m.unit().equals("%") ? " %" : m.unit());
  }

  private void unjudged(Criterion criterion, String words) {
    findings.unjudged(Optional.of(surface.axis()), surface.name(), criterion, new Measured(0, 0, 0, ""), words);
  }
}
