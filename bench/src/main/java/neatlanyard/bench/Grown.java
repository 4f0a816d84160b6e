package neatlanyard.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;

/** The demo's pack grown to more steps: its procedures again and again, each step under another name. */
final class Grown {
  private Grown() {}

  /**
   * @param steps how many steps it has at least; no copies where the pack has as many. Copies are there on every day,
   *     need and wait for copies, and open, close and measure nothing.
   */
  static Pack pack(Pack pack, int steps) {
    List<Procedure> procedures = new ArrayList<>(pack.procedures());
    long have = pack.steps().count();
    for (int copy = 2; have < steps; copy++) {
      for (Procedure p : pack.procedures()) {
        if (have < steps) {
          String suffix = "-" + copy;
          Map<StepId, StepId> names = p.steps().stream()
              .collect(Collectors.toMap(Step::id, s -> new StepId(s.id().value() + suffix)));
          procedures.add(new Procedure(
              new ProcedureId(p.id().value() + suffix), p.title() + " " + copy, p.stage(), p.kind(), List.of(),
              p.steps().stream().map(s -> copy(s, names)).toList()));
          have += p.steps().size();
        }
      }
    }
    return new Pack(
        pack.id(), pack.revision(), pack.title(), pack.type(), pack.policy(), pack.equipment(), pack.subTypes(),
        pack.tails(), pack.quantities(), pack.due(), pack.planform(), pack.places(), pack.points(), pack.tags(),
        procedures, pack.takeoff(), pack.flightControls(), pack.waivers(), pack.drawings(), pack.later());
  }

  private static Step copy(Step s, Map<StepId, StepId> names) {
    // Two steps that differ by their day alone would be the same step on every day.
    String id = names.getOrDefault(s.id(), s.id()).value();
    Step.Builder copy = Step.of(id, s.place().value(), "%s, %s".formatted(s.challenge(), id), s.response(), s.owner())
        .when(new Condition.Always())
        .needs(s.needs().stream().filter(names::containsKey).map(n -> names.getOrDefault(n, n))
        .toArray(StepId[]::new));
    return copy.build();
  }
}
