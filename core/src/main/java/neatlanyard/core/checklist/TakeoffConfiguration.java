package neatlanyard.core.checklist;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.flow.Positions.Statement;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.State;

/** The take-off configuration: what the pack wants, held against what is known of it. */
public final class TakeoffConfiguration {
  private TakeoffConfiguration() {}

  /** @param name of the control @param last what is known of it; empty where nobody has said anything */
  public record Check(State wanted, String name, Optional<Statement> last) {
    public boolean so() {
      return last.filter(t -> t.value().equals(wanted.value())).isPresent();
    }

    /** Such as "Flaps: 15 wanted, 0 by the aircraft's own data". */
    public String words() {
      return last.map(t -> so() ? "%s: %s, by %s".formatted(name, t.value(), t.source())
              : "%s: %s wanted, %s by %s".formatted(name, wanted.value(), t.value(), t.source()))
          .orElse("%s: %s wanted, nobody has said so".formatted(name, wanted.value()));
    }
  }

  /** One check for each control that the pack wants configured, in its order. */
  public static List<Check> of(Pack pack, Map<PointId, List<Statement>> statements) {
    return pack.takeoff().stream().map(wanted -> new Check(
        wanted, pack.name(wanted.point()),
        Optional.ofNullable(statements.get(wanted.point())).map(List::getLast))).toList();
  }
}
