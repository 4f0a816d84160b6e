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

  /** Whether this role may be on the crew of a flight. */
  public boolean flies() {
    return this == CAPTAIN || this == FIRST_OFFICER || this == ENGINEER;
  }

  /** Whether this role may take a seat. */
  public boolean sits(Seat seat) {
    return seat == Seat.ENGINEER ? this == ENGINEER : this == CAPTAIN || this == FIRST_OFFICER;
  }

  /** Whether this role may draw up packs: bring them in and edit drafts. */
  public boolean draws() {
    return this == STANDARDS;
  }

  /** Whether this role may check a pack that somebody else drew up. */
  public boolean checksPacks() {
    return this == STANDARDS || this == TRAINING || this == CAPTAIN;
  }
}
