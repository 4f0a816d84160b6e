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

  /** Whether this role may draw up packs: bring them in and edit drafts. */
  public boolean draws() {
    return this == STANDARDS;
  }

  /** Whether this role may check a pack that somebody else drew up. */
  public boolean checksPacks() {
    return this == STANDARDS || this == TRAINING || this == CAPTAIN;
  }

  /** Whether this role may bring in fleets and flights. */
  public boolean bringsIn() {
    return this == STANDARDS || this == ADMINISTRATOR;
  }
}
