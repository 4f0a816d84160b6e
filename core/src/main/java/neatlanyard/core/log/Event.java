package neatlanyard.core.log;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.live.Sighting;
import neatlanyard.core.dispatch.DispatchCase;
import neatlanyard.core.dispatch.Verdict;
import neatlanyard.core.figures.Difference;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.FuelPlan;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.LastMinuteChange;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.figures.RunwayCondition;
import neatlanyard.core.figures.TowerWind;
import neatlanyard.core.figures.WorkedOut;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.Outbound.LandingLimits;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.taxi.Clearance;
import neatlanyard.core.weather.StationReport;

/** What can happen in a departure. The log of these is the departure; everything else is worked out from it. */
public sealed interface Event {

  /**
   * The departure is opened. Holds all that the record needs to be read without the product's database.
   *
   * @param packSha256 SHA-256 of the pack's text as it was brought in
   */
  record Opened(Flight flight, Tail tail, PackId pack, String revision, String packSha256, List<CrewMember> crew)
      implements Event {
    public Opened {
      crew = List.copyOf(crew);
    }
  }

  /** Somebody takes their seat. */
  record SeatTaken(Seat seat) implements Event {}

  /** The report and the state of the day are set; the card is cut, or cut again. */
  record DaySet(Day day) implements Event {}

  /** A step is done, or a checklist item answered. */
  record StepDone(StepId step) implements Event {}

  /** A step is not done today, for a reason. */
  record StepNotToday(StepId step, String reason) implements Event {}

  /** What a step makes so was found so when the crew came. */
  record FoundSo(StepId step) implements Event {}

  /** Somebody goes on past what keeps a step closed, in their own words. */
  record Overridden(StepId step, String words) implements Event {}

  /** The wait that a step began is over, and somebody has seen it. */
  record WaitSeen(StepId step) implements Event {}

  /** A value is read and entered; within its limits the step is done. @param value in the quantity's unit */
  record Measured(StepId step, double value) implements Event {}

  /**
   * What is set or seen, where today's flight gives a step its value.
   *
   * @param value as it was said: a number, or one of the choices
   */
  record ValueSaid(StepId step, String value) implements Event {}

  /**
   * What the aircraft's own data say of its controls and indications. Only that data makes this.
   *
   * @param source in words
   */
  record AircraftRead(String source, List<State> states) implements Event {
    public AircraftRead {
      states = List.copyOf(states);
    }
  }

  /** A step does not fit this tail, this day or the work as it is; goes to fleet standards. */
  record DoesNotFit(StepId step, String words) implements Event {}

  /** Somebody takes back what they said of a step. */
  record StepUndone(StepId step) implements Event {}

  /** A step is put aside, to be looked at again. */
  record StepLater(StepId step, String reason) implements Event {}

  /** The registration that stands on the technical log in the flight deck. */
  record LogTailRead(TailId tail) implements Event {}

  /** Something is not as it should be. */
  record FindRaised(UUID find, StepId step, String note, FindDetail what) implements Event {}

  /** The commander decides on a find. @param proposed the case as it stood, filled in by the server */
  record VerdictTaken(UUID find, Verdict verdict, String words, Optional<DispatchCase> proposed) implements Event {}

  /**
   * How the tail's technical log stands. Only the server makes this: at the opening, with a new day, after
   * maintenance.
   */
  record TechStatus(TechState state) implements Event {}

  /** What was read on this tail before. Only the server makes this, at the opening. */
  record ReadBefore(EarlierReadings past) implements Event {}

  /** What the fleet's files give for this flight. Only the server makes this, at the opening. */
  record FlightFacts(Facts facts) implements Event {}

  /**
   * A tag is hung by hand.
   *
   * @param due the stage by whose end it must be gone
   * @param calls when it calls; empty: never
   */
  record TagHung(UUID tag, String words, Stage due, Optional<Instant> calls) implements Event {}

  /** A tag that was hung by hand is taken off. */
  record TagTaken(UUID tag) implements Event {}

  /** Whoever says it is called away from what they are doing. */
  record Interrupted() implements Event {}

  /** Whoever says it goes on with what they were doing. */
  record WentOn() implements Event {}

  /** What whoever says it works of a panel in a flow goes to another seat. */
  record PanelHandedOver(PlaceId panel, Seat to) implements Event {}

  /**
   * What buys time was chosen: the plan goes by it. What it is made of is said right after, each word as its own.
   *
   * @param words what was chosen
   * @param earlierS how much earlier all was over by the plan that was tried, in seconds
   */
  record PlanChosen(String words, int earlierS) implements Event {}

  /** How the runway is, as it was reported. */
  record RunwayReported(RunwayCondition condition) implements Event {}

  /** What the tower says of the wind; empty: the report's counts again. */
  record TowerWindSaid(Optional<TowerWind> wind) implements Event {}

  /**
   * What is reported of another airfield of the flight: where it goes to, or where it would turn to.
   *
   * @param name of the airfield
   * @param simulated whether a stand-in answered
   * @param landing its landing limits, as the fleet's file had them then; empty where it has none
   */
  record ElsewhereReported(AirfieldId airfield, String name, StationReport report, boolean simulated,
      Optional<LandingLimits> landing) implements Event {}

  /**
   * A load sheet is taken.
   *
   * @param fuel what the flight needs; empty where it did not come with it
   * @param aircraftKg gross weight by the aircraft's own system; empty where that was not read
   * @param source where it came from, in words
   */
  record LoadSheetTaken(LoadSheet sheet, Optional<FuelPlan> fuel, OptionalDouble aircraftKg, String source)
      implements Event {}

  /** Passengers or load come or go after the sheet was made; all of it, counted from the sheet. */
  record LoadSheetChanged(LastMinuteChange change) implements Event {}

  /**
   * How the crew wants to take off.
   *
   * @param antiIce and {@code airConditioning}, empty where the usual holds: anti-ice in icing conditions, air on
   */
  record TakeoffChosen(
      FiguresAsked.Choice choice, Optional<Boolean> antiIce, Optional<Boolean> airConditioning) implements Event {}

  /** The last treatment with fluid; empty where there was none after all. */
  record DeIced(Optional<Holdover.Applied> applied) implements Event {}

  /** The figures worked out anew. Only the server makes this, when something they rest on has changed. */
  record FiguresWorked(WorkedOut worked) implements Event {}

  /** A figure that one pilot enters alone. @param value as it was typed */
  record FigureEntered(CriticalFigure figure, String value) implements Event {}

  /** Why two entries of a figure cannot be taken. Only the server makes this. */
  record FigureDiffered(Difference difference) implements Event {}

  /** The commander takes a figure although it is not what was worked out, or the entries differ. */
  record FigureTaken(CriticalFigure figure, String value, String words) implements Event {}

  /** The taxi clearance as one pilot heard it; each says it alone. */
  record TaxiCleared(Clearance clearance) implements Event {}

  /** What the brakes were read at. @param hottestC the hottest of them, °C @param fan whether their fan runs */
  record BrakesRead(int hottestC, boolean fan) implements Event {}

  /** A line of the briefing in the crew's own words. @param words empty: those of the pack again */
  record BriefingWorded(StepId line, String words) implements Event {}

  /** Lines of the briefing are read aloud. */
  record BriefingRead(List<ReadLine> lines) implements Event {
    public BriefingRead {
      lines = List.copyOf(lines);
    }
  }

  /** @param words as they were read */
  record ReadLine(StepId line, String words) {}

  /** Lines that somebody else has read are acknowledged. */
  record BriefingHeard(List<StepId> lines) implements Event {
    public BriefingHeard {
      lines = List.copyOf(lines);
    }
  }

  /** A checklist is stopped where it is. */
  record ChecklistStopped(ProcedureId checklist) implements Event {}

  /** A stopped checklist goes on. */
  record ChecklistResumed(ProcedureId checklist) implements Event {}

  /**
   * The flight control check was made and judged. Only the aircraft's data makes this, never a press.
   *
   * @param source where the data came from, in words
   * @param traceSha256 SHA-256 of the trace as CSV, as it can be downloaded
   */
  record ControlsChecked(String source, String traceSha256, Judgement judgement) implements Event {}

  /**
   * The flight control check was made without the aircraft's data, by what the crew saw.
   *
   * @param disconnected whether the steering was disconnected for the rudder, and connected again
   */
  record ControlsSeen(List<Sighting> sightings, boolean disconnected) implements Event {
    public ControlsSeen {
      sightings = List.copyOf(sightings);
    }
  }

  /** What makes a control check to be made again. */
  enum Upset {
    COMPUTER_RESET("a flight control computer was reset"),
    TRIM_CHANGED("a trim was changed"),
    MAINTENANCE("maintenance worked on the flight controls");

    private final String words;

    Upset(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** Something was done after which a control check no longer stands. */
  record ControlsUpset(Upset by) implements Event {}

  /** The commander ties off; nothing comes after. */
  record TiedOff(List<Acceptance> accepted) implements Event {
    public TiedOff {
      accepted = List.copyOf(accepted);
    }
  }

  /** Why a tag may stay. @param tag its key @param what it, in words, as it was when it was accepted */
  record Acceptance(String tag, String what, String reason) {}
}
