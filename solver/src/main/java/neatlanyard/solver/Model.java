package neatlanyard.solver;

import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.IntervalVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.Literal;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToLongFunction;
import java.util.stream.Collectors;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Load;
import neatlanyard.core.timeline.Person;
import neatlanyard.core.timeline.PersonId;
import neatlanyard.core.timeline.Timeline;

/** Demands as a model for the solver: whole seconds, an interval an activity, a literal each way to do it. */
final class Model {
  private final Demands demands;
  final Load load;
  final CpModel cp = new CpModel();
  private final Map<ActivityId, IntVar> begins = new HashMap<>();
  private final Map<ActivityId, List<BoolVar>> ways = new HashMap<>();
  final IntVar departs;
  /** When everything is over that does not wait for what runs. */
  final IntVar rest;

  /** Of all the demands, and what follows from them. */
  static Model of(Demands demands) {
    Model model = new Model(demands, h -> true);
    model.cp.addGreaterOrEqual(model.departs, model.load.departs());
    for (Activity a : demands.activities()) {
      long before = model.load.before(a);
      long after = model.load.after(a);
      model.cp.addGreaterOrEqual(model.of(a.id()), before);
      model.cp.addGreaterOrEqual(model.departs, model.after(a, after));
      if (demands.runs().isEmpty()) {
        model.cp.addGreaterOrEqual(model.rest, model.after(a, after));
      }
    }
    return model;
  }

  /** @param kept which of the demands of {@link Hard} stand; the others are left out */
  Model(Demands demands, Predicate<Hard> kept) {
    this.demands = demands;
    this.load = new Load(demands);
    long horizon = horizon(demands);
    this.departs = cp.newIntVar(demands.due().toSeconds(), horizon, "departs");
    this.rest = cp.newIntVar(0, horizon, "rest");
    Map<ActivityId, IntervalVar> intervals = new HashMap<>();
    for (Activity a : demands.activities()) {
      intervals.put(a.id(), activity(a, horizon, kept.test(new Hard.Until(a.id()))));
    }
    demands.people().stream().filter(p -> kept.test(new Hard.OneThingAtOnce(p.id()))).forEach(this::person);
    demands.waits().stream().filter(w -> kept.test(new Hard.Waits(w))).forEach(w -> {
      LinearExpr waited = LinearExpr.newBuilder().add(of(w.before())).addTerm(of(w.after()), -1)
          .add(-seconds(w.after())).build();
      cp.addGreaterOrEqual(waited, Seconds.up(w.least()));
      w.most().ifPresent(m -> cp.addLessOrEqual(waited, m.toSeconds()));
    });
    demands.apart().stream().filter(a -> kept.test(new Hard.KeptApart(a))).forEach(a ->
        cp.addNoOverlap(a.activities().stream().map(id -> get(intervals, id)).toArray(IntervalVar[]::new)));
    resting().forEach(a -> cp.addGreaterOrEqual(rest, after(a, 0)));
  }

  /** What does not wait for what runs. */
  List<Activity> resting() {
    Set<ActivityId> last = demands.runs().map(demands::waitingFor).orElse(Set.of());
    return demands.activities().stream().filter(a -> !last.contains(a.id())).toList();
  }

  /** Past which nothing need ever be: everything one after the other, with every wait and walk. */
  private static long horizon(Demands d) {
    long all = d.due().toSeconds();
    for (Activity a : d.activities()) {
      all = Math.max(all, a.from().toSeconds());
    }
    for (Activity a : d.activities()) {
      all += a.length().plannedSeconds();
    }
    long walks = d.walks().stream().mapToLong(w -> Seconds.up(w.takes())).max().orElse(0);
    return all + walks * d.activities().size() + d.waits().stream().mapToLong(w -> Seconds.up(w.least())).sum();
  }

  private static <T> T get(Map<ActivityId, T> from, ActivityId id) {
    T found = from.get(id);
    if (found == null) {
      throw new IllegalArgumentException("There is no activity %s".formatted(id));
    }
    return found;
  }

  private long seconds(ActivityId id) {
    return demands.activity(id).length().plannedSeconds();
  }

  private IntVar of(ActivityId id) {
    return get(begins, id);
  }

  private IntervalVar activity(Activity a, long horizon, boolean until) {
    long length = a.length().plannedSeconds();
    long latest = until ? a.until().map(Duration::toSeconds).map(u -> Math.min(u, horizon)).orElse(horizon) : horizon;
    long from = Seconds.up(a.from());
    // A window that is too short is no domain: it is left to a constraint, which can be found at fault.
    IntVar at = cp.newIntVar(from, Math.max(from, horizon - length), a.id().value());
    cp.addLessOrEqual(at, latest - length);
    begins.put(a.id(), at);
    cp.addGreaterOrEqual(departs, after(a, 0));
    List<BoolVar> literals = new ArrayList<>();
    for (int i = 0; i < a.ways().size(); i++) {
      literals.add(cp.newBoolVar("%s.%d".formatted(a.id(), i)));
    }
    cp.addExactlyOne(literals.toArray(Literal[]::new));
    ways.put(a.id(), literals);
    return cp.newFixedSizeIntervalVar(at, length, "%s.interval".formatted(a.id()));
  }

  /** What stands for somebody being busy with an activity: the ways that have them. */
  private Literal busy(Activity a, PersonId who) {
    List<BoolVar> with = new ArrayList<>();
    List<BoolVar> all = get(ways, a.id());
    for (int i = 0; i < all.size(); i++) {
      if (a.ways().get(i).contains(who)) {
        with.add(all.get(i));
      }
    }
    if (with.size() == all.size()) {
      return cp.trueLiteral();
    }
    if (with.size() == 1) {
      return with.getFirst();
    }
    BoolVar any = cp.newBoolVar("%s.%s".formatted(a.id(), who));
    cp.addMaxEquality(any, with.toArray(BoolVar[]::new));
    return any;
  }

  private void person(Person person) {
    List<Activity> theirs = demands.activities().stream()
        .filter(a -> a.ways().stream().anyMatch(w -> w.contains(person.id()))).toList();
    List<Literal> busy = theirs.stream().map(a -> busy(a, person.id())).toList();
    List<Activity> away = away(theirs);
    List<IntervalVar> one = new ArrayList<>(trips(away, theirs));
    for (int i = 0; i < theirs.size(); i++) {
      Activity a = theirs.get(i);
      if (!away.contains(a)) {
        one.add(cp.newOptionalFixedSizeIntervalVar(of(a.id()), a.length().plannedSeconds(), busy.get(i),
            "%s.%s.busy".formatted(a.id(), person.id())));
      }
      for (int j = i + 1; j < theirs.size(); j++) {
        // What takes no time would fit between two that are done away in one trip.
        boolean pair = away.isEmpty() || a.length().plannedSeconds() == 0
            || theirs.get(j).length().plannedSeconds() == 0;
        if (pair) {
          walk(a, busy.get(i), theirs.get(j), busy.get(j));
        }
      }
    }
    cp.addNoOverlap(one.toArray(IntervalVar[]::new));
  }

  /**
   * What somebody does away from where all else of theirs is, one after the other; empty where it is not as simple.
   * The ways there and back are then part of it, of which the solver sees far more than of walks between pairs.
   */
  private List<Activity> away(List<Activity> theirs) {
    Map<Optional<String>, List<Activity>> places = theirs.stream().collect(Collectors.groupingBy(Activity::place));
    if (places.size() != 2 || places.containsKey(Optional.<String>empty())) {
      return List.of();
    }
    return places.values().stream().filter(this::inARow).min(Comparator.comparingInt(List::size)).orElse(List.of());
  }

  /** Whether only one person may do these, in the order in which they stand. */
  private boolean inARow(List<Activity> some) {
    for (int i = 0; i < some.size(); i++) {
      boolean next = i == 0 || load.waits(some.get(i), some.get(i - 1));
      if (some.get(i).ways().size() != 1 || !next) {
        return false;
      }
    }
    return true;
  }

  /** Between two of what is done away, either one stays there, or goes back and comes again. */
  private List<IntervalVar> trips(List<Activity> away, List<Activity> theirs) {
    long horizon = horizon(demands);
    List<IntervalVar> all = new ArrayList<>();
    BoolVar came = cp.newBoolVar("came");
    cp.addEquality(came, 1);
    for (int i = 0; i < away.size(); i++) {
      Activity a = away.get(i);
      long way = theirs.stream().mapToLong(t -> Seconds.up(demands.walk(a, t))).max().orElse(0);
      IntVar leaves = cp.newIntVar(-way, horizon, "%s.leaves".formatted(a.id()));
      IntVar returns = cp.newIntVar(0, horizon + way, "%s.returns".formatted(a.id()));
      cp.addEquality(leaves, LinearExpr.newBuilder().add(of(a.id())).addTerm(came, -way).build());
      BoolVar goes = cp.newBoolVar("%s.goes".formatted(a.id()));
      cp.addEquality(returns, after(a, way)).onlyEnforceIf(goes);
      if (i + 1 < away.size()) {
        cp.addEquality(returns, of(away.get(i + 1).id())).onlyEnforceIf(goes.not());
      } else {
        cp.addEquality(goes, 1);
      }
      all.add(cp.newIntervalVar(leaves, cp.newIntVar(0, horizon, "%s.away".formatted(a.id())), returns,
          "%s.trip".formatted(a.id())));
      came = goes;
    }
    return all;
  }

  private void walk(Activity a, Literal doesA, Activity b, Literal doesB) {
    long walk = Seconds.up(demands.walk(a, b));
    if (walk == 0) {
      return;
    }
    BoolVar first = cp.newBoolVar("%s.before.%s".formatted(a.id(), b.id()));
    Literal[] so = {first, doesA, doesB};
    Literal[] other = {first.not(), doesA, doesB};
    cp.addGreaterOrEqual(of(b.id()), after(a, walk)).onlyEnforceIf(so);
    cp.addGreaterOrEqual(of(a.id()), after(b, walk)).onlyEnforceIf(other);
  }

  private LinearExpr after(Activity a, long walk) {
    return LinearExpr.newBuilder().add(of(a.id())).add(a.length().plannedSeconds() + walk).build();
  }

  LinearExpr runsFrom(ActivityId id) {
    return LinearExpr.term(of(id), -1);
  }

  /** How often something begins later than right after what it would rather follow. */
  LinearExpr brokenOff() {
    List<Literal> all = new ArrayList<>();
    for (List<ActivityId> pieces : demands.inOneGo()) {
      for (int i = 1; i < pieces.size(); i++) {
        BoolVar broken = cp.newBoolVar("%s.broken-off".formatted(pieces.get(i)));
        cp.addEquality(of(pieces.get(i)), after(demands.activity(pieces.get(i - 1)), 0)).onlyEnforceIf(broken.not());
        all.add(broken);
      }
    }
    return LinearExpr.sum(all.toArray(Literal[]::new));
  }

  /** How many activities are done by others than before. */
  LinearExpr changed(Timeline before) {
    List<Literal> others = new ArrayList<>();
    for (Activity a : demands.activities()) {
      Timeline.Slot slot = before.slots().get(a.id());
      for (int i = 0; slot != null && i < a.ways().size(); i++) {
        if (!a.ways().get(i).equals(slot.who())) {
          others.add(get(ways, a.id()).get(i));
        }
      }
    }
    return LinearExpr.sum(others.toArray(Literal[]::new));
  }

  /** Where the solver is to look first. */
  void hint(Timeline t) {
    cp.clearHints();
    Set<ActivityId> known = new HashSet<>(t.slots().keySet());
    known.retainAll(begins.keySet());
    known.forEach(id -> {
      cp.addHint(of(id), t.of(id).begins().toSeconds());
      List<Set<PersonId>> all = demands.activity(id).ways();
      for (int i = 0; i < all.size(); i++) {
        cp.addHint(get(ways, id).get(i), all.get(i).equals(t.of(id).who()) ? 1 : 0);
      }
    });
  }

  /** @param value of a variable in what was found */
  Timeline timeline(ToLongFunction<IntVar> value) {
    Map<ActivityId, Timeline.Slot> slots = new HashMap<>();
    for (Activity a : demands.activities()) {
      Duration at = Duration.ofSeconds(value.applyAsLong(of(a.id())));
      List<BoolVar> all = get(ways, a.id());
      int way = 0;
      while (value.applyAsLong(all.get(way)) == 0) {
        way++;
      }
      slots.put(a.id(), new Timeline.Slot(at, at.plusSeconds(a.length().plannedSeconds()), a.ways().get(way)));
    }
    return new Timeline(slots);
  }
}
