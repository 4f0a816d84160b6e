package neatlanyard.core.flow;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.DayValue.Source;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Status;

/** How controls stand and what indications show: by the steps done, and by the aircraft's own data. */
public final class Positions {
  private Positions() {}

  /**
   * One statement of a point.
   *
   * @param by the step that was done; empty where the aircraft's own data say it, or the last crew
   * @param number number of the entry that says it; 0 where the last crew left it so
   */
  public record Statement(PointId point, String value, Optional<Item> by, long number) {
    /** Such as "After start flow, Flaps" or "the aircraft's own data". */
    public String source() {
      return by.map(i -> "%s, %s".formatted(i.procedure().title(), i.step().challenge()))
          .orElse(number == 0 ? "as the last crew left it" : "the aircraft's own data");
    }
  }

  /** All that is said of each point, in the order in which it was said. */
  public static Map<PointId, List<Statement>> of(DepartureState d) {
    Map<PointId, List<Statement>> statements = new HashMap<>();
    for (Item item : d.items()) {
      Step step = item.step();
      boolean none = step.sets().isEmpty() && step.expects().isEmpty() && step.verifies().isEmpty();
      if (!none && d.marked(item) == Status.DONE) {
        long number = d.standsSince(item);
        step.states().map(s -> ByFigure.position(d, s, number))
            .map(s -> new Statement(s.point(), said(d, item, s), Optional.of(item), number))
            .forEach(s -> add(statements, s));
      }
    }
    d.facts().left().ifPresent(l -> l.states().forEach(s ->
        add(statements, new Statement(s.point(), s.value(), Optional.empty(), 0))));
    d.aircraft().forEach(a -> a.event().states().forEach(s ->
        add(statements, new Statement(s.point(), s.value(), Optional.empty(), a.number()))));
    statements.values().forEach(l -> l.sort(Comparator.comparing(Statement::number)));
    return statements;
  }

  private static void add(Map<PointId, List<Statement>> statements, Statement one) {
    statements.computeIfAbsent(one.point(), p -> new ArrayList<>()).add(one);
  }

  /** A position that was chosen, even where it is not the one wanted. */
  private static String said(DepartureState d, Item item, State wanted) {
    boolean chosen = item.step().value().filter(v -> v.source() instanceof Source.Position p
        && p.point().equals(wanted.point())).isPresent();
    return chosen ? d.notes(item.step().id()).value().map(v -> v.event().value()).orElse(wanted.value())
        : wanted.value();
  }

  /** What is said of each point last. */
  public static Map<PointId, String> last(Map<PointId, List<Statement>> statements) {
    Map<PointId, String> last = new HashMap<>();
    statements.forEach((point, all) -> last.put(point, all.getLast().value()));
    return last;
  }
}
