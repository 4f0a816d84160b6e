package neatlanyard.core.proof;

import neatlanyard.core.fleet.Code;

/** What the pack check asks, each with why it is asked and where it comes from. */
public enum Rule {
  PANEL_UNOWNED(true, "Panel nobody scans", "A panel done by nobody is the classic hole.", Source.JOB),
  PANEL_OF_TWO(true, "Panel of two seats", "What belongs to two is left by each to the other.", Source.JOB),
  SEAT_WITHOUT_WORK(true, "Seat without a flow", "A seat that scans nothing checks nothing.", Source.JOB),
  NEVER(true, "No day brings it up", "A step that no tail and no day asks for is a mistake in its condition.",
  Source.LOGIC),
  SHADOWED(true, "Shadowed", "The same thing asked twice in one procedure is answered by heart the second time.",
  Source.LOGIC),
  OPPOSITE(true, "Opposite positions",
  "Two steps of one procedure want a control in different positions on the same day.", Source.LOGIC),
  LEFT_OUT_OF_POSITION(true, "Left out of its position",
  "The procedure says how it leaves this control, and on some day leaves it otherwise.", Source.LOGIC),
  OPENED_NEVER_CLOSED(true, "Opened and never closed", "A tag that nothing takes off hangs at line-up.", Source.LOGIC),
  NEED_UNPROVIDED(true, "Need that nothing provides",
  "What must be so before a step has to be made so by an earlier one.", Source.LOGIC),
  WAIT_UNHONOURED(true, "Wait nobody honours", "A wait that no later step asks for is forgotten.", Source.LOGIC),
  ALTERNATION_WITHOUT_MEMORY(true, "Alternation without a memory", "Nobody remembers which one was used last.",
  Source.JOB),
  CRITICAL_UNVERIFIED(true, "Critical state nobody verifies",
  "What can hurt somebody is confirmed by a checklist before take-off.",
      "14 CFR 121.315; FAA AC 120-71B"),
  NOTHING_TO_VERIFY(true, "Nothing before it does this",
  "A checklist item confirms what a flow did; here no earlier step does it.", Source.LOGIC),
  VERIFIES_OTHERWISE(true, "It stands otherwise by then",
  "The last step that touches the control leaves it in another position than the item wants.", Source.LOGIC),
  BACK_AND_FORTH(true, "Back and forth", "A scan that leaves a place and comes back to it loses items there.",
  Source.DEGANI),
  LONG_WAY(false, "Longer way than needed", "The order of places follows the panel or the walk.", Source.DEGANI),
  RESPONSE_NOT_A_VALUE(false, "Response that is no value",
  "An answer gives the value or the state seen, not \"set\" or \"checked\".", Source.DEGANI),
  LIST_TOO_LONG(false, "Long checklist",
  ("A long list is split where the phases of the work part. The limit of %d items without a line is common practice, "
  + "no source.").formatted(Plan.LONGEST_SECTION), Source.DEGANI),
  CRITICAL_LATE(false, "Critical item late",
  "Critical items stand as early in the list as they can, before interruptions come.", Source.DEGANI),
  RESET_NOT_REPEATED(true, "Changed again after it was verified",
  "What may be reset after it was verified is verified again.", Source.DEGANI),
  NO_COMPLETION_CALL(false, "No completion call", "The last item of a checklist states that it is complete.",
  Source.DEGANI),
  ALERTING_CATCHES_IT(false, "Alerting would catch it",
  "A checklist is not overloaded with items that another barrier catches.", Source.DEGANI),
  CAPITALS(false, "Capitals", "Lower case reads faster than capitals in a text of more than a few words.",
  "Degani, NASA CR-177605 (1992)"),
  UNDECIDED(true, "Not decided",
  "Deciding conditions can take more work than anybody waits for; what is not decided is not passed.", Source.LOGIC),
  WAIVER_IDLE(false, "Waiver without a finding", "What it accepts is not found any more.", Source.LOGIC);

  private static final class Source {
    static final String JOB = "common practice, no source";
    static final String LOGIC = "follows from the pack itself";
    static final String DEGANI = "Degani & Wiener, NASA CR-177549 (1990)";
  }

  private final boolean fault;
  private final String title;
  private final String why;
  private final String source;

  Rule(boolean fault, String title, String why, String source) {
    this.fault = fault;
    this.title = title;
    this.why = why;
    this.source = source;
  }

  /** How it is named in a waiver. */
  public String id() {
    return Code.written(name());
  }

  /** Whether a pack with such a finding is not published; the others are advice. */
  public boolean fault() {
    return fault;
  }

  public String title() {
    return title;
  }

  public String why() {
    return why;
  }

  public String source() {
    return source;
  }
}
