package neatlanyard.core.controls;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a control check showed.
 *
 * @param findings every criterion of every movement with what was measured, what was wanted, and the words for it
 * @param missing what was not shown yet and must be, in words; empty when the check is complete
 * @param suggestions what the findings look like, likeliest first; no release and no diagnosis
 */
public record Judgement(List<Finding> findings, List<String> missing, List<Suggestion> suggestions) {
  public Judgement {
    findings = List.copyOf(findings);
    missing = List.copyOf(missing);
    suggestions = List.copyOf(suggestions);
  }

  /** What is judged. */
  public enum Criterion {
    DATA,
    CHANNEL,
    ORDER,
    PLACE,
    AUTOBRAKE,
    DISCONNECT,
    PRESSURE,
    CALL,
    INPUT_FULL,
    INPUT_HELD,
    SECOND_STICK,
    SENSE,
    CROSSED,
    FULL_TRAVEL,
    ARRIVAL,
    FOLLOWING,
    CORRELATION,
    GEARING,
    LAG,
    PLAY,
    DEAD_BAND,
    JUMPS,
    NEUTRAL,
    DRIFT,
    SYMMETRY,
    SPOILER_OUT,
    SPOILER_SCHEDULE,
    SPOILER_IN
  }

  /** How a criterion came out. */
  public enum Outcome {
    AS_IT_SHOULD_BE,
    NOT_AS_IT_SHOULD_BE,
    /** The recording does not tell. */
    UNJUDGED
  }

  /**
   * One criterion of one control or surface.
   *
   * @param axis empty where it is of none
   * @param subject the control or surface in words
   * @param movement the how-manieth movement that way, from 1; 0 where it is of all of them
   * @param measured and
   * @param limit and
   * @param uncertainty of what was measured, as it was allowed for, in {@code unit}
   */
  public record Finding(
      Optional<Axis> axis, String subject, Criterion criterion, int movement, Outcome outcome, double measured,
      double limit, double uncertainty, String unit, String words) {
    public boolean passed() {
      return outcome == Outcome.AS_IT_SHOULD_BE;
    }
  }

  /** What a fault is likely to come from. */
  public enum Cause {
    GUST_LOCK,
    REVERSED,
    CROSSED,
    JAMMED,
    SHORT_TRAVEL,
    STIFFNESS,
    LOW_PRESSURE,
    SENSOR,
    RIGGING,
    RECORDER
  }

  /**
   * A likely cause.
   *
   * @param weight how well it explains what was found, 0..1
   */
  public record Suggestion(Cause cause, double weight, String words) {}

  /** What stands at the end. */
  public enum Verdict {
    PASSED,
    /** Nothing is wrong, but something was not shown. */
    INCOMPLETE,
    NOT_PASSED
  }

  public Verdict verdict() {
    return !failed().isEmpty() ? Verdict.NOT_PASSED
        : missing.isEmpty() && !findings.isEmpty() ? Verdict.PASSED : Verdict.INCOMPLETE;
  }

  public boolean passed() {
    return verdict() == Verdict.PASSED;
  }

  public List<Finding> failed() {
    return of(Outcome.NOT_AS_IT_SHOULD_BE);
  }

  public List<Finding> of(Outcome outcome) {
    return findings.stream().filter(f -> f.outcome() == outcome).toList();
  }

  /** One sentence for the cord and the record. */
  public String summary() {
    List<Finding> failed = failed();
    List<String> told = failed.isEmpty() ? missing : failed.stream().map(Finding::words).toList();
    if (told.isEmpty()) {
      boolean spoilers = findings.stream().anyMatch(f -> f.criterion() == Criterion.SPOILER_OUT);
      return "Full, free, correct sense and back to neutral in pitch, roll and yaw"
          + (spoilers ? "; roll spoilers out and in." : ".");
    }
    String more = told.size() > 1 ? " And " + (told.size() - 1) + " more." : "";
    return (failed.isEmpty() ? "Still to show: " : "") + told.getFirst() + more;
  }

  /**
   * As it goes into the log: of what was as it should be, the movement nearest its limit stands for all; what was
   * not, and what could not be judged, whole. The recording is kept beside it, so nothing is lost.
   */
  public Judgement toKeep() {
    Map<String, Finding> kept = new LinkedHashMap<>();
    List<Finding> whole = new ArrayList<>();
    for (Finding f : findings) {
      if (f.passed()) {
        String key = f.subject() + "/" + f.criterion() + "/" + (f.measured() < 0) + "/" + (f.limit() < 0);
        kept.merge(key, f, (a, b) -> margin(a) <= margin(b) ? a : b);
      } else {
        whole.add(f);
      }
    }
    whole.addAll(kept.values());
    return new Judgement(whole, missing, suggestions);
  }

  private static double margin(Finding f) {
    return Math.abs(Math.abs(f.limit()) - Math.abs(f.measured()));
  }
}
