package neatlanyard.core.sop;

import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * Steps that belong together, done in one stage.
 *
 * @param leaves how controls stand when it is over, whatever was done with them on the way
 * @param takes how long it takes by who drew it up; empty where they do not say
 * @param monitoringDone how long before the departure the pilot monitoring has done theirs of it, where it can be had;
 *     empty where no time is wanted
 */
public record Procedure(ProcedureId id, String title, Stage stage, Kind kind, List<State> leaves, List<Step> steps,
    Optional<Duration> takes, Optional<Duration> monitoringDone) {
  public Procedure(ProcedureId id, String title, Stage stage, Kind kind, List<State> leaves, List<Step> steps) {
    this(id, title, stage, kind, leaves, steps, Optional.empty(), Optional.empty());
  }

  /** What a procedure is; it decides how its steps are worked and what the pack check asks of them. */
  public enum Kind {
    /** Making it safe, then power, from behind the seats. */
    POWER_UP,
    /** Once around the flight deck. */
    SAFETY_ROUND,
    /** Station by station around the outside. */
    WALKAROUND,
    /** Panel by panel from a seat. */
    FLOW,
    /** Tests with what is expected of them. */
    TEST,
    /** Values entered from two seats and compared. */
    FIGURES,
    BRIEFING,
    /** Challenge and response, in order, may be stopped. */
    CHECKLIST,
    /** What surrounds the flight control check. */
    CONTROL_CHECK,
    /** Readings in rows, engine by engine, on a sheet that does the arithmetic. */
    RUN_UP,
    /** On the runway. */
    LINE_UP;

    /** Whether it is worked panel by panel from a seat, so that a panel can be handed over. */
    public boolean byPanel() {
      return this == POWER_UP || this == SAFETY_ROUND || this == FLOW || this == TEST;
    }

    /** Whether people pass over places in a fixed path. */
    public boolean scanned() {
      return this == WALKAROUND || this == FLOW || this == SAFETY_ROUND;
    }
  }

  public Procedure {
    leaves = List.copyOf(leaves);
    steps = List.copyOf(steps);
  }
}
