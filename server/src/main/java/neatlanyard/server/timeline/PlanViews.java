package neatlanyard.server.timeline;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.ahead.OtherEnd;
import org.jspecify.annotations.Nullable;

/** What the interface is told of the plan. */
public final class PlanViews {
  private PlanViews() {}

  /** What came of planning. */
  public enum PlanState {
    /** There is no card yet, or the departure is tied off: nothing is planned. */
    NOTHING,
    PLANNED,
    /** What is demanded cannot hold together. */
    CLASH,
    /** Nothing was found in the time there was. */
    NO_TIME
  }

  /**
   * The plan from now on.
   *
   * @param at when it was worked out, and where it begins
   * @param number of the entry after which it was
   * @param wanted the departure of the flight
   * @param clash sentences that cannot hold together; {@code smallest} where none of them can be left out
   */
  public record PlanView(
      PlanState state, Instant at, long number, Instant wanted, Optional<FoundView> found, List<String> clash,
      boolean smallest, List<GroundEventView> ground, Optional<OtherEndView> otherEnd) {}

  /**
   * What waiting costs at the other end.
   *
   * @param to the name of the destination
   * @param lands when it lands, by the plan; where there is none, as planned by operations
   * @param wanted when it should have landed
   * @param lateS how much later it lands, in seconds; 0 where it does not, or nothing waits for it
   * @param until the last departure that loses nothing for certain; empty where waiting costs nothing that is known
   * @param limits what a landing there wants, in words; empty where nobody said, so that no forecast is held to it
   */
  public record OtherEndView(
      String to, Instant lands, Optional<Instant> wanted, long lateS, Optional<Instant> until, List<LossView> losses,
      Optional<ForecastView> forecast, String limits) {}

  /**
   * Something that is lost by departing within a time.
   *
   * @param certain whether it is, if what is known holds
   * @param now whether the departure by the plan loses it
   */
  public record LossView(
      Instant from, Optional<Instant> to, OtherEnd.Kind kind, String words, boolean certain, boolean now) {}

  /** @param source who says so */
  public record ForecastView(String text, String source, boolean simulated) {}

  /** What a crew says of the other end; what is empty is as operations or the service say. */
  public record OtherEndForm(Optional<Instant> wanted, Optional<String> forecast) {}

  /**
   * A flight whose aircraft or people come from another.
   *
   * @param next the flight
   * @param before the number of the other one
   * @param who of its crew comes from there, by name
   * @param there when they are there
   * @param lateS how much later the next one departs for it, in seconds
   */
  public record TurnRoundView(
      String next, String before, List<String> who, boolean aircraft, Instant there, String zone, long lateS) {}

  /**
   * How what was said of departures came true.
   *
   * @param brier score of the plans, {@code clock} of the plain clock, {@code base} of whoever always says the same; 0
   *     is always right
   * @param came share of all that were on time, 0 to 1
   */
  public record CalibrationView(
      int count, List<CalibratedView> groups, double brier, double clock, double base, double came,
      Optional<Instant> first, Optional<Instant> last) {}

  /** Departures of which nearly the same was said, 0 to 1; the truth lies between in 95 of 100 cases. */
  public record CalibratedView(int count, double said, double came, double least, double most) {}

  /**
   * A plan that was found.
   *
   * @param departs the departure that follows from it
   * @param bound no plan departs before this; the same as {@code departs} where {@code earliest}
   * @param earliest whether no other plan departs earlier
   * @param likely how likely the departure is on time, 0 to 1, of {@code runs} simulated
   * @param half when it departs in half of the runs, and {@code nine} in nine of ten
   * @param hangs what it hangs on, from now to the departure
   * @param learned from how many procedures of earlier departures its times were learned; 0 where they are estimates
   * @param monitoring what the pilot monitoring is done with later than is wanted
   */
  public record FoundView(
      Instant departs, Instant bound, boolean earliest, double likely, int runs, Instant half, Instant nine,
      List<PersonPlanView> strips, List<PlanWaitView> waits, List<HangsView> hangs, List<DecidesView> decides,
      int learned, List<LaterThanWantedView> monitoring) {}

  /** @param done when it is over by the plan */
  public record LaterThanWantedView(String what, Instant done, Instant wanted) {}

  /** What one does. @param seat empty for what others do */
  public record PersonPlanView(Optional<Seat> seat, String name, List<BlockView> blocks) {}

  /**
   * Something that is done in one go.
   *
   * @param with the other seats that do it at the same time
   * @param latest when it must have begun for the departure not to slip
   * @param slackS how much later that is, in seconds
   * @param critical whether the departure hangs on it
   * @param steps how many are open
   * @param places where it is done, panel by panel
   */
  public record BlockView(
      String id, String what, Optional<Stage> stage, Instant begins, Instant ends, List<Seat> with, Instant latest,
      long slackS, boolean critical, boolean outside, int steps, List<String> places) {}

  /** A time nobody can shorten. @param what such as "before the stall-warning test" */
  public record PlanWaitView(String what, Instant begins, Instant ends) {}

  /** @param because why it is not earlier */
  public record HangsView(String what, Instant begins, Instant ends, String because) {}

  /** @param share of the late runs in which it decided, 0 to 1 */
  public record DecidesView(String what, double share) {}

  public record GroundEventView(
      GroundEvent.Kind kind, String words, Instant begins, Instant ends, String source, boolean simulated) {}

  /**
   * Something that would buy time, tried by the solver by itself.
   *
   * @param gainS how much earlier all is over, in seconds
   * @param likely how likely on time it is then, 0 to 1
   * @param by whose word it is
   * @param says what they say
   */
  public record BuysView(String words, long gainS, double likely, Seat by, List<SayView> says) {}

  /** An event as a device sends it. @param kind such as "panel-handed-over" */
  public record SayView(String kind, Map<String, Object> body) {}

  /**
   * What becomes of the departure if somebody does not begin now what they do next, tried by the solver.
   *
   * @param laterS how much later it was begun, in seconds
   * @param slipsS how much later the departure is for it, in seconds; empty where it cannot be any more
   * @param other what somebody else then begins later too, and who it is; empty where nothing of theirs moves
   */
  public record SlipView(
      String what, Seat seat, long laterS, Optional<Long> slipsS, Optional<MovedView> other) {}

  /** @param laterS how much later it begins, in seconds */
  public record MovedView(String what, Seat seat, long laterS) {}

  /** What was tried: what would buy time, and what costs some. */
  public record TrialsView(List<BuysView> buys, List<SlipView> slips) {}

  /**
   * How a departure's plan stands for who keeps an eye on several.
   *
   * @param at when it was worked out
   * @param lateS how late the departure is by it, in seconds; 0 where it is on time
   * @param slackS how much later all could be, in seconds
   */
  public record PlanLineView(String id, PlanState state, Instant at, long lateS, long slackS, double likely) {}

  /** What somebody says of an event on the ground. @param ends empty for what takes no time */
  public record GroundForm(
      @Nullable String kind, @Nullable Instant begins, Optional<Instant> ends) {}
}
