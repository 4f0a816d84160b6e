package neatlanyard.server.departure;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.briefing.Line;
import neatlanyard.core.dispatch.Severity;
import neatlanyard.core.dispatch.Verdict;
import neatlanyard.core.fleet.Code;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Seating;
import neatlanyard.core.gauge.Judged;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.School;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.state.Mark;
import neatlanyard.core.state.Status;
import neatlanyard.server.controls.ControlViews.ControlCheckView;
import neatlanyard.server.controls.ControlViews.JudgementView;
import neatlanyard.server.departure.LaterViews.LeftView;
import neatlanyard.server.departure.TaxiViews.DeckView;
import neatlanyard.server.departure.TaxiViews.GroundPlanView;
import neatlanyard.server.departure.TaxiViews.TaxiView;
import neatlanyard.server.figures.FiguresViews.FigureView;
import neatlanyard.server.sop.CardViews.DrawingView;
import neatlanyard.server.sop.CardViews.LeftOutView;
import neatlanyard.server.sop.CardViews.PartView;
import neatlanyard.server.sop.CardViews.PlaceView;
import neatlanyard.server.sop.CardViews.PlanformView;
import neatlanyard.server.sop.CardViews.TagKindView;
import neatlanyard.server.sop.GroundViews.GroundView;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** What the interface is told of departures. All rules have been applied: it shows these and works nothing out. */
public final class DepartureViews {
  private DepartureViews() {}

  /** One line of the list. @param yours whether the one who asks is on the crew */
  public record DepartureLine(
      String id, String number, String tail, String type, Seating seating, PlaceName from, PlaceName to,
      Instant departs, String zone,
      List<CrewView> crew, boolean yours, boolean opened, boolean tiedOff, String remark, String note,
      Optional<Instant> due,
      int tags, List<HangingView> first, List<SeatView> seats) {}

  /** A tag as the list names it. @param late whether the stage in which it should be gone is over */
  public record HangingView(String title, boolean late) {}

  public record PlaceName(String id, String name) {}

  public record CrewView(String id, String name, Seat seat, boolean commander, boolean flying) {}

  public record DepartureView(Header header, Optional<CardView> card, Progress progress) {}

  /**
   * What does not change while a departure lasts.
   *
   * @param remark what operations say of the flight; empty where they say nothing
   * @param reader the seat that reads checklists, or who else does
   * @param resuming how a stopped checklist goes on in this fleet
   */
  public record Header(
      String id, String number, String tail, String type, Seating seating, PlaceName from, PlaceName to,
      Instant departs, String zone,
      String pack, String packId, String revision, List<CrewView> crew, String remark, String reader,
      School resuming, List<SchoolView> schools, List<CircumstanceView> asks, ControlCheckView controlCheck) {}

  /**
   * The school this departure follows in a matter.
   *
   * @param stage where it matters first
   * @param byDefault whether it is the one the product takes by itself
   */
  public record SchoolView(String matter, Stage stage, String school, boolean byDefault) {}

  /**
   * @param key changes when the card is cut again
   * @param handedOver panels that were handed over: of a step there of one seat, whoever worked it then has answered
   * @param controlCheckWhen when the flight control check is made today
   */
  public record CardView(
      long key, DayView day, String controlCheckWhen, List<PartView> parts, List<String> handedOver,
      List<LeftOutView> leftOut,
      List<TagKindView> tags, List<PlaceView> places, List<DrawingView> drawings, PlanformView planform,
      Optional<GroundView> ground, Optional<GroundPlanView> plan, Optional<DeckView> deck,
      Optional<LeftView> left, WalkView walk,
      List<EntryLineView> entries, List<SeverityView> severities) {}

  /** How bad a find may be said to be. */
  public record SeverityView(Severity id, String words) {}

  /**
   * An entry of the dispatch list, for naming it at a find.
   *
   * @param installed how many there are
   * @param steps where it is found
   */
  public record EntryLineView(String id, String title, int installed, List<String> steps) {}

  /** @param minutes the estimate @param from what it rests on */
  public record WalkView(double metres, double minutes, String from) {}

  public record DayView(
      String report, boolean simulated, List<String> facts, boolean dark, String light, String weather,
      List<CircumstanceView> circumstances) {}

  /** Something the pack asks of the day. @param so whether the crew says it is so */
  public record CircumstanceView(Circumstance id, String words, boolean so) {}

  /**
   * How a departure stands.
   *
   * @param number of its last log entry
   * @param cardKey see {@link CardView#key}
   * @param unfinished what a tie-off would find besides the tags
   * @param gates what keeps open steps closed, by step
   * @param passed the steps that somebody has given words to go past that
   * @param waits the times that run now
   * @param values what today gives the steps that want a value, by step
   * @param allowed what the steps that measure may read and need no find, by step, as far as the rest is known now
   * @param takeoff the take-off configuration, a line a control
   * @param figures the critical figures of today's card, by their codes
   * @param figuresNumber of the last entry that says something of the figures; 0 before
   * @param briefing its lines, in the order in which they are said
   * @param aircraft what the aircraft's own data said last
   */
  public record Progress(
      long number, long cardKey, List<BeadView> beads, Map<String, StepView> steps, Map<String, PartProgress> parts,
      List<TagView> tags, List<TagView> unfinished, List<SeatView> seats, List<FindView> finds, TechView tech,
      Map<String, List<GateView>> gates, List<String> passed, List<WaitView> waits, Map<String, ValueView> values,
      Map<String, AllowedView> allowed, List<TakeoffView> takeoff, Map<String, FigureView> figures,
      long figuresNumber, List<BriefingLineView> briefing, Optional<AircraftView> aircraft,
      Optional<ControlsView> controls, Optional<TaxiView> taxi, Optional<TiedOffView> tiedOff) {}

  /**
   * One line of the briefing.
   *
   * @param step whose marks say who has read or heard it
   * @param why what makes it one of today; empty where nothing does
   * @param from what it was put together from
   * @param missing what it would say and is not known yet
   * @param ownWords whether the crew has put it in words of its own
   * @param before words of the crew that were written for something else than what holds now
   * @param seconds at 150 words a minute
   * @param read what was read of it last
   */
  public record BriefingLineView(
      String step, String title, String words, Line.Kind kind, String why, List<String> from, List<String> missing,
      boolean ownWords, Optional<String> before, double seconds, Optional<ReadView> read) {}

  /** @param who the id of {@code by} */
  public record ReadView(String words, String by, String who, Instant at) {}

  /**
   * What keeps a step closed.
   *
   * @param before the step that comes first
   * @param waits whether the wait that step begins must pass too
   * @param ofStage whether it closes all of the stage
   * @param until when the wait is over; empty where it has not begun
   */
  public record GateView(String words, String before, boolean waits, boolean ofStage, Optional<Instant> until) {}

  /**
   * A value of today.
   *
   * @param shown with its unit
   * @param from where it comes from, in words
   * @param accepted all that can be said for it; empty where it is not known today
   * @param choices what can be said; empty where it is a number
   * @param back whether it is asked back
   */
  public record ValueView(String shown, String from, List<String> accepted, List<String> choices, boolean back) {}

  /**
   * @param least and most, in the quantity's unit, both allowed; empty where there is no such end, both where no value
   *     is right
   * @param words of both, with the unit
   */
  public record AllowedView(Optional<Double> least, Optional<Double> most, String words) {}

  /** @param so whether it is as wanted */
  public record TakeoffView(String name, String wanted, String words, boolean so) {}

  /** @param foundSo the steps whose state, by its data, is so already */
  public record AircraftView(String source, Instant at, List<String> foundSo) {}

  /**
   * A time that runs.
   *
   * @param step the step that began it; empty where none did
   * @param tag the tag hung by hand that is to call; empty where none is
   * @param most of a holdover, of which {@code until} is the least; empty where there is no second time
   * @param look the step that ends it; empty where a press says that it is over
   */
  public record WaitView(
      String step, String tag, String words, Instant since, Instant until, Optional<Instant> most,
      Optional<String> look) {}

  public record BeadView(Stage stage, String title, int done, int all, BeadState state, Optional<Instant> due) {}

  /** Whether a stage is finished, the one worked now, or still to come. */
  public enum BeadState { DONE, CURRENT, AHEAD }

  /**
   * A step of which something was said.
   *
   * @param settled whether nothing more is asked for
   * @param owes the seats that must still answer
   * @param again why it is asked for again; empty where it is not, or where a tag says why
   * @param waitSeen number of the entry by which somebody saw the time over that it begins; empty before
   */
  public record StepView(Status status, boolean settled, List<Seat> owes, String again, boolean disagreed,
      List<MarkView> marks, Optional<ReadingView> reading, Optional<Long> waitSeen) {}

  /** What was read, and what it means. */
  public record ReadingView(double value, String shown, Judged.Level level, String words, List<String> arithmetic,
      String source) {}

  /** The tail's log as this departure knows it. @param logTail the registration read off the log; empty before */
  public record TechView(List<DeferralView> deferrals, List<FoundBeforeView> before, String logTail) {}

  /**
   * @param left the days that are left on the day of the flight, in words
   * @param bars why the flight may not be made with it; empty when it may
   */
  public record DeferralView(
      String defect, String entry, String title, String note, String place, LocalDate lastDay, String left,
      boolean runOut, String operating,
      String placard, String bars) {}

  public record FoundBeforeView(String id, String place, String step, String what, String by, Instant at,
      String verdict, List<String> photos) {}

  /**
   * @param by their family name
   * @param who the person; their later word from the same device replaces it
   * @param seat from which it was said; empty where that had been left
   * @param number of its entry in the log, by which one stands before another
   */
  public record MarkView(Mark.Outcome outcome, String by, String who, String device, Optional<Seat> seat, Instant at,
      long number, String words) {}

  /**
   * @param next the step asked for now; empty when nothing is
   * @param stopped family name of who stopped the checklist; empty where it is not stopped
   */
  public record PartProgress(int done, int all, String next, String stopped, Optional<Instant> finished) {}

  /**
   * A tag.
   *
   * @param due title of the stage by whose end it must be gone
   * @param stage the bead it hangs at
   * @param go the screen on which it can be closed
   * @param steps the steps that close it
   * @param closes in words, what closes it
   * @param late whether that stage is over
   * @param hand the tag's own name where somebody hung it by hand; empty elsewhere
   * @param open the single things that are open, where steps open and close it; empty elsewhere
   * @param all of how many
   * @param outside whether it is looked at outside, so that it must be before the doors close
   */
  public record TagView(
      String key, String title, String detail, String by, Optional<Instant> since, Stage stage, String due, Screen go,
      List<String> steps, String closes, boolean mayStay, boolean late, boolean outside, String hand,
      List<String> open, int all) {}

  /**
   * @param place where their next step is; empty where they have none
   * @param away since when who sits there is called away; empty while they are not
   */
  public record SeatView(
      Seat seat, String name, String id, boolean taken, String doing, String place, int done, int all,
      Optional<Instant> away) {}

  public record FindView(
      String id, String step, String place, String challenge, String note, String severity, int count, String entry,
      Optional<SpotView> spot,
      List<String> photos, boolean measured, String by, Instant at, String verdict, String words, String decidedBy,
      Optional<CaseView> proposed) {}

  public record SpotView(double x, double y) {}

  /** The case for a find. @param verdict in words @param allowed the verdicts the commander may take */
  public record CaseView(
      String verdict, List<Verdict> allowed, String entry, List<String> because, Optional<LocalDate> lastDay,
      List<String> todo, String list) {}

  /**
   * @param trace empty where nothing was measured
   * @param again why one that passed is to be made again; empty where it stands
   * @param stiffness after de-icing, how freely each surface moved, to be looked at first
   */
  public record ControlsView(
      String source, Instant at, String by, String trace, Optional<String> again, List<String> stiffness,
      JudgementView judgement) {}

  public record TiedOffView(Instant at, String by, List<AcceptedView> accepted) {}

  public record AcceptedView(String what, String reason) {}

  /** The commander's reasons as a device sends them; what each tag is called is filled in. */
  public record TieOffForm(List<ReasonForm> accepted) {}

  public record ReasonForm(String tag, String reason) {}

  /**
   * An event as a device sends it.
   *
   * @param id UUID version 7, the device's name for it
   */
  public record EventForm(
      Optional<String> id, Optional<Instant> deviceAt, Optional<String> device, Optional<String> kind,
      Optional<JsonNode> body) {}

  /** @param number of the entry it became; the same when it is sent again */
  public record Accepted(long number) {}

  /** What a device has kept, in its order. */
  public record OutboxForm(@Nullable List<EventForm> events) {}

  /** What became of one event of an outbox: the number of its entry, or why it is refused. */
  public record Answered(Optional<Long> number, Optional<RefusedView> refused) {}

  /** As the problem that the event would have been answered with alone. */
  public record RefusedView(
      @Schema(implementation = String.class) Code code, String what, String tryThis, List<String> faults) {}

  /** The state of the day as a device sends it; the rest is worked out. */
  public record DayForm(
      String report, boolean simulated, Optional<List<String>> circumstances) {}

  /** What a crew said does not fit, with fleet standards' answer. */
  public record FeedbackView(
      String id, String departure, String flight, String tail, String pack, String revision, String step,
      String where, String words,
      String by, Instant at, String answer, String answeredBy, Optional<Instant> answeredAt) {}

  public record AnswerForm(String words) {}

  public record AircraftForm(@Nullable String device, @Nullable String behaviour) {}

  /**
   * How a check is made with the simulated aircraft.
   *
   * @param recorder a good one where nothing is said
   * @param link a steady one where nothing is said
   * @param pressurePct of the least that is wanted; enough where nothing is said
   * @param seed the same makes the same check again
   * @param goOn whether one that broke off goes on, instead of one that begins
   */
  public record CheckForm(
      @Nullable String device, @Nullable String behaviour, @Nullable String recorder, @Nullable String link,
      @Nullable Double pressurePct, @Nullable Long seed, @Nullable Boolean goOn) {}

  /** A call. @param axis pitch, roll or yaw @param sign 1, -1, or 0 for neutral */
  public record CallForm(
      @Nullable Long check, @Nullable Double seconds, @Nullable String axis, @Nullable Integer sign) {}
}
