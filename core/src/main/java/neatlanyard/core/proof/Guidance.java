package neatlanyard.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import neatlanyard.core.proof.Plan.Placed;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.State;

/** The published guidance on how checklists are made. */
final class Guidance {
  private static final Set<String> NO_VALUE = Set.of(
      "set", "checked", "check", "ok", "okay", "done", "completed", "normal", "verified", "as required", "as needed",
      "tested");
  private static final Pattern CAPITALS = Pattern.compile("\\p{Lu}{2,}(?:[ ,]+\\p{Lu}{2,}){2,}");

  private Guidance() {}

  static List<Finding> of(Plan plan) {
    List<Finding> findings = new ArrayList<>();
    for (Procedure list : plan.pack.procedures()) {
      List<Placed> items = plan.of(list);
      items.forEach(p -> wording(p, findings));
      if (list.kind() == Procedure.Kind.CHECKLIST) {
        checklist(plan, list, items, findings);
      }
    }
    return findings;
  }

  private static void wording(Placed p, List<Finding> findings) {
    String text = p.step().challenge() + " " + p.step().response();
    if (CAPITALS.matcher(text).find()) {
      findings.add(
          Finding.of(Rule.CAPITALS, p.step().id().value(), p.where(), "Several words stand in capitals.",
          "Write them in lower case."));
    }
  }

  private static void checklist(Plan plan, Procedure list, List<Placed> items, List<Finding> findings) {
    for (Placed p : items) {
      String response = p.step().response().strip().toLowerCase(Locale.ROOT);
      if (NO_VALUE.contains(response)) {
        findings.add(Finding.of(Rule.RESPONSE_NOT_A_VALUE, p.step().id().value(), p.where(),
            "Its response is \"%s\".".formatted(p.step().response()), "Say the value or the state that is seen."));
      }
      if (p.step().alerted() && !p.step().critical()) {
        findings.add(Finding.of(Rule.ALERTING_CATCHES_IT, p.step().id().value(), p.where(),
            "Alerting announces it, and it is not critical.", "Leave it to the flow, or say that it is critical."));
      }
      p.step().verifies().forEach(s -> reset(plan, p, s, findings));
    }
    section(list, items.stream().filter(p -> !p.step().belowLine()).toList(), "above its line", findings);
    section(list, items.stream().filter(p -> p.step().belowLine()).toList(), "below its line", findings);
    Placed last = items.getLast();
    if (!last.step().response().toLowerCase(Locale.ROOT).contains("complete")) {
      findings.add(Finding.of(Rule.NO_COMPLETION_CALL, list.id().value(), list.title(),
          "Its last item is %s: %s.".formatted(last.step().challenge(), last.step().response()),
          "End it with an item whose response is \"complete\"."));
    }
  }

  private static void section(Procedure list, List<Placed> items, String where, List<Finding> findings) {
    if (items.size() > Plan.LONGEST_SECTION) {
      findings.add(Finding.of(Rule.LIST_TOO_LONG, list.id().value(), list.title(),
          "It has %d items %s.".formatted(items.size(), where), "Split it where the work has a natural break."));
    }
    boolean commonBefore = false;
    for (int i = 0; i < items.size(); i++) {
      Placed p = items.get(i);
      if (p.step().critical() && commonBefore && i >= (items.size() + 1) / 2) {
        findings.add(Finding.of(Rule.CRITICAL_LATE, p.step().id().value(), p.where(),
            "It is item %d of %d %s, behind items that are not critical.".formatted(i + 1, items.size(), where),
            "Move it up."));
      }
      commonBefore |= !p.step().critical();
    }
  }

  private static void reset(Plan plan, Placed item, State verified, List<Finding> findings) {
    List<Placed> again = plan.verifying(verified.point()).stream().filter(v -> v.position() > item.position())
        .toList();
    for (Placed later : plan.touching(verified.point())) {
      boolean changes = later.position() > item.position()
          && later.step().sets().stream()
          .anyMatch(s -> s.point().equals(verified.point()) && !s.value().equals(verified.value()));
      if (changes) {
        DaySet open = item.on().and(later.on())
            .minus(plan.union(again.stream().filter(v -> v.position() > later.position())));
        if (!open.isEmpty()) {
          findings.add(Finding.of(Rule.RESET_NOT_REPEATED, item.step().id().value(), item.where(),
              "'%s' changes %s after this item, and no later item looks at it: %s.".formatted(
                  later.step().id(), plan.pack.words(verified), open.example()),
              "Repeat the item after the change, or move it there."));
        }
      }
    }
  }
}
