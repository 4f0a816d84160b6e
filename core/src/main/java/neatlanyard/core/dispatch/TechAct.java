package neatlanyard.core.dispatch;

import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.StepId;

/** What can happen to a defect in the technical log of a tail. */
public sealed interface TechAct {
  UUID defect();

  /** In words, as it reads in the log. */
  default String told() {
    return switch (this) {
      case Raised r -> r.what();
      case Deferred d -> "Deferred under %s until the end of %s: %s".formatted(d.entry(), d.lastDay(), d.words());
      case Extended e -> "Extended until the end of %s: %s".formatted(e.lastDay(), e.words());
      case Cleared c -> "Cleared: %s".formatted(c.words());
    };
  }

  /** Somebody wrote it in. @param departure the one it was found in; empty for one written at a desk */
  record Raised(UUID defect, Optional<FlightId> departure, Optional<PlaceId> place, Optional<StepId> step, String what)
      implements TechAct {}

  /** It may wait, under an entry of the list, until the end of a day. */
  record Deferred(UUID defect, EntryId entry, int count, LocalDate lastDay, String words) implements TechAct {}

  /** It may wait longer. */
  record Extended(UUID defect, LocalDate lastDay, String words) implements TechAct {}

  /** It is mended, or was nothing. @param words what was done */
  record Cleared(UUID defect, String words) implements TechAct {}
}
