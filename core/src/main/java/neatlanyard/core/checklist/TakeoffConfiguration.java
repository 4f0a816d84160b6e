package neatlanyard.core.checklist;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.flow.ByFigure;
import neatlanyard.core.flow.Positions.Statement;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.State;
import neatlanyard.core.state.DepartureState;

/** The take-off configuration: what the pack wants, held against what is known of it. */
public final class TakeoffConfiguration {
  private TakeoffConfiguration() {}

  /**
   * @param name of the control
   * @param open the figure by which it stands, while both have not agreed on it
   * @param last what is known of it; empty where nobody has said anything
   */
  public record Check(State wanted, String name, Optional<CriticalFigure> open, Optional<Statement> last) {
    public boolean so() {
      return last.filter(t -> t.value().equals(wanted.value())).isPresent();
    }

    /** Such as "Flaps: 15 wanted, 0 by the aircraft's own data". */
    public String words() {
      return last.map(t -> so() ? "%s: %s, by %s".formatted(name, t.value(), t.source())
              : "%s: %s wanted, %s by %s".formatted(name, wanted.value(), t.value(), t.source()))
          .orElse("%s: %s wanted, nobody has said so".formatted(name, wanted.value()))
          + open.map(f -> "; the %s is not agreed yet".formatted(f.words())).orElse("");
    }
  }

  /**
   * One check for each control that the pack wants configured, in its order; where both have agreed on a figure that
   * says where it stands, that counts.
   */
  public static List<Check> of(DepartureState d, Map<PointId, List<Statement>> statements) {
    return d.pack().takeoff().stream().map(usual -> new Check(
        ByFigure.takeoff(d, usual), d.pack().name(usual.point()), ByFigure.open(d, usual.point()),
        Optional.ofNullable(statements.get(usual.point())).map(List::getLast))).toList();
  }
}
