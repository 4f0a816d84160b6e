package neatlanyard.core.proof;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import neatlanyard.core.proof.Plan.Placed;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;

/** Controls within one procedure: wanted in two positions, or left out of the one that was promised. */
final class Positions {
  private Positions() {}

  static List<Finding> of(Plan plan) {
    List<Finding> findings = new ArrayList<>();
    for (Procedure procedure : plan.pack.procedures()) {
      if (procedure.kind() != Procedure.Kind.CHECKLIST) {
        List<Placed> steps = plan.of(procedure);
        opposite(plan, steps, findings);
        procedure.leaves().stream().map(plan.pack::usual)
            .forEach(state -> left(plan, procedure, state, steps, findings));
      }
    }
    return findings;
  }

  private static void opposite(Plan plan, List<Placed> steps, List<Finding> findings) {
    for (int i = 0; i < steps.size(); i++) {
      Placed first = steps.get(i);
      for (State wanted : first.makes().toList()) {
        for (Placed second : steps.subList(i + 1, steps.size())) {
          DaySet days = first.on().and(second.on());
          second.makes()
              .filter(s -> s.point().equals(wanted.point()) && !s.value().equals(wanted.value()))
              .filter(s -> !meant(plan, first.step(), second.step(), s.point()) && !days.isEmpty())
              .forEach(s -> findings.add(Finding.of(Rule.OPPOSITE, second.step().id().value(), second.where(),
                  "It wants %s, and '%s' before it %s: %s.".formatted(plan.pack.words(s), first.step().id(),
                  wanted.value(), days.example()),
                  "Let the conditions exclude each other, or say that the second comes after the first: by 'needs', "
                  + "or by a tag that the first opens and the second closes.")));
        }
      }
    }
  }

  /**
   * Whether the change is meant: the second needs the first, closes what it opens, or a step between them moved it.
   */
  private static boolean meant(Plan plan, Step first, Step second, PointId point) {
    boolean closes = first.opens().stream()
        .anyMatch(o -> second.closes().stream().anyMatch(c -> c.tag().equals(o.tag())));
    return closes || needs(plan, second, first.id(), point, new HashSet<>());
  }

  private static boolean needs(Plan plan, Step step, StepId wanted, PointId point, Set<StepId> seen) {
    return step.needs().contains(wanted)
        || step.needs().stream().filter(seen::add).flatMap(n -> plan.find(n).stream())
        .anyMatch(p -> needs(plan, p.step(), wanted, point, seen));
  }

  /** From the last step back: whoever touches the control last on a day leaves it. */
  private static void left(Plan plan, Procedure procedure, State promised, List<Placed> steps,
      List<Finding> findings) {
    DaySet undecided = plan.days.all();
    for (Placed p : steps.reversed()) {
      for (State s : p.makes().filter(s -> s.point().equals(promised.point())).toList()) {
        DaySet here = undecided.and(p.on());
        if (!s.value().equals(promised.value()) && !here.isEmpty()) {
          findings.add(Finding.of(Rule.LEFT_OUT_OF_POSITION, procedure.id().value(), procedure.title(),
              "It should leave %s, and '%s' leaves it %s: %s.".formatted(plan.pack.words(promised), p.step().id(),
              s.value(), here.example()),
              "Put it back with a later step, or correct what the procedure leaves."));
        }
        undecided = undecided.minus(p.on());
      }
    }
    boolean touched = steps.stream().flatMap(Placed::makes).anyMatch(s -> s.point().equals(promised.point()));
    if (!touched) {
      findings.add(Finding.of(Rule.LEFT_OUT_OF_POSITION, procedure.id().value(), procedure.title(),
          "It should leave %s, and none of its steps touches that.".formatted(plan.pack.words(promised)),
          "Add the step that does, or correct what the procedure leaves."));
    }
  }
}
