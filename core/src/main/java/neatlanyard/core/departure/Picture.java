package neatlanyard.core.departure;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.Stream;
import neatlanyard.core.briefing.Briefing;
import neatlanyard.core.briefing.Line;
import neatlanyard.core.checklist.NextItem;
import neatlanyard.core.checklist.Stale;
import neatlanyard.core.checklist.TakeoffConfiguration;
import neatlanyard.core.flow.Gates;
import neatlanyard.core.flow.Gates.Gate;
import neatlanyard.core.flow.Positions;
import neatlanyard.core.flow.Positions.Statement;
import neatlanyard.core.flow.Waiting;
import neatlanyard.core.flow.Waits;
import neatlanyard.core.lanyard.Bead;
import neatlanyard.core.lanyard.Cord;
import neatlanyard.core.lanyard.StageGates;
import neatlanyard.core.lanyard.Standing;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.record.TieOff;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Card.Part;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.StepNotes;

/**
 * All that is worked out of one state of a departure, each thing when it is first asked for and then never again:
 * admission and every screen read it here. Threads that ask at once come to the same.
 */
public final class Picture {
  private final DepartureState state;
  private final Supplier<List<Waiting>> waits;
  private final Supplier<List<Tag>> tags;
  private final Supplier<Map<PointId, List<Statement>>> positions;
  private final Supplier<Map<StepId, StepNotes.Change>> stale;
  private final Once<List<Line>> briefing;
  private final Once<TaxiWay> taxiWay;
  private final Supplier<Map<StepId, StepNotes.Change>> briefingUntrue;
  private final Supplier<Standing> standing;
  private final Supplier<List<Bead>> beads;
  private final Supplier<List<TakeoffConfiguration.Check>> takeoff;
  private final Supplier<List<Tag>> unfinished;
  private final Map<Stage, List<Gate>> stageGates = new ConcurrentHashMap<>();

  Picture(DepartureState state) {
    this(state, Once.of(() -> Briefing.of(state)), Once.of(() -> TaxiWay.of(state)));
  }

  /** That of the next state. Briefing and way are put together anew only where what they speak of is another. */
  Picture of(DepartureState next) {
    return new Picture(next,
        briefing.known().filter(b -> Briefing.same(state, next)).map(Once::known)
            .orElseGet(() -> Once.of(() -> Briefing.of(next))),
        taxiWay.known().filter(w -> TaxiWay.same(state, next)).map(Once::known)
            .orElseGet(() -> Once.of(() -> TaxiWay.of(next))));
  }

  private Picture(DepartureState state, Once<List<Line>> briefing, Once<TaxiWay> taxiWay) {
    this.state = state;
    this.briefing = briefing;
    this.taxiWay = taxiWay;
    this.waits = Once.of(() -> Waits.running(state));
    this.tags = Once.of(() -> Cord.tags(state, waits(), briefingUntrue().keySet()));
    this.positions = Once.of(() -> Positions.of(state));
    this.briefingUntrue = Once.of(() -> state.briefing().begun() ? Briefing.untrue(state, briefing()) : Map.of());
    this.stale = Once.of(() -> {
      Map<StepId, StepNotes.Change> all = Stale.of(state, positions());
      all.putAll(briefingUntrue());
      return all;
    });
    this.standing = Once.of(() -> new Standing(state, tags(), stale.get()));
    this.beads = Once.of(() -> Bead.of(state, standing()));
    this.takeoff = Once.of(() -> TakeoffConfiguration.of(state, positions()));
    this.unfinished = Once.of(() -> Cord.loose(state, TieOff.unfinished(state, standing())));
  }

  /** The waits that run, in the order of the card. */
  public List<Waiting> waits() {
    return waits.get();
  }

  /** The tags that hang, by the stage they are due and then by age. */
  public List<Tag> tags() {
    return tags.get();
  }

  /** What is said of each control and indication, in the order in which it was said. */
  public Map<PointId, List<Statement>> positions() {
    return positions.get();
  }

  /** Today's briefing, in the order in which it is said. */
  public List<Line> briefing() {
    return briefing.get();
  }

  /** The ground as the type rolls on it. */
  public TaxiWay taxiWay() {
    return taxiWay.get();
  }

  /** The lines of it that were read and say something else now. */
  public Map<StepId, StepNotes.Change> briefingUntrue() {
    return briefingUntrue.get();
  }

  /** How every step of the card stands. */
  public Standing standing() {
    return standing.get();
  }

  /** How far each stage is. */
  public List<Bead> beads() {
    return beads.get();
  }

  /** The stage that is worked now. */
  public Stage currentStage() {
    return Bead.current(beads());
  }

  /** Whether a tag hangs past the stage in which it should be gone. */
  public boolean late(Tag tag) {
    return currentStage().compareTo(tag.due()) > 0;
  }

  /** The take-off configuration, one check a control. */
  public List<TakeoffConfiguration.Check> takeoff() {
    return takeoff.get();
  }

  /** What a tie-off would find besides the tags: procedures with steps still open, the control check not made. */
  public List<Tag> unfinished() {
    return unfinished.get();
  }

  /** What stands between this departure and being tied off, by the stage it is due and then by age. */
  public List<Tag> inTheWay() {
    return Cord.sorted(Stream.concat(tags().stream(), unfinished().stream()));
  }

  /** The step that a procedure asks for now; empty once it asks for nothing. */
  public Optional<Item> next(Part part) {
    return NextItem.of(part, standing().statuses());
  }

  /** All that keeps a step closed, words given or not for the step itself; a wait stands here until it is over. */
  public List<Gate> gates(Item item) {
    List<Gate> own = Gates.of(state, item);
    List<Gate> ofStage = ofStage(item.procedure().stage());
    if (own.isEmpty() || ofStage.isEmpty()) {
      return own.isEmpty() ? ofStage : own;
    }
    List<Gate> all = new ArrayList<>(own);
    all.addAll(ofStage);
    return all;
  }

  private List<Gate> ofStage(Stage stage) {
    return StageGates.can(stage)
        ? stageGates.computeIfAbsent(stage, s -> StageGates.of(state, s, tags(), takeoff())) : List.of();
  }

  /**
   * Whether there is anything to say words about: what keeps the step closed, or did until somebody else said words or
   * its time ran out. Two people may see it closed and say words in the same moment.
   */
  boolean maySayWords(Item item) {
    return !Gates.of(state, item).isEmpty()
        || StageGates.any(state, item.procedure().stage(), tags(), takeoff());
  }
}
