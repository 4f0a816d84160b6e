package neatlanyard.core.fleet;

import java.util.Set;

/** A variant of a type. @param equipment what every tail of it has fitted */
public record SubType(SubTypeId id, String name, Set<Equipment> equipment) {
  public SubType {
    equipment = Set.copyOf(equipment);
  }
}
