package neatlanyard.core.controls;

import java.util.List;

/** What a control check showed: every criterion with what was measured, what was wanted, and the words for it. */
public record Judgement(List<Finding> findings) {
  public Judgement {
    findings = List.copyOf(findings);
  }

  /** What is judged. */
  public enum Criterion {
    DATA,
    ORDER,
    INPUT_FULL,
    INPUT_HELD,
    SENSE,
    FULL_TRAVEL,
    CORRELATION,
    NEUTRAL,
    SPOILER_OUT,
    SPOILER_IN
  }

  /**
   * One criterion of one control or surface.
   *
   * @param subject the control or surface in words
   * @param measured and
   * @param limit in {@code unit}
   */
  public record Finding(
      Axis axis,
      String subject,
      Criterion criterion,
      boolean passed,
      double measured,
      double limit,
      String unit,
      String words) {}

  public boolean passed() {
    return !findings.isEmpty() && findings.stream().allMatch(Finding::passed);
  }

  public List<Finding> failed() {
    return findings.stream().filter(f -> !f.passed()).toList();
  }

  /** One sentence for the cord and the record. */
  public String summary() {
    List<Finding> failed = failed();
    if (failed.isEmpty()) {
      return "Full, free, correct sense and back to neutral in pitch, roll and yaw; roll spoilers out and in.";
    }
    String more = failed.size() > 1 ? " And %d more.".formatted(failed.size() - 1) : "";
    return failed.getFirst().words() + more;
  }
}
