package neatlanyard.core.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import neatlanyard.core.sop.Condition;
import org.logicng.formulas.Formula;
import org.logicng.formulas.FormulaFactory;
import org.logicng.formulas.Variable;
import org.logicng.knowledgecompilation.bdds.orderings.ForceOrdering;

/**
 * The order of facts in the decision diagrams. With n facts paired with n others, their size is 2ⁿ when all of the one
 * kind come first and 2n when each stands beside its partner (Bryant 1986), so facts that are asked of together are
 * brought together: the FORCE heuristic (Aloul, Markov and Sakallah 2003) over the groups that stand under one "all"
 * or "any", the library's.
 */
final class FactOrder {
  /** Larger groups pull everything to the middle and say nothing of who belongs together. */
  private static final int LARGEST_GROUP = 8;
  /** More say nothing new, and looking at them is work that no budget counts. */
  private static final int MOST_GROUPS = 2_000;

  private FactOrder() {}

  /**
   * @param names every fact, by name, in the order in which they stand where nothing speaks for another
   * @param name a fact's name among them; one that is not among them is passed over
   */
  static List<String> of(List<String> names, Stream<Condition> conditions, Function<Condition.Fact, String> name) {
    Set<String> known = new LinkedHashSet<>(names);
    Set<Set<String>> groups = new LinkedHashSet<>();
    conditions.distinct().forEach(c -> group(c, name, known, groups));
    if (groups.isEmpty()) {
      return names;
    }
    FormulaFactory formulas = new FormulaFactory();
    // The library's order begins with the first clauses: small groups say the most.
    List<Formula> clauses = groups.stream().sorted(Comparator.comparingInt(Set::size)).limit(MOST_GROUPS)
        .map(g -> formulas.clause(g.stream().map(formulas::variable).toList())).map(Formula.class::cast).toList();
    List<String> order = new ArrayList<>(new ForceOrdering().getOrder(formulas.and(clauses)).stream()
        .map(Variable::name).toList());
    // What no group speaks of, such as the tails, stands first, as it divides all others.
    List<String> all = new ArrayList<>(names.stream().filter(n -> !order.contains(n)).toList());
    all.addAll(order);
    return all;
  }

  private static Set<String> group(Condition c, Function<Condition.Fact, String> name, Set<String> known,
      Set<Set<String>> groups) {
    Set<String> here = new LinkedHashSet<>();
    switch (c) {
      case Condition.Always a -> { }
      case Condition.Not not -> here.addAll(group(not.of(), name, known, groups));
      case Condition.All all -> all.of().forEach(inner -> here.addAll(group(inner, name, known, groups)));
      case Condition.Any any -> any.of().forEach(inner -> here.addAll(group(inner, name, known, groups)));
      case Condition.Fact fact -> Stream.of(name.apply(fact)).filter(known::contains).forEach(here::add);
    }
    if (here.size() > 1 && here.size() <= LARGEST_GROUP) {
      groups.add(here);
    }
    return here;
  }
}
