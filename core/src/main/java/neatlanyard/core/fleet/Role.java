package neatlanyard.core.fleet;

/** What somebody is signed in to do. */
public enum Role {
  CAPTAIN,
  FIRST_OFFICER,
  ENGINEER,
  STANDARDS,
  MAINTENANCE,
  TRAINING,
  ADMINISTRATOR;

  /** Whether this role may sit at the controls. */
  public boolean flies() {
    return this == CAPTAIN || this == FIRST_OFFICER;
  }

  /** Whether this role may bring in packs, fleets and flights. */
  public boolean bringsIn() {
    return this == STANDARDS || this == ADMINISTRATOR;
  }
}
