package neatlanyard.solver;

import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.PersonId;
import neatlanyard.core.timeline.Wait;

/**
 * What somebody must have done before an activity can begin, or has to do after it, in seconds: all that only they may
 * do and that comes before, one thing at a time, with the ways between. It follows from the demands; said to the
 * solver, it proves what it finds far sooner.
 */
final class Load {
  private final Demands demands;
  private final Map<ActivityId, Set<ActivityId>> later = new HashMap<>();

  Load(Demands demands) {
    this.demands = demands;
    Map<ActivityId, List<Wait>> next = demands.waits().stream().collect(Collectors.groupingBy(Wait::after));
    demands.activities().forEach(a -> later(a.id(), next));
  }

  private Set<ActivityId> later(ActivityId id, Map<ActivityId, List<Wait>> next) {
    Set<ActivityId> known = later.get(id);
    if (known != null) {
      return known;
    }
    Set<ActivityId> all = new HashSet<>();
    for (Wait w : next.getOrDefault(id, List.of())) {
      all.add(w.before());
      all.addAll(later(w.before(), next));
    }
    later.put(id, all);
    return all;
  }

  /** Whether one waits for the other, through any number of waits. */
  boolean waits(Activity one, Activity forOther) {
    return later.getOrDefault(forOther.id(), Set.of()).contains(one.id());
  }

  /** Seconds before it can begin. */
  long before(Activity a) {
    List<Activity> earlier = demands.activities().stream().filter(e -> waits(a, e)).toList();
    return demands.people().stream().mapToLong(p -> load(p.id(), a, earlier, true)).max().orElse(0);
  }

  /** Seconds after its end that are still needed. */
  long after(Activity a) {
    List<Activity> following = demands.activities().stream().filter(l -> waits(l, a)).toList();
    return demands.people().stream().mapToLong(p -> load(p.id(), a, following, false)).max().orElse(0);
  }

  private long load(PersonId who, Activity at, List<Activity> some, boolean before) {
    List<Activity> theirs = some.stream().filter(a -> certain(a, who)).toList();
    long first = before ? theirs.stream().mapToLong(a -> Seconds.up(a.from())).min().orElse(0) : 0;
    Set<Activity> all = new HashSet<>(theirs);
    if (certain(at, who)) {
      all.add(at);
    }
    return first + theirs.stream().mapToLong(a -> a.length().plannedSeconds()).sum() + walks(all);
  }

  private static boolean certain(Activity a, PersonId who) {
    return !a.ways().isEmpty() && a.ways().stream().allMatch(w -> w.contains(who));
  }

  /** Between two places: there, where something comes before all that is there, and back, where something follows. */
  private long walks(Collection<Activity> all) {
    Map<String, List<Activity>> places = all.stream().filter(a -> a.place().isPresent())
        .collect(Collectors.groupingBy(a -> a.place().orElseThrow()));
    if (places.size() < 2) {
      return 0;
    }
    long least = least(places);
    long ways = places.values().stream().mapToLong(there -> {
      boolean out = all.stream().anyMatch(a -> elsewhere(a, there) && there.stream().allMatch(t -> waits(t, a)));
      boolean back = all.stream().anyMatch(a -> elsewhere(a, there) && there.stream().allMatch(t -> waits(a, t)));
      return (out ? 1 : 0) + (back ? 1 : 0);
    }).max().orElse(0);
    return Math.max(ways, places.size() - 1L) * least;
  }

  private static boolean elsewhere(Activity a, List<Activity> there) {
    return a.place().isPresent() && !a.place().equals(there.getFirst().place());
  }

  private long least(Map<String, List<Activity>> places) {
    List<Activity> one = places.values().stream().map(List::getFirst).toList();
    long least = Long.MAX_VALUE;
    for (Activity a : one) {
      for (Activity b : one) {
        least = a.equals(b) ? least : Math.min(least, Seconds.up(demands.walk(a, b)));
      }
    }
    return least;
  }
}
