package neatlanyard.core.controls;

import static neatlanyard.core.controls.Findings.deg;
import static neatlanyard.core.controls.Findings.way;
import static neatlanyard.core.controls.Judgement.Criterion.ARRIVAL;
import static neatlanyard.core.controls.Judgement.Criterion.CHANNEL;
import static neatlanyard.core.controls.Judgement.Criterion.CROSSED;
import static neatlanyard.core.controls.Judgement.Criterion.DRIFT;
import static neatlanyard.core.controls.Judgement.Criterion.FULL_TRAVEL;
import static neatlanyard.core.controls.Judgement.Criterion.NEUTRAL;
import static neatlanyard.core.controls.Judgement.Criterion.SENSE;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.Findings.Measured;
import neatlanyard.core.controls.Seen.Reach;
import neatlanyard.core.controls.Seen.Rest;

/** Judges one surface in each movement of its control, and what it did while others were moved. */
final class SurfaceJudge {
  /** Share of the wanted deflection below which a surface counts as not moving at all. */
  private static final double MOVED_SHARE = 0.1;

  /** A channel that scatters and then says the very same for so long has stopped, seconds. */
  private static final double FROZEN_S = 1.0;

  /** So small a chance, as a logarithm, is none: one in a thousand million. */
  private static final double BY_CHANCE = -21;

  private final Seen seen;
  private final ControlSpec spec;
  private final Surface surface;
  private final Findings findings;
  private final double[] at;
  private final double[] wanted;
  private final Scatter scatter;
  private final double gain;
  private final List<Moved> moved = new ArrayList<>();

  /**
   * One movement as this surface made it.
   *
   * @param reachedDeg how far it got that way, without sign; not a number where that was not recorded
   * @param enough whether that was far enough
   * @param rightWay whether it moved, and the right way
   */
  record Moved(Movement movement, double reachedDeg, boolean enough, boolean rightWay) {}

  SurfaceJudge(Seen seen, Surface surface, Findings findings) {
    this.seen = seen;
    this.spec = seen.spec();
    this.surface = surface;
    this.findings = findings;
    Channel channel = Channel.position(surface.id());
    this.at = withoutDroop(seen, surface, seen.even().of(channel));
    this.scatter = seen.scatter(channel);
    double[] input = seen.movements().inputs(surface.axis());
    this.wanted = new double[input.length];
    for (int i = 0; i < input.length; i++) {
      wanted[i] = !Double.isNaN(input[i]) ? surface.wanted(input[i]) : Double.NaN;
    }
    this.gain = Math.max(Math.abs(surface.positiveDeg()), Math.abs(surface.negativeDeg())) / 100;
  }

  private static double[] withoutDroop(Seen seen, Surface surface, double[] recorded) {
    if (surface.droop().isEmpty() || !seen.even().has(Channel.Aside.FLAPS)) {
      return recorded;
    }
    double[] flaps = seen.even().of(Channel.Aside.FLAPS);
    double[] out = new double[recorded.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = recorded[i] - surface.droopAt(flaps[i]);
    }
    return out;
  }

  /** Judges it, and tells what it did in each movement of its own control. */
  List<Moved> judge() {
    List<Movement> movements = seen.movements().of(surface.axis());
    channel(movements);
    for (Movement e : movements) {
      movement(e);
    }
    rests(movements);
    double[] left = leftAlone();
    Rest rest = seen.rest(left, 0, left.length);
    for (Axis other : Axis.values()) {
      if (other != surface.axis()) {
        crossed(other, left, rest.enough(seen.evidence()) ? rest.mean() : 0);
      }
    }
    new FollowingJudge(seen, surface, findings, at, wanted, scatter).judge(moved);
    return moved;
  }

  private void channel(List<Movement> movements) {
    double[] input = seen.movements().inputs(surface.axis());
    double longest = 0;
    for (Movement e : movements) {
      longest = Math.max(longest, seen.silence(at, input, e.from(), e.to()));
    }
    double limit = seen.even().longestGap(Channel.position(surface.id()));
    double frozen = frozen(seen.trace().values(Channel.position(surface.id())));
    if (longest > limit) {
      findings.add(surface.axis(), surface.name(), CHANNEL, new Measured(longest, limit, 0, "s"), false,
          surface.name() + " was not recorded for " + Findings.s(longest) + " while its control was moved.");
    } else {
      findings.add(surface.axis(), surface.name(), CHANNEL, new Measured(frozen, FROZEN_S, 0, "s"),
          frozen < FROZEN_S, frozen < FROZEN_S
              ? surface.name() + " was recorded throughout."
              : surface.name() + " was recorded as the very same for " + Findings.s(frozen)
                  + ", while it scattered before: the recording has stopped, not the surface.");
    }
  }

  /** How long it was told as the very same, longer than chance allows; only what scatters at rest can tell. */
  private double frozen(double[] recorded) {
    double chance = Math.log(scatter.sameByChance());
    double longest = 0;
    int start = 0;
    for (int i = 1; i < recorded.length; i++) {
      if (recorded[i] != recorded[i - 1]) {
        start = i;
      } else if ((i - start) * chance < BY_CHANCE) {
        longest = Math.max(longest, seen.trace().seconds(i) - seen.trace().seconds(start));
      }
    }
    return longest;
  }

  private void movement(Movement e) {
    double full = surface.full(e.sign());
    double towards = Math.signum(full);
    double wantedDeg = e.full() ? Math.abs(full) : Math.abs(surface.wanted(e.sign() * e.peakPct()));
    Reach reach = seen.furthest(at, towards, e.heldFrom() - seen.skewSteps(), seen.heldEnd(e));
    int n = seen.evidence();
    double uncertainty = scatter.ofMean(n)
        + (e.full() ? 0 : seen.movements().scatter(surface.axis()).ofMean(n) * gain);
    if (reach.at() < 0) {
      findings.unjudged(Optional.of(surface.axis()), surface.name(), FULL_TRAVEL,
          new Measured(0, wantedDeg * towards, 0, "\u00b0", e.number()),
          surface.name() + " was not recorded with " + e.words() + ".");
      moved.add(new Moved(e, Double.NaN, false, false));
      return;
    }
    boolean rightWay = sense(e, wantedDeg * towards, uncertainty);
    double least = wantedDeg - surface.toleranceDeg();
    if (!rightWay || least <= 0) {
      moved.add(new Moved(e, reach.deg(), rightWay, rightWay));
      return;
    }
    Measured m = new Measured(reach.deg(), least, uncertainty, "\u00b0", e.number());
    boolean enough = m.atLeast();
    // With the sign of the way, so that one way is not taken for the other.
    Measured that = new Measured(reach.deg() * towards, least * towards, uncertainty, "\u00b0", e.number());
    // What is short by more than the recording can be wrong is short on any recorder.
    if (enough && uncertainty > surface.toleranceDeg()) {
      findings.unjudged(Optional.of(surface.axis()), surface.name(), FULL_TRAVEL, that,
          surface.name() + " is recorded too coarsely, " + deg(uncertainty) + ", to tell whether it reached its "
              + deg(wantedDeg) + ".");
      moved.add(new Moved(e, reach.deg(), false, true));
      return;
    }
    String to = way(surface.axis(), full);
    String of = e.full() ? deg(wantedDeg) : deg(wantedDeg) + " for " + Findings.pct(e.peakPct()) + " of the control";
    findings.add(surface.axis(), surface.name(), FULL_TRAVEL, that, enough, enough
        ? surface.name() + " reached " + deg(reach.deg()) + " " + to + " of " + of + e.which() + "."
        : surface.name() + " reached " + deg(reach.deg()) + " " + to + ", " + deg(wantedDeg - reach.deg())
            + " short of its " + of + e.which() + ".");
    if (enough && e.full()) {
      arrival(e, towards, least - uncertainty);
    }
    moved.add(new Moved(e, reach.deg(), enough, true));
  }

  private boolean sense(Movement e, double wantedDeg, double uncertainty) {
    double mean = Signal.mean(at, e.heldFrom(), Math.min(at.length, e.heldTo() + 1 + seen.lagSteps()));
    boolean moves = Math.abs(mean) >= MOVED_SHARE * Math.abs(wantedDeg) + uncertainty;
    boolean right = moves && Math.signum(mean) == Math.signum(wantedDeg);
    String with = surface.axis().words() + " " + surface.axis().toward(e.sign());
    findings.add(surface.axis(), surface.name(), SENSE, new Measured(mean, wantedDeg, uncertainty, "\u00b0",
        e.number()), right, right
            ? surface.name() + " moved " + way(surface.axis(), wantedDeg) + " with " + with + "."
            : moves
                ? surface.name() + " moved " + way(surface.axis(), mean) + " with " + with
                    + ": the wrong way. Stop, and call maintenance."
                : surface.name() + " did not move with " + with + ".");
    return right;
  }

  private void arrival(Movement e, double towards, double least) {
    int n = seen.evidence();
    int arrived = e.heldFrom();
    for (int i = Math.max(0, e.heldFrom() - seen.skewSteps()); i + n <= seen.heldEnd(e); i++) {
      arrived = i;
      if (Signal.mean(at, i, i + n) * towards >= least) {
        break;
      }
    }
    double late = Math.max(0, arrived - e.heldFrom()) * seen.even().step();
    Measured m = new Measured(late, Seen.seconds(spec.following().arrival()), seen.even().step(), "s", e.number());
    findings.add(surface.axis(), surface.name(), ARRIVAL, m, m.atMost(), surface.name() + " was there "
        + Findings.s(late) + " after its control" + (m.atMost() ? "." : ", " + Findings.s(m.limit())
            + " is the most."));
  }

  private void rests(List<Movement> movements) {
    Rest first = seen.atFirst(at);
    Rest last = first;
    for (Movement e : movements) {
      Rest rest = seen.rest(at, e.restFrom(), e.restTo());
      if (!rest.enough(seen.evidence())) {
        continue;
      }
      last = rest;
      double where = seen.rest(wanted, e.restFrom(), e.restTo()).mean();
      // The little a released control may still be off its middle is not held against the surface.
      double off = Math.abs(rest.mean()) < Math.abs(rest.mean() - where) ? rest.mean() : rest.mean() - where;
      Measured m = new Measured(Math.abs(off), spec.neutralDeg(), scatter.ofMean(rest.n()), "\u00b0", e.number());
      String after = movements.size() > 2 ? " after " + e.words() : "";
      findings.add(surface.axis(), surface.name(), NEUTRAL, m, m.atMost(), m.atMost()
          ? surface.name() + " came back to neutral within " + deg(Math.abs(off)) + after + "."
          : surface.name() + " rested " + deg(Math.abs(off)) + " from neutral" + after + "; "
              + deg(spec.neutralDeg()) + " is the most.");
    }
    if (first.enough(seen.evidence()) && last != first) {
      double drift = Math.abs(last.mean() - first.mean());
      Measured m = new Measured(drift, spec.neutralDeg(),
          Math.hypot(scatter.ofMean(first.n()), scatter.ofMean(last.n())), "\u00b0");
      findings.add(surface.axis(), surface.name(), DRIFT, m, m.atMost(), surface.name() + " rested "
          + deg(drift) + " from where it was before the check"
          + (m.atMost() ? "." : "; " + deg(spec.neutralDeg()) + " is the most."));
    }
  }

  /** How far it was from what its own control wanted, where that was left alone; not a number elsewhere. */
  private double[] leftAlone() {
    double[] own = seen.movements().inputs(surface.axis());
    double[] off = new double[at.length];
    for (int i = 0; i < off.length; i++) {
      off[i] = Math.abs(own[i]) <= 2 * spec.neutralInputPct() ? at[i] - wanted[i] : Double.NaN;
    }
    return off;
  }

  /** What it did while another axis was held at its stop and its own control was left alone. */
  private void crossed(Axis other, double[] off, double base) {
    double most = 0;
    int sign = 0;
    for (Movement e : seen.movements().of(other)) {
      int from = Math.min(e.heldFrom() + seen.lagSteps(), e.heldTo());
      double mean = Signal.mean(off, from, Math.max(e.heldTo(), from + seen.evidence())) - base;
      if (Math.abs(mean) > Math.abs(most)) {
        most = mean;
        sign = e.sign();
      } else if (!Double.isNaN(mean) && sign == 0) {
        sign = e.sign();
      }
    }
    if (sign == 0) {
      return;
    }
    Measured m = new Measured(Math.abs(most), spec.following().crossDeg(), scatter.ofMean(seen.evidence()), "\u00b0");
    findings.add(surface.axis(), surface.name(), CROSSED, m, m.atMost(), m.atMost()
        ? surface.name() + " stood still with " + other.words() + "."
        : surface.name() + " moved " + deg(Math.abs(most)) + " " + way(surface.axis(), most) + " with "
            + other.words() + " " + other.toward(sign) + ": crossed. Stop, and call maintenance.");
  }
}
