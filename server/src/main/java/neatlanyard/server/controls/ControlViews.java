package neatlanyard.server.controls;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Judgement.Cause;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement.Outcome;
import neatlanyard.core.controls.Judgement.Verdict;

/** What the interface is told of the control check. */
public final class ControlViews {
  private ControlViews() {}

  /**
   * One criterion of one control or surface.
   *
   * @param axis empty where it is of none
   * @param movement the how-manieth movement that way, from 1; 0 where it is of all
   */
  public record FindingView(
      Optional<Axis> axis, String subject, Criterion criterion, int movement, Outcome outcome, double measured,
      double limit, double uncertainty, String unit, String words) {}

  /** What a fault is likely to come from. */
  public record SuggestionView(Cause cause, String words) {}

  /** @param missing what was not shown yet, in words */
  public record JudgementView(
      Verdict verdict, String summary, List<FindingView> findings, List<String> missing,
      List<SuggestionView> suggestions) {}

  /**
   * Samples as they come.
   *
   * @param values each: seconds, pitch, roll and yaw in per cent, then the surfaces in degrees
   */
  public record Samples(long check, boolean first, List<List<Double>> values) {}

  /** How the simulated aircraft may be told to behave. */
  public record Behaviour(String name, String words) {}
}
