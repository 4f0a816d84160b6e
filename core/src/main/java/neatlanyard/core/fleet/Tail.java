package neatlanyard.core.fleet;

import java.util.Optional;
import java.util.Set;

/**
 * One aircraft as a pack knows it.
 *
 * @param equipment all it has fitted, by its sub-type and by itself
 */
public record Tail(TailId id, TypeId type, Optional<SubTypeId> subType, Set<Equipment> equipment) {
  public Tail {
    equipment = Set.copyOf(equipment);
  }
}
