package neatlanyard.server.departure;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.sop.LaterList;
import org.jspecify.annotations.Nullable;

/** What the interface is told of the lists after the tie-off. */
public final class LaterViews {
  private LaterViews() {}

  /** @param held how it was gone through last; empty where nobody has */
  public record LaterListView(LaterList.Phase phase, String title, List<LaterItemView> items,
      Optional<HeldView> held) {}

  /** @param leaves how it leaves controls, in words; empty where it does not */
  public record LaterItemView(String challenge, String response, String leaves) {}

  public record HeldView(String by, Instant at, int answered, int all) {}

  /** @param answered which items were answered, counted from 0 */
  public record HeldForm(@Nullable List<Integer> answered) {}

  /** How the last crew left the tail. @param states in words */
  public record LeftView(String by, String flight, Instant at, List<String> states) {}
}
