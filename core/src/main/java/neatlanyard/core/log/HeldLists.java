package neatlanyard.core.log;

import java.time.Instant;
import java.util.List;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.LaterList;
import neatlanyard.core.sop.State;

/** The lists that crews held after they had tied off. */
public interface HeldLists {
  /**
   * A list that was gone through.
   *
   * @param answered how many of its items were answered, of {@code all}
   * @param left how it leaves controls: those of the items that were answered
   */
  record Held(FlightId flight, TailId tail, LaterList.Phase phase, CrewId by, Instant at, int answered, int all,
      List<State> left) {
    public Held {
      left = List.copyOf(left);
    }
  }

  /** Keeps one in place of an earlier of the same flight and phase. */
  void keep(Held held);

  /** Those of a flight. */
  List<Held> of(FlightId flight);
}
