package neatlanyard.solver;

import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalLong;
import java.util.Set;
import java.util.function.ToLongFunction;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.PersonId;
import neatlanyard.core.timeline.Timeline;
import neatlanyard.core.timeline.Wait;

/** Every timeline there is, tried: only for few activities and few seconds. It shares nothing with the solver. */
final class Exhaustive {
  private final Demands demands;
  private final List<Activity> all;
  private final Map<ActivityId, Timeline.Slot> slots = new HashMap<>();
  private final int horizon;
  private final ToLongFunction<Map<ActivityId, Timeline.Slot>> then;
  private long best = Long.MAX_VALUE;
  private long least = Long.MAX_VALUE;

  private Exhaustive(Demands demands, int horizon, ToLongFunction<Map<ActivityId, Timeline.Slot>> then) {
    this.then = then;
    this.demands = demands;
    this.all = demands.activities();
    this.horizon = horizon;
  }

  /** The earliest departure in whole seconds; empty where the demands clash. @param horizon seconds that are tried */
  static OptionalLong departs(Demands demands, int horizon) {
    Exhaustive search = new Exhaustive(demands, horizon, t -> 0);
    search.place(0, demands.due().toSeconds());
    return search.best == Long.MAX_VALUE ? OptionalLong.empty() : OptionalLong.of(search.best);
  }

  /** The least of something among all that depart earliest. */
  static long least(Demands demands, int horizon, ToLongFunction<Map<ActivityId, Timeline.Slot>> of) {
    Exhaustive search = new Exhaustive(demands, horizon, of);
    search.place(0, demands.due().toSeconds());
    return search.least;
  }

  private void place(int n, long end) {
    if (end > best) {
      return;
    }
    if (n == all.size()) {
      least = end < best ? then.applyAsLong(slots) : Math.min(least, then.applyAsLong(slots));
      best = end;
      return;
    }
    Activity a = all.get(n);
    int length = a.length().plannedSeconds();
    long last = Math.min(horizon, a.until().map(Duration::toSeconds).orElse((long) horizon)) - length;
    for (Set<PersonId> way : a.ways()) {
      for (long at = a.from().toSeconds(); at <= last; at++) {
        Timeline.Slot slot = new Timeline.Slot(Duration.ofSeconds(at), Duration.ofSeconds(at + length), way);
        if (fits(n, slot)) {
          slots.put(a.id(), slot);
          place(n + 1, Math.max(end, at + length));
          slots.remove(a.id());
        }
      }
    }
  }

  private boolean fits(int n, Timeline.Slot slot) {
    Activity a = all.get(n);
    for (int i = 0; i < n; i++) {
      Activity b = all.get(i);
      Timeline.Slot other = Objects.requireNonNull(slots.get(b.id()));
      long walk = demands.walk(a, b).toSeconds();
      boolean shares = slot.who().stream().anyMatch(other.who()::contains);
      if (shares && s(slot.begins()) < s(other.ends()) + walk && s(other.begins()) < s(slot.ends()) + walk) {
        return false;
      }
      boolean apart = demands.apart().stream().anyMatch(x -> x.activities().containsAll(Set.of(a.id(), b.id())));
      if (apart && s(slot.begins()) < s(other.ends()) && s(other.begins()) < s(slot.ends())) {
        return false;
      }
    }
    for (Wait w : demands.waits()) {
      Timeline.Slot after = w.after().equals(a.id()) ? slot : slots.get(w.after());
      Timeline.Slot before = w.before().equals(a.id()) ? slot : slots.get(w.before());
      if (after != null && before != null) {
        long waited = s(before.begins()) - s(after.ends());
        if (waited < w.least().toSeconds() || w.most().isPresent() && waited > w.most().get().toSeconds()) {
          return false;
        }
      }
    }
    return true;
  }

  private static long s(Duration d) {
    return d.toSeconds();
  }
}
