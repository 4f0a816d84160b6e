package neatlanyard.server.departure;

import neatlanyard.core.sop.Stage;

/** A screen of a departure: one a stage, and the finds, on which the commander decides. */
public enum Screen {
  DAY, POWER_UP, WALKAROUND, FLOWS, FIGURES, BRIEFING, START, CONTROLS, TAXI, BEFORE_TAKEOFF, LINE_UP, TIE_OFF, FINDS;

  /** The screen of a stage. */
  static Screen of(Stage stage) {
    return valueOf(stage.name());
  }
}
