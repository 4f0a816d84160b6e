package neatlanyard.core.departure;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.departure.Positions.Told;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.State;

/** The take-off configuration: what the pack wants, held against what is known of it. */
public final class Takeoff {
  private Takeoff() {}

  /** @param name of the control @param told what is known of it last; empty where nobody has said anything */
  public record Check(State wanted, String name, Optional<Told> told) {
    public boolean so() {
      return told.filter(t -> t.value().equals(wanted.value())).isPresent();
    }

    /** Such as "Flaps: 15 wanted, 0 by the aircraft's own data". */
    public String words() {
      return told.map(t -> so() ? "%s: %s, by %s".formatted(name, t.value(), t.source())
              : "%s: %s wanted, %s by %s".formatted(name, wanted.value(), t.value(), t.source()))
          .orElse("%s: %s wanted, nobody has said so".formatted(name, wanted.value()));
    }
  }

  /** One check for each control that the pack wants configured, in its order. */
  public static List<Check> of(Departure d) {
    Map<PointId, List<Told>> told = d.pack().takeoff().isEmpty() ? Map.of() : Positions.told(d);
    return d.pack().takeoff().stream().map(w -> new Check(
        w, d.pack().name(w.point()), Positions.now(told, w.point()))).toList();
  }
}
