package neatlanyard.core.departure;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.dispatch.Case;
import neatlanyard.core.dispatch.EntryId;
import neatlanyard.core.dispatch.Severity;
import neatlanyard.core.dispatch.Verdict;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.StepId;

/**
 * Something that is not as it should be, with the commander's decision once there is one.
 *
 * @param measured whether a reading out of limits made it, rather than somebody's words
 */
public record Find(
    UUID id, StepId step, String note, What what, boolean measured, CrewId by, Instant at, long number,
    Optional<Decision> decision) {
  /**
   * What exactly, and where.
   *
   * @param count how many
   * @param entry the entry of the dispatch list it is, as its finder says
   * @param spot where on the drawing
   * @param photos their keys, in the order they were taken
   */
  public record What(Severity severity, int count, Optional<EntryId> entry, Optional<Spot> spot, List<UUID> photos) {
    /** Most photos of one find. */
    public static final int MOST_PHOTOS = 12;

    /** A defect of one thing, nothing more said. */
    public static final What DEFECT = new What(Severity.DEFECT, 1, Optional.empty(), Optional.empty(), List.of());

    public What {
      photos = List.copyOf(photos);
    }
  }

  /**
   * A place on the drawing of the type.
   *
   * @param x metres right of the centre line
   * @param y metres back from the nose
   */
  public record Spot(double x, double y) {}

  /** The commander's decision. @param proposed the case as it stood */
  public record Decision(Verdict verdict, String words, Optional<Case> proposed, CrewId by, Instant at, long number) {}

  Find decided(Decision decision) {
    return new Find(id, step, note, what, measured, by, at, number, Optional.of(decision));
  }
}
