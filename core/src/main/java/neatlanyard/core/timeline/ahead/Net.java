package neatlanyard.core.timeline.ahead;

import java.time.Duration;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Wait;

/** What waits for what, in no circle. */
final class Net {
  private final Map<ActivityId, Map<ActivityId, Wait>> waits = new HashMap<>();

  /** The longest of the waits between two stands; what would close a circle is left out. */
  void wait(ActivityId after, ActivityId before, Duration least, String because) {
    if (reaches(before, after, new HashSet<>())) {
      return;
    }
    waits.computeIfAbsent(after, a -> new HashMap<>()).merge(before,
        new Wait(after, before, least, Optional.empty(), because),
        (a, b) -> a.least().compareTo(b.least()) >= 0 ? a : b);
  }

  /** Whether it does not follow from others anyway. */
  private boolean needed(Wait w) {
    return !w.least().isZero() || waits.getOrDefault(w.after(), Map.of()).keySet().stream()
        .noneMatch(next -> !next.equals(w.before()) && reaches(next, w.before(), new HashSet<>()));
  }

  private boolean reaches(ActivityId from, ActivityId to, Set<ActivityId> seen) {
    return from.equals(to) || seen.add(from)
        && waits.getOrDefault(from, Map.of()).keySet().stream().anyMatch(next -> reaches(next, to, seen));
  }

  /** Whether one was said to wait for the other, not only through others. */
  boolean direct(ActivityId after, ActivityId before) {
    return waits.getOrDefault(after, Map.of()).containsKey(before);
  }

  /** Whether neither waits for the other, so that they might be done at once. */
  boolean free(ActivityId one, ActivityId other) {
    return !reaches(one, other, new HashSet<>()) && !reaches(other, one, new HashSet<>());
  }

  /** All but those that follow from others. */
  List<Wait> waits() {
    return waits.values().stream().flatMap(w -> w.values().stream()).filter(this::needed).toList();
  }
}
