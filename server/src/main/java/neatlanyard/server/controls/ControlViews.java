package neatlanyard.server.controls;

import java.util.List;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Judgement.Criterion;

/** What the interface is told of the control check. */
public final class ControlViews {
  private ControlViews() {}

  public record FindingView(
      Axis axis, String subject, Criterion criterion, boolean passed, double measured, double limit, String unit,
      String words) {}

  public record JudgementView(boolean passed, String summary, List<FindingView> findings) {}

  /**
   * Samples as they come.
   *
   * @param values each: seconds, pitch, roll and yaw in per cent, then the surfaces in degrees
   */
  public record Samples(long check, boolean first, List<List<Double>> values) {}

  /** How the simulated aircraft may be told to behave. */
  public record Behaviour(String name, String words) {}
}
