package neatlanyard.core.state;

import java.util.Optional;
import neatlanyard.core.log.Event;

/**
 * What is kept of a step besides its marks.
 *
 * @param override the words said to go past what keeps it closed
 * @param value what was said, where it wants a value
 * @param waitSeen number of the entry by which somebody saw its wait over; 0 before
 * @param takenBack number of the entry by which somebody last took back what they said of it; 0 before
 * @param changed what a new card has made untrue of its answer, whether or not it was given again since
 */
public record StepNotes(
    Optional<Recorded<Event.Overridden>> override, Optional<Recorded<Event.ValueSaid>> value, long waitSeen,
    long takenBack, Optional<Change> changed) {
  static final StepNotes NONE = new StepNotes(Optional.empty(), Optional.empty(), 0, 0, Optional.empty());

  /** @param since number of the entry that made an answer untrue; an answer after it stands @param words why */
  public record Change(long since, String words) {}

  StepNotes overridden(Recorded<Event.Overridden> by) {
    return new StepNotes(Optional.of(by), value, waitSeen, takenBack, changed);
  }

  StepNotes said(Recorded<Event.ValueSaid> by) {
    return new StepNotes(override, Optional.of(by), waitSeen, takenBack, changed);
  }

  StepNotes seen(long number) {
    return new StepNotes(override, value, number, takenBack, changed);
  }

  /** A step that is taken back takes with it what was said to do it. */
  StepNotes takenBack(long number) {
    return new StepNotes(Optional.empty(), Optional.empty(), waitSeen, number, changed);
  }

  StepNotes changed(Change by) {
    return new StepNotes(override, value, waitSeen, takenBack, Optional.of(by));
  }
}
