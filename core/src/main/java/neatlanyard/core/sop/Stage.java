package neatlanyard.core.sop;

/** The beads on the cord, in the order of the job, from the flight-deck door to the line-up. */
public enum Stage {
  DAY("Status and day"),
  POWER_UP("Safe, then power"),
  WALKAROUND("Walkaround"),
  FLOWS("Flows"),
  FIGURES("Figures"),
  BRIEFING("Briefing"),
  START("Start"),
  CONTROLS("Control check"),
  TAXI("Taxi"),
  BEFORE_TAKEOFF("Before take-off"),
  LINE_UP("Line-up"),
  TIE_OFF("Tie off");

  private final String title;

  Stage(String title) {
    this.title = title;
  }

  public String title() {
    return title;
  }
}
