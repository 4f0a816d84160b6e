package neatlanyard.core.sop;

import java.util.Optional;
import neatlanyard.core.gauge.Gauge;
import neatlanyard.core.units.Unit;

/**
 * Something a crew reads and enters, such as crew oxygen in psi.
 *
 * @param gauge how it is judged beyond a step's limits
 */
public record Quantity(QuantityId id, String name, Unit unit, Optional<Gauge> gauge) {
  public Quantity(QuantityId id, String name, Unit unit) {
    this(id, name, unit, Optional.empty());
  }
}
