package neatlanyard.core.controls;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement.Finding;
import neatlanyard.core.controls.Judgement.Outcome;
import neatlanyard.core.units.Numbers;

/** Gathers what is found. A limit counts as broken only where what was measured lies beyond it by its uncertainty. */
final class Findings {
  private final List<Finding> findings = new ArrayList<>();

  List<Finding> all() {
    return findings;
  }

  /**
   * One number against its limit.
   *
   * @param movement 0 where it is of all
   */
  record Measured(double value, double limit, double uncertainty, String unit, int movement) {
    Measured(double value, double limit, double uncertainty, String unit) {
      this(value, limit, uncertainty, unit, 0);
    }

    boolean atLeast() {
      return value + uncertainty >= limit;
    }

    boolean atMost() {
      return value - uncertainty <= limit;
    }
  }

  boolean add(Axis axis, String subject, Criterion criterion, Measured m, boolean right, String words) {
    add(Optional.of(axis), subject, criterion, m,
        right ? Outcome.AS_IT_SHOULD_BE : Outcome.NOT_AS_IT_SHOULD_BE, words);
    return right;
  }

  boolean whole(String subject, Criterion criterion, Measured m, boolean right, String words) {
    add(Optional.empty(), subject, criterion, m,
        right ? Outcome.AS_IT_SHOULD_BE : Outcome.NOT_AS_IT_SHOULD_BE, words);
    return right;
  }

  void unjudged(Optional<Axis> axis, String subject, Criterion criterion, Measured m, String words) {
    add(axis, subject, criterion, m, Outcome.UNJUDGED, words);
  }

  private void add(
      Optional<Axis> axis, String subject, Criterion criterion, Measured m, Outcome outcome, String words) {
    findings.add(new Finding(axis, subject, criterion, m.movement(), outcome, round(m.value()), round(m.limit()),
        round(m.uncertainty()), m.unit(), words));
  }

  /** Three decimals are more than any of these can be measured to, and keep the record short. */
  private static double round(double v) {
    return Double.isFinite(v) ? Math.round(v * 1_000) / 1_000.0 : 0;
  }

  static String deg(double v) {
    return Numbers.plain(v, 1) + "\u00b0";
  }

  static String s(double v) {
    return Numbers.plain(v, 1) + " s";
  }

  static String pct(double v) {
    return Numbers.plain(v, 0) + " %";
  }

  /** The way a surface moves, in words. */
  static String way(Axis axis, double deg) {
    if (axis == Axis.YAW) {
      return deg > 0 ? "right" : "left";
    }
    return deg > 0 ? "up" : "down";
  }
}
