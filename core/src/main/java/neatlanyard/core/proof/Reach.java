package neatlanyard.core.proof;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import neatlanyard.core.proof.Plan.Placed;
import neatlanyard.core.sop.State;

/** Steps that no day brings up, and steps that another stands before. */
final class Reach {
  private Reach() {}

  static List<Finding> of(Plan plan) {
    List<Finding> findings = new ArrayList<>();
    Map<String, List<Placed>> alike = new HashMap<>();
    for (Placed p : plan.steps) {
      if (p.on().isEmpty()) {
        if (!plan.ofAnotherSchool(p.step())) {
          findings.add(Finding.of(Rule.NEVER, p.step().id().value(), p.where(),
              "It applies when %s; that is so on no tail of the pack and no day.".formatted(p.step().when().words()),
              "Mend its condition, or take it out."));
        }
        continue;
      }
      for (Placed before : alike.computeIfAbsent(key(p), k -> new ArrayList<>())) {
        if (p.on().within(before.on()) && !changedBetween(plan, before, p)) {
          findings.add(Finding.of(Rule.SHADOWED, p.step().id().value(), p.where(),
              "Whenever it is asked, the same was asked before it by '%s'.".formatted(before.step().id()),
              "Keep one of them, or let their conditions exclude each other."));
          break;
        }
      }
      alike.computeIfAbsent(key(p), k -> new ArrayList<>()).add(p);
    }
    return findings;
  }

  /** What makes two steps of one procedure the same: the thing asked, at the same place, and the state wanted. */
  private static String key(Placed p) {
    return "%s|%s|%s|%s|%s".formatted(
        p.procedure().id(), p.step().place(), p.step().challenge().toLowerCase(Locale.ROOT), p.step().sets(), p.step()
        .expects());
  }

  /** Whether a control of the step is put elsewhere in the meantime, so that asking again is right. */
  private static boolean changedBetween(Plan plan, Placed before, Placed after) {
    return after.makes().map(State::point).flatMap(point -> plan.touching(point).stream())
        .anyMatch(x -> x.position() > before.position() && x.position() < after.position());
  }
}
