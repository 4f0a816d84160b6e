package neatlanyard.server.controls;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Channel.Inceptor;
import neatlanyard.core.controls.Judgement.Cause;
import neatlanyard.core.controls.Judgement.Criterion;
import neatlanyard.core.controls.Judgement.Outcome;
import neatlanyard.core.controls.Judgement.Verdict;
import neatlanyard.core.controls.Practice;

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
   * @param from the number of the first of them in the check: where a device has more, it forgets what it has from
   *     there on, and where it has less, it has missed something
   * @param values each: seconds, then the channels of the check; null where nothing was recorded
   */
  public record Samples(long check, int from, List<List<Double>> values) {}

  /** How a fleet makes the check, see {@link Practice}. */
  public record PracticeView(
      List<Axis> order, boolean bothSticks, boolean disconnected, boolean standing, boolean called) {
    public static PracticeView of(Practice p) {
      return new PracticeView(p.order(), p.bothSticks(), p.disconnected(), p.standing(), p.called());
    }
  }

  /**
   * What the type and the fleet want of a control check.
   *
   * @param wanted every movement of a whole one, in the order in which they are asked
   */
  public record ControlCheckView(List<AxisView> axes, List<WantedView> wanted, PracticeView practice) {}

  /** One axis of the control check as it is drawn. @param surfaces roll spoilers too */
  public record AxisView(Axis axis, String name, String positive, String negative, List<SurfaceView> surfaces) {}

  /**
   * A surface or roll spoiler.
   *
   * @param channel its name in a recording
   * @param positiveDeg with the control fully nose up or right
   * @param negativeDeg with the control fully nose down or left
   */
  public record SurfaceView(
      String channel, String name, boolean spoiler, double positiveDeg, double negativeDeg, double toleranceDeg) {}

  /** @param seat any, left or right: whose control is moved @param sign 1 nose up or right, -1 nose down or left */
  public record WantedView(Inceptor seat, Axis axis, int sign, String words) {}

  /** A call as it was pressed. @param sign 1, -1, or 0 for neutral */
  public record CallView(long check, double seconds, Axis axis, int sign, String by) {}

  /** How far a check has come. */
  public enum CheckStands {
    UNDER_WAY,
    /** The link broke off; what came until then is kept, and the check can go on. */
    BROKEN_OFF,
    ENDED
  }

  /** What became of a check. */
  public record CheckTold(long check, CheckStands stands) {}

  /**
   * A check with all that was told of it.
   *
   * @param channels names of what each sample has after its time
   * @param spec JSON, as it stands in a pack under {@code flight-controls}
   */
  public record CheckUnderWayView(
      long check, CheckStands stands, List<String> channels, String spec, PracticeView practice,
      List<List<Double>> values, List<CallView> calls) {}

  /** The check that is under way or broken off; none where there is none. */
  public record CheckNow(Optional<CheckUnderWayView> check) {}

  /** What the simulated aircraft may be told. */
  public record SimulatedChoices(List<Behaviour> behaviours, List<Behaviour> recorders, List<Behaviour> links) {}

  /** One thing that the simulated aircraft may be told. */
  public record Behaviour(String name, String words) {}
}
