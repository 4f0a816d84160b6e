package neatlanyard.core.proof;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import neatlanyard.core.proof.Plan.Placed;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.School;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagId;

/** What runs from one step to another: tags, needs, waits, turns. */
final class Threads {
  private record Hung(TagId tag, String item) {}

  private Threads() {}

  static List<Finding> of(Plan plan) {
    List<Finding> findings = new ArrayList<>();
    Map<Hung, List<Placed>> closers = new HashMap<>();
    Map<StepId, List<Placed>> honoured = new HashMap<>();
    for (Placed p : plan.steps) {
      for (Step.Hook hook : p.step().closes()) {
        hook.items().forEach(i -> closers.computeIfAbsent(new Hung(hook.tag(), i), h -> new ArrayList<>()).add(p));
      }
      p.step().afterWait().forEach(s -> honoured.computeIfAbsent(s, x -> new ArrayList<>()).add(p));
    }
    for (Placed p : plan.steps) {
      opened(plan, p, closers, findings);
      needed(plan, p, findings);
      waited(plan, p, honoured.getOrDefault(p.step().id(), List.of()), findings);
      boolean forgets = p.step().alternates().filter(a -> a.memory().isEmpty()).isPresent();
      if (forgets && plan.pack.policy().of(Matter.ALTERNATION) == School.BY_LAST_USE) {
        findings.add(Finding.of(Rule.ALTERNATION_WITHOUT_MEMORY, p.step().id().value(), p.where(),
            "It alternates from the last use, and names nothing under which that is remembered.",
            "Give the alternation a 'memory'."));
      }
    }
    return findings;
  }

  private static void opened(Plan plan, Placed p, Map<Hung, List<Placed>> closers, List<Finding> findings) {
    for (Step.Hook hook : p.step().opens()) {
      for (String item : hook.items()) {
        List<Placed> later = closers.getOrDefault(new Hung(hook.tag(), item), List.of()).stream()
            .filter(c -> c.position() > p.position()).toList();
        DaySet hangs = p.on().minus(plan.union(later.stream()));
        if (!hangs.isEmpty()) {
          String what = item.equals(hook.tag().value()) ? "'%s'".formatted(hook.tag())
              : "'%s' of '%s'".formatted(item, hook.tag());
          findings.add(Finding.of(Rule.OPENED_NEVER_CLOSED, p.step().id().value(), p.where(),
              "It opens %s, and no later step closes that: %s.".formatted(what, hangs.example()),
              later.isEmpty() ? "Add a later step that closes it."
              : "Let a step that closes it apply on that day too."));
        }
      }
    }
  }

  private static void needed(Plan plan, Placed p, List<Finding> findings) {
    for (StepId id : p.step().needs()) {
      plan.find(id).ifPresent(n -> {
        if (n.position() > p.position()) {
          findings.add(Finding.of(Rule.NEED_UNPROVIDED, p.step().id().value(), p.where(),
              "It needs '%s', which comes only later, in %s.".formatted(id, n.procedure().title()),
              "Move one of them, or drop the need."));
        } else if (!p.on().within(n.on())) {
          findings.add(Finding.of(Rule.NEED_UNPROVIDED, p.step().id().value(), p.where(),
              "It needs '%s', which is not on the card: %s.".formatted(id, p.on().minus(n.on()).example()),
              "Let '%s' apply on that day too, or need what stands in for it.".formatted(id)));
        }
      });
    }
  }

  private static void waited(Plan plan, Placed p, List<Placed> honouring, List<Finding> findings) {
    if (p.step().waits().isEmpty()) {
      return;
    }
    DaySet forgotten = p.on().minus(plan.union(honouring.stream().filter(h -> h.position() > p.position())));
    if (!forgotten.isEmpty()) {
      findings.add(Finding.of(Rule.WAIT_UNHONOURED, p.step().id().value(), p.where(),
          "It starts a wait of %s, and no later step asks whether that is over: %s.".formatted(p.step().waits().get()
          .words(), forgotten.example()),
          "Name it in 'after-wait' of the step that must come after it."));
    }
  }
}
