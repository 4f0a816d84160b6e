package neatlanyard.core.fleet;

/** Somebody who signs in. */
public record CrewMember(CrewId id, String name, Role role) {
  /** The family name, which is what one reads fastest. */
  public String family() {
    return name.substring(name.lastIndexOf(' ') + 1);
  }
}
