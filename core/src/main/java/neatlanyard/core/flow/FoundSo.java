package neatlanyard.core.flow;

import java.util.List;
import java.util.stream.Stream;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;
import neatlanyard.core.state.DepartureState;

/** What may be found on when the crew comes, instead of being put on. */
public final class FoundSo {
  private FoundSo() {}

  /**
   * Whether the crew may find a step's state instead of making it. Never one that makes something safe: one that
   * others need, that reads, proves or is critical, or that puts a control into its first position, where it rests.
   */
  public static boolean may(Pack pack, Procedure procedure, Step step) {
    boolean plain = procedure.kind() == Procedure.Kind.POWER_UP
        && !step.sets().isEmpty() && step.expects().isEmpty() && step.measures().isEmpty()
        && step.alternates().isEmpty() && !step.critical();
    return plain
        && step.sets().stream().noneMatch(s -> rests(pack, s) || s.byFigure())
        && pack.steps().noneMatch(s -> s.needs().contains(step.id()));
  }

  /** The open steps that these states say are so already. */
  public static Stream<Item> by(DepartureState d, List<State> states) {
    return d.items().stream().filter(i -> i.procedure().kind() == Procedure.Kind.POWER_UP && !d.marked(i).settled()
        && states.containsAll(i.step().sets()) && may(d.pack(), i.procedure(), i.step()));
  }

  private static boolean rests(Pack pack, State state) {
    return pack.point(state.point()).map(Point::states).filter(all -> all.getFirst().equals(state.value()))
        .isPresent();
  }
}
