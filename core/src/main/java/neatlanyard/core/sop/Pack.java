package neatlanyard.core.sop;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.fleet.Equipment;
import neatlanyard.core.fleet.SubType;
import neatlanyard.core.fleet.SubTypeId;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;

/**
 * A fleet's procedures for one type, in one revision.
 *
 * @param equipment what tails of this type may have fitted
 * @param tails the tails it covers
 * @param due how long before the planned departure each stage should be finished; negative for after it
 * @param places stations and panels
 * @param points controls and indications
 * @param tags declared kinds of tag; see {@link #tagKinds()} for all that hold
 * @param takeoff how the aircraft must be configured for take-off, as the configuration warning would want it
 * @param flightControls what the flight control check wants
 * @param drawings how things look when they are right and when they are wrong, for steps to name
 * @param later checklists of the time after the line-up
 */
public record Pack(
    PackId id,
    String revision,
    String title,
    TypeId type,
    Policy policy,
    List<Equipment> equipment,
    List<SubType> subTypes,
    List<PackTail> tails,
    List<Quantity> quantities,
    Map<Stage, Duration> due,
    Planform planform,
    List<Place> places,
    List<Point> points,
    List<TagKind> tags,
    List<Procedure> procedures,
    List<State> takeoff,
    ControlSpec flightControls,
    List<Waiver> waivers,
    List<Drawing> drawings,
    List<LaterList> later) {
  public Pack {
    equipment = List.copyOf(equipment);
    subTypes = List.copyOf(subTypes);
    tails = List.copyOf(tails);
    quantities = List.copyOf(quantities);
    due = Map.copyOf(due);
    places = List.copyOf(places);
    points = List.copyOf(points);
    tags = List.copyOf(tags);
    drawings = List.copyOf(drawings);
    later = List.copyOf(later);
    procedures = List.copyOf(procedures);
    takeoff = List.copyOf(takeoff);
    waivers = List.copyOf(waivers);
  }

  /** A tail as the pack lists it. @param equipment beyond what its sub-type has */
  public record PackTail(TailId id, Optional<SubTypeId> subType, Set<Equipment> equipment) {
    public PackTail {
      equipment = Set.copyOf(equipment);
    }
  }

  public Optional<Place> place(PlaceId id) {
    return places.stream().filter(p -> p.id().equals(id)).findFirst();
  }

  public Optional<Point> point(PointId id) {
    return points.stream().filter(p -> p.id().equals(id)).findFirst();
  }

  /** The name of a control or indication; its id where the pack has none such. */
  public String name(PointId id) {
    return point(id).map(Point::name).orElse(id.value());
  }

  public Optional<Step> step(StepId id) {
    return steps().filter(s -> s.id().equals(id)).findFirst();
  }

  /** A tail with all it has fitted; empty when the pack does not cover it. */
  public Optional<Tail> tail(TailId id) {
    return tails.stream().filter(t -> t.id().equals(id)).findFirst().map(this::whole);
  }

  /** Every tail it covers, each with all it has fitted. */
  public List<Tail> wholeTails() {
    return tails.stream().map(this::whole).toList();
  }

  private Tail whole(PackTail t) {
    Set<Equipment> fitted = new HashSet<>(t.equipment());
    t.subType().flatMap(s -> subTypes.stream().filter(x -> x.id().equals(s)).findFirst())
        .ifPresent(s -> fitted.addAll(s.equipment()));
    return new Tail(t.id(), type, t.subType(), fitted);
  }

  /** Every step, in the order of the pack. */
  public Stream<Step> steps() {
    return procedures.stream().flatMap(p -> p.steps().stream());
  }

  /** Every fact that some condition asks of. */
  public Set<Condition.Fact> facts() {
    return steps().flatMap(s -> s.when().facts().stream())
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  /** What a crew is asked of the day, in the order in which it is asked. */
  public List<Circumstance> circumstances() {
    Set<Condition.Fact> asked = facts();
    return Stream.of(Circumstance.values()).filter(c -> asked.contains(new Condition.Is(c))).toList();
  }

  /** How a state reads: "Parking brake set". */
  public String words(State state) {
    return "%s %s".formatted(name(state.point()), state.byFigure() ? "as agreed" : state.value());
  }

  /** The position a state names; where a figure says which and there is none yet, the one wanted for take-off. */
  public State usual(State state) {
    return state.byFigure() ? takeoff.stream().filter(t -> t.point().equals(state.point())).findFirst().orElse(state)
        : state;
  }

  /** The pack's own kinds, and the defaults for each trigger it says nothing of. */
  public List<TagKind> tagKinds() {
    List<TagKind> all = new ArrayList<>(tags);
    TagKind.DEFAULTS.stream()
        .filter(d -> tags.stream().noneMatch(t -> t.hangsOn() == d.hangsOn()))
        .forEach(all::add);
    return List.copyOf(all);
  }
}
