package neatlanyard.core.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Waiver;

/** Asks a pack every {@link Rule}. Pure: the same pack gives the same findings. */
public final class PackCheck {
  /** Rules that are asked together, by the one that names them where they could not be. */
  private record Asked(String about, Function<Plan, List<Finding>> rules) {}

  private static final List<Asked> ASKED = List.of(
      new Asked("who does which panel", Ownership::of),
      new Asked("steps that no day brings up, and steps asked twice", Reach::of),
      new Asked("positions that contradict each other", Positions::of),
      new Asked("what is opened, needed and waited for", Threads::of),
      new Asked("what checklists verify", Verification::of), new Asked("the way from place to place", Paths::of),
      new Asked("how lists are written", Guidance::of));

  /** Undecided steps that are named; one is enough to look at. */
  private static final int MOST_NAMED = 20;

  private PackCheck() {}

  /** As {@link #of(Pack, Budget)}, with a budget that every pack of a fleet passes. */
  public static List<Finding> of(Pack pack) {
    return of(pack, Budget.FULL);
  }

  /**
   * Every finding, waived ones too, faults before advice and then in the order of the pack. What could not be decided
   * within the budget is a finding of its own, which nobody can waive.
   *
   * @throws Budget.Stopped when it is stopped from outside
   */
  public static List<Finding> of(Pack pack, Budget budget) {
    List<Finding> found;
    try {
      found = found(new Plan(pack, budget));
    } catch (Budget.Spent e) {
      found = List.of(undecided("pack", "The facts the pack asks of", "How its facts exclude and imply each other"));
    }
    Set<Waiver> idle = new HashSet<>(pack.waivers());
    List<Finding> findings = new ArrayList<>();
    boolean whole = found.stream().noneMatch(f -> f.rule() == Rule.UNDECIDED);
    for (Finding f : found) {
      Optional<Waiver> waiver = pack.waivers().stream()
          .filter(w -> f.rule() != Rule.UNDECIDED && w.rule().equals(f.rule().id()) && w.at().equals(f.at()))
          .findFirst();
      waiver.ifPresent(idle::remove);
      findings.add(new Finding(f.rule(), f.at(), f.where(), f.what(), f.mend(), waiver.map(Waiver::reason)));
    }
    // Where something was not decided, its waivers may not be idle at all.
    pack.waivers().stream().filter(w -> whole && idle.contains(w)).forEach(w -> findings.add(Finding.of(
        Rule.WAIVER_IDLE, w.at(), "Waiver of %s at %s".formatted(w.rule(), w.at()),
        "Nothing is found there by that rule.", "Take the waiver out.")));
    findings.sort(Comparator.comparing((Finding f) -> f.waived().isPresent()).thenComparing(f -> !f.rule().fault()));
    return List.copyOf(findings);
  }

  private static List<Finding> found(Plan plan) {
    if (!plan.undecided.isEmpty()) {
      return plan.undecided.stream().limit(MOST_NAMED)
          .map(p -> undecided(p.step().id().value(), p.where(), "On which days it is asked")).toList();
    }
    List<Finding> found = new ArrayList<>();
    for (Asked asked : ASKED) {
      plan.days.ask();
      try {
        found.addAll(asked.rules.apply(plan));
      } catch (Budget.Spent e) {
        plan.days.giveUp();
        found.add(undecided("pack", "The whole pack", "Undecided: %s. That".formatted(asked.about)));
      }
    }
    return found;
  }

  private static Finding undecided(String at, String where, String what) {
    return Finding.of(Rule.UNDECIDED, at, where, what + " could not be decided within the work a check may make.",
        "Make conditions simpler, or split them over steps, so that fewer facts are joined in one.");
  }
}
