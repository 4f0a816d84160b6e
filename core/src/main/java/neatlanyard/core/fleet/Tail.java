package neatlanyard.core.fleet;

import java.util.Set;

/** One aircraft: its registration, its type and what it has fitted beyond the type's standard. */
public record Tail(TailId id, TypeId type, Set<Equipment> equipment) {
  public Tail {
    equipment = Set.copyOf(equipment);
  }
}
