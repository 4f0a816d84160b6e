package neatlanyard.core.controls;

import static neatlanyard.core.controls.Findings.deg;
import static neatlanyard.core.controls.Judgement.Criterion.FULL_TRAVEL;
import static neatlanyard.core.controls.Judgement.Criterion.SPOILER_OUT;
import static neatlanyard.core.controls.Judgement.Criterion.SYMMETRY;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import neatlanyard.core.controls.ControlSpec.Pair;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.Findings.Measured;
import neatlanyard.core.controls.Judgement.Outcome;
import neatlanyard.core.controls.SurfaceJudge.Moved;

/**
 * Judges a flight control check by measurement, in every movement of it.
 *
 * <p>Positive input is nose up, right, right. Roll to one side raises that side's aileron, lowers the other and brings
 * the roll spoilers of that side out (FAA-H-8083-25, chapter 6). How each thing is measured, how surely, and where
 * that ends stands in docs/controls.md.
 */
public final class ControlCheck {
  private ControlCheck() {}

  /** What a recording lacks that a type's check cannot do without, as the names of channels; empty when it has all. */
  public static List<String> lacking(ControlSpec spec, Trace trace) {
    List<String> lacking = new ArrayList<>();
    for (Axis axis : Axis.values()) {
      if (trace.control(axis).length == 0) {
        lacking.add(Channels.name(Channel.input(axis)));
      }
    }
    spec.channels().stream().filter(id -> !trace.has(Channel.position(id))).forEach(lacking::add);
    return lacking;
  }

  /**
   * Judges a recording by a type's limits and a fleet's practice.
   *
   * @throws IllegalArgumentException if something is {@link #lacking}
   */
  public static Judgement judge(ControlSpec spec, Practice practice, Trace trace) {
    List<String> lacking = lacking(spec, trace);
    if (!lacking.isEmpty()) {
      throw new IllegalArgumentException("Not recorded: " + String.join(", ", lacking));
    }
    Seen seen = Seen.of(spec, trace);
    Findings findings = new Findings();
    List<String> missing = new ArrayList<>(new ControlJudge(seen, findings).judge(practice));
    Map<String, List<Moved>> moved = new LinkedHashMap<>();
    for (Surface surface : spec.surfaces()) {
      moved.put(surface.id(), new SurfaceJudge(seen, surface, findings).judge());
    }
    spec.spoilers().forEach(s -> new SpoilerJudge(seen, s, findings).judge());
    spec.pairs().forEach(p -> pair(spec, p, moved, findings));
    new PracticeJudge(seen, practice, findings).judge();
    new CallJudge(seen, findings).judge(missing, practice.called());
    // Travel is what the check is for: where the recording does not tell, it was not shown.
    findings.all().stream().filter(f -> f.outcome() == Outcome.UNJUDGED
        && (f.criterion() == FULL_TRAVEL || f.criterion() == SPOILER_OUT)).forEach(f -> missing.add(f.words()));
    return new Judgement(findings.all(), missing, Causes.of(findings.all(), spec));
  }

  /** The two are compared the same way: both up, both down; of halves that move together, in the same movement. */
  private static void pair(ControlSpec spec, Pair pair, Map<String, List<Moved>> moved, Findings findings) {
    for (Surface left : spec.surfaces()) {
      for (Surface right : spec.surfaces()) {
        if (left.id().equals(pair.left()) && right.id().equals(pair.right())) {
          for (int way : new int[] {1, -1}) {
            double l = reached(left, moved.getOrDefault(left.id(), List.of()), way);
            double r = reached(right, moved.getOrDefault(right.id(), List.of()), way);
            Measured m = new Measured(Math.abs(l - r), pair.toleranceDeg(), 0, "\u00b0");
            if (!Double.isNaN(l) && !Double.isNaN(r)) {
              String to = Findings.way(left.axis(), way);
              findings.add(left.axis(), pair.name(), SYMMETRY, m, m.atMost(), pair.name() + " went " + deg(l) + " and "
                  + deg(r) + " " + to + ", left and right"
                  + (m.atMost() ? "." : "; " + deg(m.limit()) + " apart is the most."));
            }
          }
        }
      }
    }
  }

  /** How far a surface got that way, the mean of its movements to the stop; not a number where it made none. */
  private static double reached(Surface surface, List<Moved> moved, int way) {
    return moved.stream()
        .filter(m -> m.movement().full() && m.rightWay() && surface.full(m.movement().sign()) * way > 0)
        .mapToDouble(Moved::reachedDeg).average().orElse(Double.NaN);
  }
}
