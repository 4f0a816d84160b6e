package neatlanyard.core.proof;

import java.util.ArrayList;
import java.util.List;
import neatlanyard.core.proof.Plan.Placed;
import neatlanyard.core.sop.School;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;

/** Flows against checklists: what should be confirmed is, and what is confirmed was done. */
final class Verification {
  private Verification() {}

  static List<Finding> of(Plan plan) {
    List<Finding> findings = new ArrayList<>();
    for (Placed p : plan.steps) {
      if (p.checklist()) {
        p.step().verifies().forEach(s -> verifies(plan, p, s, findings));
      } else if (p.step().critical()) {
        critical(plan, p, findings);
      }
    }
    return findings;
  }

  private static void critical(Plan plan, Placed p, List<Finding> findings) {
    List<State> states = p.makes().toList();
    // What two enter alone is verified by being compared.
    if (states.isEmpty() && !p.on().isEmpty() && p.step().enters().isEmpty()) {
      findings.add(Finding.of(Rule.CRITICAL_UNVERIFIED, p.step().id().value(), p.where(),
          "It is critical, but names no control or indication that a checklist could verify.",
          "Say what it sets or expects, or that it is not critical."));
    }
    for (State s : states) {
      DaySet unseen = p.on().minus(plan.union(plan.verifying(s.point()).stream()
          .filter(v -> v.position() > p.position() && v.procedure().stage().compareTo(Stage.LINE_UP) <= 0)
          .filter(v -> v.step().verifies().contains(s))));
      if (!unseen.isEmpty()) {
        findings.add(Finding.of(Rule.CRITICAL_UNVERIFIED, p.step().id().value(), p.where(),
            "%s is critical, and no later checklist item verifies it: %s.".formatted(plan.pack.words(s),
            unseen.example()),
            "Add an item that verifies it, or let one apply on that day too."));
      }
    }
  }

  private static void verifies(Plan plan, Placed item, State wanted, List<Finding> findings) {
    List<Placed> before = plan.touching(wanted.point()).stream().filter(p -> p.position() < item.position()).toList();
    DaySet undone = item.on().minus(plan.union(before.stream().filter(p -> p.makes().anyMatch(wanted::equals))));
    // Where the list itself is read and done, an item is the doing.
    if (!undone.isEmpty() && plan.pack.policy().follows(School.FLOW_THEN_VERIFY)) {
      findings.add(Finding.of(Rule.NOTHING_TO_VERIFY, item.step().id().value(), item.where(),
          "No earlier step leads to \"%s\": %s.".formatted(plan.pack.words(wanted), undone.example()),
          "Add it to a flow, or let the step that does it apply on that day too."));
    }
    DaySet undecided = item.on();
    for (Placed p : before.reversed()) {
      DaySet here = undecided.and(p.on());
      boolean otherwise = p.makes().anyMatch(s -> s.point().equals(wanted.point()) && !s.value()
          .equals(wanted.value()));
      if (otherwise && !here.isEmpty()) {
        findings.add(Finding.of(Rule.VERIFIES_OTHERWISE, item.step().id().value(), item.where(),
            "It wants %s, and '%s' is the last to touch that and wants it otherwise: %s.".formatted(
            plan.pack.words(wanted), p.step().id(), here.example()),
            "Mend the item, or the step before it."));
      }
      undecided = undecided.minus(p.on());
    }
  }
}
