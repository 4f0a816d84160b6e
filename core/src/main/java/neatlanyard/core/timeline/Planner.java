package neatlanyard.core.timeline;

import java.time.Duration;
import java.util.List;
import java.util.Optional;

/** Finds the best timeline there is. */
public interface Planner {
  /** What came of it. */
  sealed interface Outcome {
    /**
     * @param bound no timeline can depart before this, since the plan begins
     * @param earliest whether this one departs then, so that no other departs earlier
     * @param best whether nothing is better by any of the aims, and not only not found in the time there was
     */
    record Planned(Timeline timeline, Duration bound, boolean earliest, boolean best) implements Outcome {}

    /**
     * @param demands that cannot hold together, a sentence each
     * @param smallest whether any of them left out the others can; false where the time was over before that was shown
     */
    record Clash(List<String> demands, boolean smallest) implements Outcome {
      public Clash {
        demands = List.copyOf(demands);
      }
    }

    /** Nothing was found in the time there was, and nothing shown to be impossible. */
    record NoTime() implements Outcome {}
  }

  /**
   * The earliest departure not before it is due; of these the least of what runs; of these the one in which least of
   * what is done in one go is broken off; of these the one that is done with everything that does not wait for what
   * runs as early as may be, which is the most slack; of these the one with the fewest other people doing things than
   * before. In its order everything is as early as {@link Order#early} makes it.
   *
   * @param demands without faults
   * @param before what people have in their heads; empty at first
   * @param within the most time for it
   */
  Outcome plan(Demands demands, Optional<Timeline> before, Duration within);
}
