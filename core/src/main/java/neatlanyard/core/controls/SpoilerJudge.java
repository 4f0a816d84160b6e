package neatlanyard.core.controls;

import static neatlanyard.core.controls.Findings.deg;
import static neatlanyard.core.controls.Judgement.Criterion.CHANNEL;
import static neatlanyard.core.controls.Judgement.Criterion.SPOILER_IN;
import static neatlanyard.core.controls.Judgement.Criterion.SPOILER_OUT;
import static neatlanyard.core.controls.Judgement.Criterion.SPOILER_SCHEDULE;

import java.util.Optional;
import neatlanyard.core.controls.ControlSpec.Spoiler;
import neatlanyard.core.controls.Findings.Measured;

/** Judges one roll spoiler: out with roll to its side, by its schedule, and in otherwise. */
final class SpoilerJudge {
  private final Seen seen;
  private final Spoiler spoiler;
  private final Findings findings;
  private final double[] at;
  private final Scatter scatter;

  SpoilerJudge(Seen seen, Spoiler spoiler, Findings findings) {
    this.seen = seen;
    this.spoiler = spoiler;
    this.findings = findings;
    this.at = seen.even().of(Channel.position(spoiler.id()));
    this.scatter = seen.scatter(Channel.position(spoiler.id()));
  }

  void judge() {
    int number = 0;
    double silent = 0;
    for (Movement e : seen.movements().of(Axis.ROLL)) {
      silent = Math.max(silent, seen.silence(at, seen.movements().inputs(Axis.ROLL), e.from(), e.to()));
      if (e.sign() == spoiler.side()) {
        out(e);
      }
      in(e, ++number);
    }
    double longest = seen.even().longestGap(Channel.position(spoiler.id()));
    findings.add(Axis.ROLL, spoiler.name(), CHANNEL, new Measured(silent, longest, 0, "s"), silent <= longest,
        silent <= longest ? spoiler.name() + " was recorded throughout."
            : spoiler.name() + " was not recorded for " + Findings.s(silent) + " while the control was moved.");
    if (!spoiler.schedule().isEmpty()) {
      schedule();
    }
  }

  private void out(Movement e) {
    if (!e.full()) {
      return;
    }
    double out = seen.furthest(at, 1, e.heldFrom() - seen.skewSteps(), seen.heldEnd(e)).deg();
    String with = " with " + e.words();
    if (Double.isNaN(out)) {
      findings.unjudged(Optional.of(Axis.ROLL), spoiler.name(), SPOILER_OUT,
          new Measured(0, spoiler.outDeg(), 0, "\u00b0", e.number()),
          spoiler.name() + " was not recorded" + with + ".");
      return;
    }
    Measured m = new Measured(out, spoiler.outDeg(), scatter.ofMean(seen.evidence()), "\u00b0", e.number());
    findings.add(Axis.ROLL, spoiler.name(), SPOILER_OUT, m, m.atLeast(), spoiler.name() + " came out " + deg(out)
        + with + (m.atLeast() ? "." : ", at least " + deg(spoiler.outDeg()) + " is wanted."));
  }

  /** Where it stood while roll was held to the other side, or rested after a movement to its own. */
  private void in(Movement e, int number) {
    double stayed;
    int n;
    if (e.sign() == spoiler.side()) {
      Seen.Rest rest = seen.rest(at, e.restFrom(), e.restTo());
      if (!rest.enough(seen.evidence())) {
        return;
      }
      stayed = rest.mean();
      n = rest.n();
    } else {
      int from = Math.min(e.heldTo(), e.heldFrom() + seen.lagSteps() + seen.even().steps(0.5));
      stayed = Signal.mean(at, from, Math.max(e.heldTo() + 1, from + seen.evidence()));
      n = Math.max(1, e.heldTo() + 1 - from);
      if (Double.isNaN(stayed)) {
        return;
      }
    }
    Measured m = new Measured(stayed, spoiler.inDeg(), scatter.ofMean(n), "\u00b0", number);
    findings.add(Axis.ROLL, spoiler.name(), SPOILER_IN, m, m.atMost(), m.atMost()
        ? spoiler.name() + " went back in."
        : spoiler.name() + " stayed out " + deg(stayed) + " when it should be in; " + deg(spoiler.inDeg())
            + " is the most.");
  }

  private void schedule() {
    double[] roll = seen.movements().inputs(Axis.ROLL);
    double[] wanted = new double[roll.length];
    for (int i = 0; i < wanted.length; i++) {
      wanted[i] = !Double.isNaN(roll[i]) ? spoiler.wanted(roll[i]) : Double.NaN;
    }
    int n = seen.evidence();
    for (Movement e : seen.movements().of(Axis.ROLL, spoiler.side())) {
      double worst = Band.of(seen, wanted, e)
          .worst(seen, at, 0, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
      Measured m = new Measured(Math.abs(worst), spoiler.toleranceDeg(), scatter.ofMean(n), "\u00b0", e.number());
      findings.add(Axis.ROLL, spoiler.name(), SPOILER_SCHEDULE, m, m.atMost(), spoiler.name() + " was within "
          + deg(Math.abs(worst)) + " of its schedule, " + e.words()
          + (m.atMost() ? "." : "; " + deg(m.limit()) + " is the most."));
    }
  }
}
