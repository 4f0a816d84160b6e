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
  private static final List<Function<Plan, List<Finding>>> ASKED = List.of(
      Ownership::of, Reach::of, Positions::of, Threads::of, Verification::of, Paths::of, Guidance::of);

  private PackCheck() {}

  /** Every finding, waived ones too, faults before advice and then in the order of the pack. */
  public static List<Finding> of(Pack pack) {
    Plan plan = new Plan(pack);
    Set<Waiver> idle = new HashSet<>(pack.waivers());
    List<Finding> findings = new ArrayList<>();
    for (Finding f : ASKED.stream().flatMap(a -> a.apply(plan).stream()).toList()) {
      Optional<Waiver> waiver = pack.waivers().stream().filter(w -> w.rule().equals(f.rule().id()) && w.at().equals(f.at())).findFirst();
      waiver.ifPresent(idle::remove);
      findings.add(new Finding(f.rule(), f.at(), f.where(), f.what(), f.mend(), waiver.map(Waiver::reason)));
    }
    pack.waivers().stream().filter(idle::contains).forEach(w -> findings.add(Finding.of(
        Rule.WAIVER_IDLE, w.at(), "Waiver of %s at %s".formatted(w.rule(), w.at()), "Nothing is found there by that rule.", "Take the waiver out.")));
    findings.sort(Comparator.comparing((Finding f) -> f.waived().isPresent()).thenComparing(f -> !f.rule().fault()));
    return List.copyOf(findings);
  }
}
