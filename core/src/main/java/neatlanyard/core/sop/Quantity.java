package neatlanyard.core.sop;

import neatlanyard.core.units.Unit;

/** Something a crew reads and enters, such as crew oxygen in psi. */
public record Quantity(QuantityId id, String name, Unit unit) {}
