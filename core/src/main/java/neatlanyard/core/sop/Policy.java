package neatlanyard.core.sop;

/** The school a fleet follows where crews differ; one choice for everybody in one cockpit. */
public record Policy(ChecklistVoice checklistVoice, ControlCheckWhen controlCheckWhen) {
  public static final Policy DEFAULT =
      new Policy(ChecklistVoice.MONITORING_READS, ControlCheckWhen.STATIONARY);

  /** Who reads the challenge. */
  public enum ChecklistVoice {
    MONITORING_READS("Commander calls, monitoring pilot reads, owner answers"),
    FIRST_OFFICER_READS("Commander calls, right seat reads, both answer for their own items");

    private final String words;

    ChecklistVoice(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }

    public Owner reader() {
      return this == MONITORING_READS ? Owner.MONITORING : Owner.RIGHT;
    }
  }

  /** When the flight control check is made. */
  public enum ControlCheckWhen {
    STATIONARY("Stationary, after start, brake set"),
    STRAIGHT_TAXI("Taxiing straight, never in a turn; stationary in low visibility");

    private final String words;

    ControlCheckWhen(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }
}
