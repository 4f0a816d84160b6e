package neatlanyard.core.sop;

/** The beads on the cord, in the order of the job, from the flight-deck door to the line-up. */
public enum Stage {
  DAY("Status and day"),
  POWER_UP("Safe, then power"),
  WALKAROUND("Walkaround"),
  FLOWS("Flows"),
  CONTROLS("Control check"),
  BEFORE_TAKEOFF("Before take-off"),
  TIE_OFF("Tie off");

  private final String title;

  Stage(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
