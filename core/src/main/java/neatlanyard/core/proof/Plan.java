package neatlanyard.core.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;

/** The whole pack in the order in which it is worked, each step with the days on which it is on the card. */
final class Plan {
  /** Items of a checklist above or below its line. Common practice, no source. */
  static final int LONGEST_SECTION = 12;

  /** A step in its place in the work. @param position counted through all procedures, in the order of the stages */
  record Placed(Procedure procedure, Step step, int position, DaySet on) {
    boolean checklist() {
      return procedure.kind() == Procedure.Kind.CHECKLIST;
    }

    /** The states it makes or sees made. */
    Stream<State> makes() {
      return Stream.concat(step.sets().stream(), step.expects().stream());
    }

    String where() {
      return "%s, %s".formatted(procedure.title(), step.challenge());
    }
  }

  final Pack pack;
  final Days days;
  final List<Placed> steps = new ArrayList<>();
  private final Map<StepId, Placed> byId = new HashMap<>();
  private final Map<PointId, List<Placed>> touching = new HashMap<>();
  private final Map<PointId, List<Placed>> verifying = new HashMap<>();
  private final Map<PlaceId, Place> places = new HashMap<>();

  /** Steps on whose condition the budget was spent; nothing is asked of a plan that has any. */
  final List<Placed> undecided = new ArrayList<>();

  Plan(Pack pack, Budget budget) {
    this.pack = pack;
    this.days = new Days(pack, budget);
    pack.places().forEach(p -> places.put(p.id(), p));
    List<Procedure> order = pack.procedures().stream().sorted(Comparator.comparing(Procedure::stage)).toList();
    for (Procedure procedure : order) {
      for (Step step : procedure.steps()) {
        Placed placed = place(procedure, step.withStates(pack::usual));
        steps.add(placed);
        byId.put(step.id(), placed);
        placed.makes().map(State::point).distinct()
            .forEach(p -> touching.computeIfAbsent(p, x -> new ArrayList<>()).add(placed));
        step.verifies().stream().map(State::point).distinct()
            .forEach(p -> verifying.computeIfAbsent(p, x -> new ArrayList<>()).add(placed));
      }
    }
  }

  private Placed place(Procedure procedure, Step step) {
    days.ask();
    try {
      return new Placed(procedure, step, steps.size(), days.when(step.when()));
    } catch (Budget.Spent e) {
      days.giveUp();
      Placed placed = new Placed(procedure, step, steps.size(), days.none());
      undecided.add(placed);
      return placed;
    }
  }

  Optional<Placed> find(StepId id) {
    return Optional.ofNullable(byId.get(id));
  }

  Optional<Place> place(PlaceId id) {
    return Optional.ofNullable(places.get(id));
  }

  /** Steps outside checklists that set or look for some state of a point, in order. */
  List<Placed> touching(PointId point) {
    return touching.getOrDefault(point, List.of()).stream().filter(p -> !p.checklist()).toList();
  }

  /** Checklist items that verify some state of a point, in order. */
  List<Placed> verifying(PointId point) {
    return verifying.getOrDefault(point, List.of()).stream().filter(Placed::checklist).toList();
  }

  List<Placed> of(Procedure procedure) {
    return steps.stream().filter(p -> p.procedure() == procedure).toList();
  }

  /** Whether a step is there for a fleet of another school, so that its absence here is meant. */
  boolean ofAnotherSchool(Step step) {
    return step.when().facts().stream()
        .anyMatch(f -> f instanceof Condition.Follows follows && !pack.policy().follows(follows.school()));
  }

  /** The union of the days of some steps. */
  DaySet union(Stream<Placed> of) {
    return of.map(Placed::on).reduce(days.none(), DaySet::or);
  }
}
