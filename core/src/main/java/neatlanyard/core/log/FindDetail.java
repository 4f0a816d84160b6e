package neatlanyard.core.log;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.dispatch.EntryId;
import neatlanyard.core.dispatch.Severity;

/**
 * What exactly somebody found, and where.
 *
 * @param count how many
 * @param entry the entry of the dispatch list it is, as its finder says
 * @param spot where on the drawing
 * @param photos their keys, in the order they were taken
 */
public record FindDetail(Severity severity, int count, Optional<EntryId> entry, Optional<Spot> spot,
    List<UUID> photos) {
  /** Most photos of one find. */
  public static final int MOST_PHOTOS = 12;

  /** A defect of one thing, nothing more said. */
  public static final FindDetail DEFECT =
      new FindDetail(Severity.DEFECT, 1, Optional.empty(), Optional.empty(), List.of());

  public FindDetail {
    photos = List.copyOf(photos);
  }

  /**
   * A place on the drawing of the type.
   *
   * @param x metres right of the centre line
   * @param y metres back from the nose
   */
  public record Spot(double x, double y) {}
}
