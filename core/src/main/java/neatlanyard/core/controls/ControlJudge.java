package neatlanyard.core.controls;

import static neatlanyard.core.controls.Judgement.Criterion.DATA;
import static neatlanyard.core.controls.Judgement.Criterion.INPUT_FULL;
import static neatlanyard.core.controls.Judgement.Criterion.INPUT_HELD;
import static neatlanyard.core.controls.Judgement.Criterion.SECOND_STICK;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.Channel.Inceptor;
import neatlanyard.core.controls.Channel.Input;
import neatlanyard.core.controls.Findings.Measured;

/** Judges the controls themselves: full, held, from each seat; and says what was not shown yet. */
final class ControlJudge {
  private static final int[] SIGNS = {1, -1};

  private final Seen seen;
  private final Findings findings;
  private final List<String> missing = new ArrayList<>();

  ControlJudge(Seen seen, Findings findings) {
    this.seen = seen;
    this.findings = findings;
  }

  /** What is missing, in words. */
  List<String> judge(Practice practice) {
    for (Axis axis : Axis.values()) {
      for (int sign : SIGNS) {
        direction(axis, axis.title(), seen.movements().of(axis, sign), sign, true);
      }
      rested(axis);
    }
    if (practice.bothSticks()) {
      sticks();
    }
    gap();
    return missing;
  }

  /** A direction is shown by its best movement; how the surfaces went is judged in each. */
  private void direction(Axis axis, String subject, List<Movement> all, int sign, boolean judged) {
    double least = seen.spec().fullInputPct();
    double wantedS = Seen.seconds(seen.spec().hold());
    Optional<Movement> furthest = all.stream().max(Comparator.comparingDouble(Movement::peakPct));
    Optional<Movement> longest = all.stream().filter(Movement::full)
        .max(Comparator.comparingDouble(Movement::heldS));
    double peak = furthest.map(Movement::peakPct).orElse(0.0);
    boolean full = longest.isPresent();
    double held = longest.map(Movement::heldS).orElse(0.0);
    // A sample more or less at each end is within what the recording can tell.
    boolean longEnough = held + seen.even().step() >= wantedS;
    String toward = axis.toward(sign);
    String fullWords = full ? subject + ": control moved fully " + toward + "."
        : subject + ": control moved " + Findings.pct(peak) + " " + toward + ", " + Findings.pct(least)
            + " is wanted. Move it to the stop.";
    String heldWords = longEnough ? subject + ": held " + toward + " for " + Findings.s(held) + "."
        : subject + ": held at the " + toward + " stop for " + Findings.s(held) + ", " + Findings.s(wantedS)
            + " is wanted for the surface to get there.";
    if (judged) {
      int n = seen.evidence();
      shown(axis, subject + " control", INPUT_FULL,
          new Measured(peak, least, seen.movements().scatter(axis).ofMean(n), "%"), full, fullWords);
      shown(axis, subject + " control", INPUT_HELD, new Measured(held, wantedS, seen.even().step(), "s"), longEnough,
          heldWords);
    }
    if (!full) {
      missing.add(fullWords);
    } else if (!longEnough) {
      missing.add(heldWords);
    }
  }

  /** What was not moved is nobody's fault yet: it is missing. */
  private void shown(Axis axis, String subject, Judgement.Criterion criterion, Measured m, boolean shown,
      String words) {
    if (shown) {
      findings.add(axis, subject, criterion, m, true, words);
    } else {
      findings.unjudged(Optional.of(axis), subject, criterion, m, words);
    }
  }

  private void rested(Axis axis) {
    List<Movement> all = seen.movements().of(axis);
    boolean seenAtRest = all.stream().anyMatch(e ->
        seen.rest(seen.movements().inputs(axis), e.restFrom(), e.restTo()).enough(seen.evidence()));
    if (!all.isEmpty() && !seenAtRest) {
      missing.add(axis.title() + ": let go and wait " + Findings.s(Seen.seconds(seen.spec().settle()))
          + ", to see it come back to neutral.");
    }
  }

  private void sticks() {
    boolean told = false;
    for (Inceptor seat : new Inceptor[] {Inceptor.LEFT, Inceptor.RIGHT}) {
      for (Axis axis : new Axis[] {Axis.PITCH, Axis.ROLL}) {
        if (seen.even().has(new Input(seat, axis))) {
          told = true;
          List<Movement> moved = seen.movements().of(seat, axis);
          for (int sign : SIGNS) {
            String subject = (seat == Inceptor.LEFT ? "Left stick, " : "Right stick, ") + axis.words();
            direction(axis, subject, moved.stream().filter(e -> e.sign() == sign).toList(), sign, false);
          }
        }
      }
    }
    if (!told) {
      findings.unjudged(Optional.empty(), "Second stick", SECOND_STICK, new Measured(0, 0, 0, ""),
          "The seats' sticks were not recorded apart: whether both were moved is not told.");
    }
  }

  /** A silence while a control was away from its middle could hide a surface that stuck. */
  private void gap() {
    double limit = seen.even().longestGap(Channel.input(Axis.PITCH));
    double longest = 0;
    for (Movement e : seen.movements().all()) {
      longest = Math.max(longest, e.silent());
    }
    boolean whole = longest <= limit;
    String words = whole ? "The data has no gap while a control was moved."
        : "The data has a gap of " + Findings.s(longest) + " while a control was moved; make the check again.";
    if (whole) {
      findings.whole("Data", DATA, new Measured(longest, limit, 0, "s"), true, words);
    } else {
      findings.unjudged(Optional.empty(), "Data", DATA, new Measured(longest, limit, 0, "s"), words);
      missing.add(words);
    }
  }
}
