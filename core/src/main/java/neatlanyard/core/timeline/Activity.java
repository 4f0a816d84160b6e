package neatlanyard.core.timeline;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Something that takes time before the departure.
 *
 * @param what as people call it, such as "Walkaround"
 * @param ways who does it: one of these sets, of which all are busy with it; an empty set where nobody is
 * @param place where it is done, for the walks between; empty where it does not matter
 * @param from not begun before this, since the plan begins
 * @param until over by this; empty where nothing ends it
 */
public record Activity(
    ActivityId id, String what, List<Set<PersonId>> ways, Length length, Optional<String> place, Duration from,
    Optional<Duration> until) {
  public Activity {
    ways = ways.stream().map(Set::copyOf).toList();
  }

  /** The same in another window. */
  public Activity within(Duration begins, Optional<Duration> ends) {
    return new Activity(id, what, ways, length, place, begins, ends);
  }
}
