package neatlanyard.core.departure;

import java.util.List;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event.Opened;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.state.DepartureState;

/**
 * A departure as it stands: the fold over its log so far. Never changes; {@link #apply} gives the next one.
 *
 * <p>The fold is deterministic: the same entries give the same state, whatever the clock says.
 */
public final class Departure {
  private final DepartureState state;
  private final Picture picture;

  private Departure(DepartureState state, Picture picture) {
    this.state = state;
    this.picture = picture;
  }

  /**
   * A departure of which only the first entry is known.
   *
   * @param pack the pack in the revision that {@code opened} names
   */
  public static Departure open(Pack pack, Opened opened) {
    return of(new DepartureState(pack, opened));
  }

  /** The whole fold. @throws IllegalArgumentException unless the first entry is {@link Opened} */
  public static Departure fold(Pack pack, List<Entry> log) {
    if (log.isEmpty() || !(log.getFirst().event() instanceof Opened opened)) {
      throw new IllegalArgumentException("A departure's log begins with its opening");
    }
    DepartureState state = new DepartureState(pack, opened);
    for (Entry entry : log.subList(1, log.size())) {
      state = Fold.apply(state, entry);
    }
    return of(state);
  }

  /** The departure after one more entry. @throws IllegalArgumentException unless it carries the next number */
  public Departure apply(Entry entry) {
    DepartureState next = Fold.apply(state, entry);
    return new Departure(next, picture.of(next));
  }

  private static Departure of(DepartureState state) {
    return new Departure(state, new Picture(state));
  }

  /** What has been said so far. */
  public DepartureState state() {
    return state;
  }

  /** What it comes to. */
  public Picture picture() {
    return picture;
  }
}
