package neatlanyard.core.sop;

import java.util.List;

/** Steps that belong together, done in one stage. */
public record Procedure(ProcedureId id, String title, Stage stage, Kind kind, List<Step> steps) {
  /** How its steps are worked. */
  public enum Kind {
    /** Station by station around the outside, in any order within reach. */
    WALKAROUND,
    /** Panel by panel from a seat. */
    FLOW,
    /** Challenge and response, in order, may be stopped. */
    CHECKLIST
  }

  public Procedure {
    steps = List.copyOf(steps);
  }
}
