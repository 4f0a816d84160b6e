package neatlanyard.core.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Seating;
import neatlanyard.core.proof.Plan.Placed;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.Procedure.Kind;
import neatlanyard.core.sop.School;
import neatlanyard.core.units.Words;

/** Whose panels are whose. */
final class Ownership {
  private static final Set<Kind> SCANNING = Set.of(Kind.POWER_UP, Kind.SAFETY_ROUND, Kind.FLOW, Kind.TEST,
      Kind.RUN_UP);

  private Ownership() {}

  static List<Finding> of(Plan plan) {
    List<Finding> findings = new ArrayList<>();
    for (Place panel : plan.pack.places().stream().filter(p -> !p.station()).toList()) {
      List<Placed> there = plan.steps.stream().filter(p -> p.step().place().equals(panel.id())).toList();
      DaySet missed = plan.days.all()
          .minus(plan.union(there.stream().filter(p -> SCANNING.contains(p.procedure().kind()))));
      if (!missed.isEmpty()) {
        findings.add(Finding.of(Rule.PANEL_UNOWNED, panel.id().value(), panel.name(),
            "No flow comes to it: %s.".formatted(missed.example()),
            "Give it a step in a flow, or take it out of the pack."));
      }
      if (!panel.shared()) {
        ofTwo(plan, panel, there).ifPresent(findings::add);
      }
    }
    for (Seat seat : Seat.pilots()) {
      DaySet works = plan.steps.stream()
          .filter(p -> p.procedure().kind() == Kind.FLOW)
          .map(p -> p.on().and(plan.days.answers(p.step(), plan.place(p.step().place()), seat)))
          .reduce(plan.days.none(), DaySet::or);
      DaySet idle = plan.days.all().minus(works);
      if (!idle.isEmpty()) {
        String name = Words.first(plan.pack.planform().seating().name(seat)) + " seat";
        findings.add(Finding.of(Rule.SEAT_WITHOUT_WORK, seat.name().toLowerCase(Locale.ROOT), name,
            "It has no flow step: %s.".formatted(idle.example()), "Give it its own side, or a share of the panels."));
      }
    }
    return findings;
  }

  private static Optional<Finding> ofTwo(Plan plan, Place panel, List<Placed> there) {
    Seating seating = plan.pack.planform().seating();
    List<Placed> owned = there.stream()
        .filter(p -> p.procedure().kind() == Kind.FLOW && p.step().owner() != Owner.BOTH)
        .filter(p -> p.step().owner() != Owner.OVERHEAD || plan.pack.policy()
        .of(Matter.OVERHEAD_SCAN) != School.EITHER)
        .toList();
    for (Placed a : owned) {
      DaySet left = a.on().and(plan.days.answers(a.step(), Optional.of(panel), Seat.LEFT));
      for (Placed b : left.isEmpty() ? List.<Placed>of() : owned) {
        DaySet two = left.and(b.on()).and(plan.days.answers(b.step(), Optional.of(panel), Seat.RIGHT));
        if (a.procedure().stage() == b.procedure().stage() && !two.isEmpty()) {
          return Optional.of(Finding.of(Rule.PANEL_OF_TWO, panel.id().value(), panel.name(),
              "The %s seat does %s, the %s seat %s: %s.".formatted(seating.name(Seat.LEFT), a.step().challenge(),
              seating.name(Seat.RIGHT), b.step().challenge(), two.example()),
              "Give the panel to one seat, or mark it as shared."));
        }
      }
    }
    return Optional.empty();
  }

}
