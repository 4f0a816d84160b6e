package neatlanyard.core.record;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.controls.live.Sighting;
import neatlanyard.core.lanyard.Bead;
import neatlanyard.core.lanyard.Standing;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Interruption;
import neatlanyard.core.state.Mark;
import neatlanyard.core.state.Recorded;

/**
 * A departure in short: when each stage was to be finished and was, and who was called away.
 *
 * @param stages those with something to do, in the order of the work
 */
public record Account(List<StageTime> stages, List<Interruption> interruptions) {
  /**
   * @param planned empty where the pack gives no time
   * @param real the last word in it; empty while a step of it is open
   */
  public record StageTime(Stage stage, Optional<Instant> planned, Optional<Instant> real) {
    /** How much later than planned; negative when earlier. */
    public Optional<Duration> late() {
      return planned.flatMap(p -> real.map(r -> Duration.between(p, r)));
    }
  }

  /** @param beads how far each stage is */
  public static Account of(DepartureState d, List<Bead> beads) {
    List<StageTime> stages = Stream.of(Stage.values())
        .map(s -> new StageTime(s, d.due(s), real(d, beads, s)))
        .filter(t -> t.stage() != Stage.DAY && (t.planned().isPresent() || t.real().isPresent())).toList();
    return new Account(stages, d.interruptions());
  }

  /** How long people were away together, as far as they have gone on. */
  public Duration away() {
    return interruptions.stream().flatMap(i -> i.length().stream()).reduce(Duration.ZERO, Duration::plus);
  }

  private static Optional<Instant> real(DepartureState d, List<Bead> beads, Stage stage) {
    if (beads.stream().noneMatch(b -> b.stage() == stage && b.finished())) {
      return Optional.empty();
    }
    Stream<Instant> said = d.card().stream().flatMap(c -> c.items(stage).stream())
        .flatMap(i -> d.marks(i.step().id()).stream()).map(Mark::at);
    Stream<Instant> besides = switch (stage) {
      case CONTROLS -> d.controls().stream().map(Recorded::at);
      case TIE_OFF -> d.tiedOff().stream().map(Recorded::at);
      default -> Stream.empty();
    };
    return Stream.concat(said, besides).max(Instant::compareTo);
  }

  /** How long the walkaround took, from what was said of it first to what was last, once all of it is settled. */
  public static Optional<Duration> walked(DepartureState d, Standing standing) {
    List<Item> walk = d.items().stream().filter(i -> i.procedure().kind() == Procedure.Kind.WALKAROUND).toList();
    List<Instant> times = walk.stream().flatMap(i -> d.marks(i.step().id()).stream()).map(Mark::at).sorted().toList();
    boolean whole = !times.isEmpty() && standing.settled(walk) == walk.size();
    return whole ? Optional.of(Duration.between(times.getFirst(), times.getLast())) : Optional.empty();
  }

  /** Whether an event says that something was not as the card has it. */
  public static boolean deviates(Event event) {
    return switch (event) {
      case Event.StepNotToday e -> true;
      case Event.StepLater e -> true;
      case Event.Overridden e -> true;
      case Event.DoesNotFit e -> true;
      case Event.FindRaised e -> true;
      case Event.VerdictTaken e -> true;
      case Event.ChecklistStopped e -> true;
      case Event.PanelHandedOver e -> true;
      case Event.PlanChosen e -> true;
      case Event.TiedOff e -> !e.accepted().isEmpty();
      case Event.ControlsChecked e -> !e.judgement().passed();
      case Event.ControlsSeen e -> !e.sightings().stream().allMatch(Sighting::right);
      case Event.ControlsUpset e -> true;
      case Event.FigureDiffered e -> true;
      case Event.FigureTaken e -> true;
      case Event.FiguresWorked e -> !e.worked().notHeld().isEmpty();
      case Event.FigureEntered e -> false;
      case Event.TaxiCleared e -> false;
      case Event.BrakesRead e -> false;
      case Event.BriefingWorded e -> false;
      case Event.BriefingRead e -> false;
      case Event.BriefingHeard e -> false;
      case Event.RunwayReported e -> false;
      case Event.TowerWindSaid e -> false;
      case Event.LoadSheetTaken e -> false;
      case Event.LoadSheetChanged e -> true;
      case Event.ElsewhereReported e -> false;
      case Event.TakeoffChosen e -> false;
      case Event.DeIced e -> false;
      case Event.Opened e -> false;
      case Event.SeatTaken e -> false;
      case Event.DaySet e -> false;
      case Event.StepDone e -> false;
      case Event.FoundSo e -> false;
      case Event.Measured e -> false;
      case Event.ValueSaid e -> false;
      case Event.AircraftRead e -> false;
      case Event.FlightFacts e -> false;
      case Event.StepUndone e -> false;
      case Event.WaitSeen e -> false;
      case Event.TagHung e -> false;
      case Event.TagTaken e -> false;
      case Event.Interrupted e -> false;
      case Event.WentOn e -> false;
      case Event.LogTailRead e -> false;
      case Event.TechStatus e -> false;
      case Event.ReadBefore e -> false;
      case Event.ChecklistResumed e -> false;
    };
  }
}
