package neatlanyard.core.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Seating;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.Policy;
import neatlanyard.core.sop.Step;
import org.logicng.formulas.FormulaFactory;
import org.logicng.formulas.Literal;
import org.logicng.formulas.Variable;
import org.logicng.knowledgecompilation.bdds.BDD;
import org.logicng.knowledgecompilation.bdds.BDDFactory;

/**
 * Every day a pack can meet, as a space of facts: which tail, who flies, and each fact that some condition asks of.
 *
 * <p>Sets of days are reduced ordered binary decision diagrams (Bryant 1986), so whether a set is empty is decided for
 * all combinations at once, not by trying some. Facts that exclude or imply each other are held to it: one tail at a
 * time, colder than −10 °C is also colder than 3 °C, snow is something falling, one airfield of departure.
 */
final class Days {
  private static final String LEFT_FLIES = "the left seat flies";

  private final Policy policy;
  private final Seating seating;
  private final MeteredKernel kernel;
  private final Budget.Meter meter;
  private final FormulaFactory formulas = new FormulaFactory();
  private final Map<String, BDD> facts = new LinkedHashMap<>();
  private final Map<String, Integer> order = new LinkedHashMap<>();
  private final Map<String, String> opposites = new LinkedHashMap<>();
  private final Map<String, List<Tail>> groups = new LinkedHashMap<>();
  private final Map<Condition, DaySet> known = new LinkedHashMap<>();
  private final BDD nothing;
  private final DaySet all;
  private final DaySet leftFlies;

  /** @throws Budget.Spent if even what the facts say of each other takes too much */
  Days(Pack pack, Budget budget) {
    policy = pack.policy();
    seating = pack.planform().seating();
    meter = new Budget.Meter(budget);
    Set<Condition.Fact> asked = pack.facts();
    boolean byName = asked.stream().anyMatch(f -> f instanceof Condition.OnTail);
    for (Tail tail : pack.wholeTails()) {
      String key = byName ? tail.id().value() : tail.subType() + " " + tail.equipment().stream().map(Object::toString)
          .sorted().toList();
      groups.computeIfAbsent(key, k -> new ArrayList<>()).add(tail);
    }
    Map<String, TreeMap<Double, Condition.Fact>> scales = new LinkedHashMap<>();
    asked.forEach(f -> scale(f).ifPresent(s -> scales.computeIfAbsent(s.name, n -> new TreeMap<>())
        .putIfAbsent(s.below, f)));
    List<String> names = new ArrayList<>();
    groups.values().forEach(g -> names.add(name(g)));
    scales.forEach((name, limits) -> limits.keySet().forEach(limit -> names.add(new Scale(name, limit).fact())));
    names.add(LEFT_FLIES);
    asked.stream().filter(f -> plain(f)).map(Condition::words).distinct().forEach(names::add);
    Stream<Condition> conditions = pack.steps().map(Step::when);
    List<Variable> variables = FactOrder.of(names, conditions, Days::variable).stream().map(formulas::variable)
        .toList();
    kernel = new MeteredKernel(formulas, variables, meter);
    variables.forEach(v -> facts.put(v.name(), BDDFactory.build(v, kernel)));
    // How a day is told does not follow the order in which it is decided.
    names.forEach(n -> order.put(n, order.size()));
    nothing = BDDFactory.build(formulas.falsum(), kernel);
    asked.forEach(f -> opposites.put(f.words(), f.otherwise()));
    scales.forEach((name, limits) -> limits.forEach((limit, fact) -> words(new Scale(name, limit).fact(), fact)));
    all = new DaySet(this, possible(asked, scales));
    leftFlies = new DaySet(this, fact(LEFT_FLIES).and(all.bdd()));
  }

  /** A value below a limit, for facts that lie on one scale. */
  private record Scale(String name, double below) {
    String fact() {
      return name + " < " + below;
    }
  }

  private static Optional<Scale> scale(Condition.Fact f) {
    return switch (f) {
      case Condition.ColderThan c -> Optional.of(new Scale("temperature", c.celsius()));
      case Condition.WindAbove w -> Optional.of(new Scale("wind", w.kt() + 0.5));
      case Condition.VisibilityBelow v -> Optional.of(new Scale("visibility", v.metres()));
      case Condition.MeasuredBelow m -> Optional.of(new Scale("measured " + m.quantity().id(), m.limit()));
      default -> Optional.empty();
    };
  }

  /** Facts that have a variable of their own. */
  private static boolean plain(Condition.Fact f) {
    return switch (f) {
      case Condition.Fitted x -> false;
      case Condition.OfSubType x -> false;
      case Condition.OnTail x -> false;
      case Condition.Follows x -> false;
      default -> scale(f).isEmpty();
    };
  }

  /** How a fact of a scale reads when it is so and when it is not. */
  private void words(String variable, Condition.Fact fact) {
    String below = fact instanceof Condition.WindAbove ? fact.otherwise() : fact.words();
    String above = fact instanceof Condition.WindAbove ? fact.words() : fact.otherwise();
    opposites.put(variable, above);
    opposites.put("+" + variable, below);
  }

  /** The name of the variable a fact is decided by; that of no variable where the tails decide it. */
  private static String variable(Condition.Fact f) {
    return scale(f).map(Scale::fact).orElse(f.words());
  }

  /** A new question with a share of the budget of its own. */
  void ask() {
    meter.next();
  }

  /** A question was given up: whatever was begun is dropped. */
  void giveUp() {
    kernel.recover();
    meter.next();
  }

  private BDD fact(String name) {
    return facts.getOrDefault(name, nothing);
  }

  private static String name(List<Tail> group) {
    return group.stream().map(t -> t.id().value()).collect(Collectors.joining(", "));
  }

  private BDD possible(Set<Condition.Fact> asked, Map<String, TreeMap<Double, Condition.Fact>> scales) {
    BDD world = exactlyOne(groups.values().stream().map(g -> fact(name(g))).toList());
    for (Map.Entry<String, TreeMap<Double, Condition.Fact>> scale : scales.entrySet()) {
      BDD lower = nothing;
      for (double limit : new TreeSet<>(scale.getValue().keySet())) {
        BDD higher = fact(new Scale(scale.getKey(), limit).fact());
        world = world.and(lower.implies(higher));
        lower = higher;
      }
    }
    world = world.and(
        atMostOne(asked.stream().filter(f -> f instanceof Condition.From).map(f -> fact(f.words())).toList()));
    world = world.and(
        atMostOne(asked.stream().filter(f -> f instanceof Condition.To).map(f -> fact(f.words())).toList()));
    String falling = Condition.Weather.Sky.PRECIPITATION.words();
    if (facts.containsKey(falling)) {
      for (Condition.Weather.Sky sky : List.of(Condition.Weather.Sky.RAIN, Condition.Weather.Sky.SNOW)) {
        world = world.and(fact(sky.words()).implies(fact(falling)));
      }
    }
    return world;
  }

  private BDD exactlyOne(List<BDD> of) {
    return of.stream().reduce(nothing, BDD::or).and(atMostOne(of));
  }

  private BDD atMostOne(List<BDD> of) {
    BDD none = nothing.negate();
    BDD one = nothing;
    for (BDD b : of) {
      one = one.and(b.negate()).or(none.and(b));
      none = none.and(b.negate());
    }
    return none.or(one);
  }

  /** Every day that can be. */
  DaySet all() {
    return all;
  }

  DaySet none() {
    return new DaySet(this, nothing);
  }

  /** The days on which a condition holds. */
  DaySet when(Condition c) {
    DaySet there = known.get(c);
    if (there == null) {
      there = new DaySet(this, of(c).and(all.bdd()));
      known.put(c, there);
    }
    return there;
  }

  private BDD of(Condition c) {
    return switch (c) {
      case Condition.Always a -> nothing.negate();
      case Condition.Not not -> of(not.of()).negate();
      case Condition.All several -> several.of().stream().map(this::of).reduce(nothing.negate(), BDD::and);
      case Condition.Any several -> several.of().stream().map(this::of).reduce(nothing, BDD::or);
      case Condition.Fitted f -> tails(t -> t.equipment().contains(f.equipment()));
      case Condition.OfSubType s -> tails(t -> t.subType().filter(s.subType()::equals).isPresent());
      case Condition.OnTail t -> tails(x -> x.id().equals(t.tail()));
      case Condition.Follows f -> policy.follows(f.school()) ? nothing.negate() : nothing;
      case Condition.WindAbove w -> fact(variable(w)).negate();
      case Condition.Fact f -> fact(variable(f));
    };
  }

  private BDD tails(java.util.function.Predicate<Tail> which) {
    return groups.values().stream().filter(g -> which.test(g.getFirst())).map(g -> fact(name(g)))
        .reduce(nothing, BDD::or);
  }

  /** The days on which a step, when it is on the card, is for one seat to answer. */
  DaySet answers(Step step, Optional<Place> place, Seat seat) {
    DaySet flies = seat == Seat.LEFT ? leftFlies : all.minus(leftFlies);
    Owner owner = step.owner();
    if (owner == Owner.FLYING) {
      return flies;
    }
    if (owner == Owner.MONITORING) {
      return all.minus(flies);
    }
    if (place.isEmpty()) {
      return none();
    }
    // Whatever the school makes of the overhead, it is a seat for each of the two who may fly.
    DaySet left = owner.answering(Seat.LEFT, policy, place.get()).seats().contains(seat) ? leftFlies : none();
    DaySet right = owner.answering(Seat.RIGHT, policy, place.get()).seats().contains(seat) ? all.minus(leftFlies)
        : none();
    return left.or(right);
  }

  /**
   * One day of a set in words, naming as few facts as make it one of the set: a fact is left out when the day belongs
   * to the set whatever that fact is.
   */
  String example(DaySet set) {
    if (set.isEmpty()) {
      return "";
    }
    List<Literal> told = new ArrayList<>(set.bdd().model(false, set.bdd().support()).literals());
    told.sort(Comparator.comparing(Literal::phase).thenComparing(l -> order.getOrDefault(l.name(), 0)));
    for (Literal l : List.copyOf(told)) {
      List<Literal> fewer = told.stream().filter(x -> x != l).toList();
      if (cube(fewer).within(set)) {
        told = new ArrayList<>(fewer);
      }
    }
    String words = told.stream()
        .sorted(Comparator.comparing(l -> order.getOrDefault(l.name(), 0)))
        .map(l -> literal(l.name(), l.phase()))
        .collect(Collectors.joining(", "));
    return words.isEmpty() ? "on any day" : words;
  }

  private DaySet cube(List<Literal> of) {
    BDD cube = all.bdd();
    for (Literal l : of) {
      cube = cube.and(l.phase() ? fact(l.name()) : fact(l.name()).negate());
    }
    return new DaySet(this, cube);
  }

  private boolean tailName(String name) {
    return groups.values().stream().anyMatch(g -> name(g).equals(name));
  }

  private String literal(String name, boolean so) {
    if (tailName(name)) {
      return (so ? "on " : "not on ") + name;
    }
    if (name.equals(LEFT_FLIES)) {
      return seating.name(so ? Seat.LEFT : Seat.RIGHT) + " seat flying";
    }
    return so ? opposites.getOrDefault("+" + name, name) : opposites.getOrDefault(name, "not " + name);
  }
}
