package neatlanyard.core.controls;

import static neatlanyard.core.controls.Judgement.Criterion.CALL;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.Findings.Measured;

/** Holds the calls against what the surfaces did: a call before the surface was there is a wrong call. */
final class CallJudge {
  /** A clock of one device against another's, seconds. Common practice, no source. */
  private static final double CLOCKS_S = 0.15;

  private final Seen seen;
  private final Findings findings;

  CallJudge(Seen seen, Findings findings) {
    this.seen = seen;
    this.findings = findings;
  }

  /** Whether each direction was called, in words of what was not; empty where nothing was called at all. */
  void judge(List<String> missing, boolean wanted) {
    List<Call> calls = seen.trace().calls();
    if (calls.isEmpty()) {
      if (wanted) {
        findings.unjudged(Optional.empty(), "Calls", CALL, new Measured(0, 0, 0, ""), "No calls were pressed.");
      }
      return;
    }
    for (Call call : calls) {
      call(call);
    }
    for (Axis axis : Axis.values()) {
      for (int sign : new int[] {1, -1}) {
        if (wanted && calls.stream().noneMatch(c -> c.axis() == axis && c.sign() == sign)) {
          missing.add("Full " + axis.toward(sign) + " was not called in " + axis.words() + ".");
        }
      }
    }
  }

  private void call(Call call) {
    int at = seen.even().at(call.seconds() + CLOCKS_S);
    int later = seen.even().at(call.seconds()) - seen.lagSteps() - seen.even().steps(1.5);
    if (call.sign() == 0) {
      neutral(call, at);
      return;
    }
    String said = "\"Full " + call.axis().toward(call.sign()) + "\"";
    Optional<Movement> during = seen.movements().of(call.axis(), call.sign()).stream()
        .filter(e -> e.from() <= at && e.to() >= later).reduce((a, b) -> b);
    if (during.isEmpty()) {
      findings.add(call.axis(), "Call", CALL, new Measured(call.seconds(), 0, 0, "s"), false,
          said + " was called at " + Findings.s(call.seconds()) + " while the control was not there.");
      return;
    }
    double lacking = 0;
    String which = "";
    for (Surface s : seen.spec().surfaces(call.axis())) {
      double full = s.full(call.sign());
      double[] values = seen.even().of(Channel.position(s.id()));
      double reached = seen.furthest(values, Math.signum(full), during.get().from(), at + seen.evidence() / 2 + 1)
          .deg();
      double left = Math.abs(full) - s.toleranceDeg() - reached
          - seen.scatter(Channel.position(s.id())).ofMean(seen.evidence());
      if (!(left <= lacking)) {
        lacking = !Double.isNaN(reached) ? left : Math.abs(full);
        which = s.name();
      }
    }
    boolean right = which.isEmpty();
    findings.add(call.axis(), "Call", CALL, new Measured(lacking, 0, 0, "\u00b0", during.get().number()), right,
        right ? said + " was called when it was there."
            : said + " was called before the " + which.toLowerCase(java.util.Locale.ROOT) + " was there.");
  }

  /** Neutral is where a surface rested before the check; called while one was still away from it, it is wrong. */
  private void neutral(Call call, int at) {
    double most = 0;
    String which = "";
    int n = seen.evidence();
    for (Surface s : seen.spec().surfaces(call.axis())) {
      double[] values = seen.even().of(Channel.position(s.id()));
      Seen.Rest before = seen.atFirst(values);
      double from = before.enough(n) ? before.mean() : 0;
      double off = Math.abs(Signal.mean(values, Math.max(0, at - n + 1), at + 1) - from)
          - seen.spec().neutralDeg() - seen.scatter(Channel.position(s.id())).ofMean(n);
      if (off > most) {
        most = off;
        which = s.name();
      }
    }
    boolean right = which.isEmpty();
    findings.add(call.axis(), "Call", CALL, new Measured(most, 0, 0, "\u00b0"), right,
        right ? "\"Neutral\" was called in " + call.axis().words() + " when it was there."
            : "\"Neutral\" was called before the " + which.toLowerCase(java.util.Locale.ROOT) + " was back.");
  }
}
