package neatlanyard.core.departure;

import static neatlanyard.core.departure.Attempt.no;

import java.time.Instant;
import java.util.Optional;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.RefusalCode;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Proposal;
import neatlanyard.core.sop.StepId;

/** Decides whether an event may enter the log of a departure, and says why not. */
public final class Admission {
  /** Longest reason or note, in characters. */
  public static final int MOST_WORDS = Attempt.MOST_WORDS;

  private final Attempt attempt;
  private final CrewAdmission crew;
  private final StepAdmission steps;
  private final FindAdmission finds;
  private final ChecklistAdmission checklists;
  private final FiguresAdmission figures;
  private final BriefingAdmission briefing;
  private final ControlsAdmission controls;

  private Admission(Attempt attempt) {
    this.attempt = attempt;
    this.crew = new CrewAdmission(attempt);
    this.steps = new StepAdmission(attempt);
    this.finds = new FindAdmission(attempt);
    this.checklists = new ChecklistAdmission(attempt);
    this.figures = new FiguresAdmission(attempt);
    this.briefing = new BriefingAdmission(attempt);
    this.controls = new ControlsAdmission(attempt);
  }

  /** Why a person's event is not allowed as the departure stands; empty when it is. @param at at the server's time */
  public static Optional<Refusal> refusal(Departure now, Proposal proposal, Instant at) {
    Attempt attempt = new Attempt(now.state(), now.picture(), proposal.by(),
        Entry.happened(proposal.deviceAt(), at));
    return new Admission(attempt).of(proposal.event());
  }

  private Optional<Refusal> of(Event event) {
    if (attempt.now().tiedOff().isPresent()) {
      return no(RefusalCode.TIED_OFF, "This departure is tied off.", "Its record stands; open another departure.");
    }
    return switch (event) {
      case Event.SeatTaken e -> crew.seatTaken(e.seat());
      case Event.Opened e -> no(RefusalCode.SERVER_ONLY, "A departure is opened once, by the server.",
          "Open it from the list of departures.");
      default -> crew.seated().or(() -> ofCrew(event));
    };
  }

  private Optional<Refusal> ofCrew(Event event) {
    return switch (event) {
      case Event.StepDone e -> notByPress(e.step()).or(() -> steps.stepDone(e.step()));
      case Event.Measured e -> steps.measured(e);
      case Event.ValueSaid e -> steps.valueSaid(e);
      case Event.FoundSo e -> notByPress(e.step()).or(() -> steps.foundSo(e.step()));
      case Event.Overridden e -> steps.overridden(e);
      case Event.WaitSeen e -> steps.waitSeen(e.step());
      case Event.StepLater e -> steps.later(e);
      case Event.StepNotToday e -> steps.notToday(e);
      case Event.StepUndone e -> steps.undone(e.step());
      case Event.DoesNotFit e -> steps.doesNotFit(e);
      case Event.TagHung e -> crew.tagHung(e);
      case Event.TagTaken e -> crew.tagTaken(e);
      case Event.Interrupted e -> crew.interrupted();
      case Event.WentOn e -> crew.wentOn();
      case Event.PanelHandedOver e -> crew.handOver(e);
      case Event.PlanChosen e -> crew.planChosen(e);
      case Event.FindRaised e -> finds.raised(e);
      case Event.VerdictTaken e -> finds.verdict(e);
      case Event.ChecklistStopped e -> checklists.stop(e);
      case Event.ChecklistResumed e -> checklists.resume(e);
      case Event.TiedOff e -> new TieOffAdmission(attempt).tieOff(e);
      case Event.FigureEntered e -> figures.entered(e);
      case Event.FigureTaken e -> figures.taken(e);
      case Event.LoadSheetTaken e -> figures.sheet(e);
      case Event.LoadSheetChanged e -> figures.changed(e);
      case Event.ElsewhereReported e -> figures.elsewhere(e);
      case Event.DeIced e -> figures.deIced(e);
      case Event.RunwayReported e -> figures.runway(e);
      case Event.TowerWindSaid e -> figures.tower(e);
      case Event.TakeoffChosen e -> figures.chosen(e);
      case Event.TaxiCleared e -> new TaxiAdmission(attempt).cleared(e);
      case Event.BrakesRead e -> new TaxiAdmission(attempt).brakes(e);
      case Event.BriefingWorded e -> briefing.worded(e);
      case Event.BriefingRead e -> briefing.read(e);
      case Event.BriefingHeard e -> briefing.heard(e);
      case Event.FiguresWorked e -> byServerAlone();
      case Event.FigureDiffered e -> byServerAlone();
      case Event.DaySet e -> Optional.empty();
      case Event.LogTailRead e -> Optional.empty();
      case Event.AircraftRead e -> Optional.empty();
      case Event.ControlsChecked e -> Optional.empty();
      case Event.ControlsSeen e -> controls.seen(e);
      case Event.ControlsUpset e -> controls.again();
      case Event.FlightFacts e -> byServerAlone();
      case Event.TechStatus e -> byServerAlone();
      case Event.ReadBefore e -> byServerAlone();
      case Event.SeatTaken e -> Optional.empty();
      case Event.Opened e -> Optional.empty();
    };
  }

  private Optional<Refusal> notByPress(StepId step) {
    return figures.notByPress(step).or(() -> briefing.notByPress(step));
  }

  private static Optional<Refusal> byServerAlone() {
    return no(RefusalCode.SERVER_ONLY, "This is written by the server alone.", "Reload the departure.");
  }
}
