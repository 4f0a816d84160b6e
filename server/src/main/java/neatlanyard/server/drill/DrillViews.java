package neatlanyard.server.drill;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.drill.Task;
import neatlanyard.server.controls.ControlViews.ControlCheckView;
import neatlanyard.server.sop.CardViews.PlanformView;

/** What the interface is told of drills. */
public final class DrillViews {
  private DrillViews() {}

  /**
   * What is asked for.
   *
   * @param type empty with {@code again}
   * @param task as a {@link TaskView} tells it; watching where it is not said
   * @param rounds how many; the usual number where it is not said
   * @param seed draws the same again; another each time where it is not said
   * @param again a drill of one's own, to be done once more exactly as it was drawn
   */
  public record DrillForm(
      Optional<String> type, Optional<String> task, Optional<Integer> rounds, Optional<Long> seed,
      Optional<String> again) {}

  /**
   * A drill to be flown on the device.
   *
   * @param spec JSON, as it stands in a pack under {@code flight-controls}
   * @param drill JSON: what was drawn
   */
  public record DrillBegunView(
      String id, String title, Task task, long seed, int rounds, ControlCheckView controlCheck, PlanformView planform,
      String spec, String drill) {}

  /** What somebody did in one round; see the core's {@code Answer}. */
  public record RoundForm(
      Optional<Double> stoppedS, Optional<Double> shownS, int passed, int callsRight, int callsWrong,
      boolean complete, double tookS) {}

  /** @param answers to the first rounds, in order: who leaves early has answered fewer */
  public record RoundsForm(List<RoundForm> answers) {}

  /** A type that can be drilled. */
  public record DrillTypeView(String type, String title) {}

  /** Why a step of a type is done. @param procedure its title */
  public record ReasonView(String procedure, String challenge, String response, String why) {}

  /** What somebody does. @param words in a few words */
  public record TaskView(Task task, String title, String words) {}

  /**
   * How well what was wrong was told from what was not.
   *
   * @param dPrime 0 is guessing
   * @param criterion above 0 one rather lets pass, below 0 one rather stops
   */
  public record MeasuredView(double dPrime, double criterion, double error, String words) {}

  /** What all answers come to. @param limits how large the next faults are, as times what is allowed */
  public record DetectionView(
      int found, int missed, int falseAlarms, int letPass, Optional<MeasuredView> measured) {}

  /** One task over all drills. */
  public record TaskScoreView(Task task, int drills, int complete, int rounds, DetectionView detection,
      double limits) {}

  /** Faults of one size. @param size in words @param reactionS median of those found */
  public record BandView(String size, int found, int of, Optional<Double> reactionS) {}

  public record KindScoreView(String title, List<BandView> bands) {}

  /** One drill that was answered. */
  public record DrillLineView(
      String id, Instant at, String type, Task task, long seed, int rounds, DetectionView detection, int callsRight,
      int callsWrong, int complete, double limits) {}

  /** Everything of one person. @param harder how it gets harder, in words @param past the latest first */
  public record DrillsView(
      List<DrillTypeView> types, List<TaskView> tasks, String harder, List<TaskScoreView> scores,
      List<KindScoreView> kinds, List<DrillLineView> past) {}

  /** @param right whether it was answered as it should be */
  public record RoundView(boolean right, String words) {}

  public record DrillResultView(DrillLineView line, List<RoundView> rounds) {}
}
