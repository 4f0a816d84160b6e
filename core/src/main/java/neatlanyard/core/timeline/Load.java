package neatlanyard.core.timeline;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What follows from demands without search, in whole seconds: before when nothing can begin, and how much is needed
 * after it. Both go by what waits for what, and by each person, who does one thing at a time with the ways between; of
 * those and of what is kept apart, by the preemptive schedule of Jackson (Carlier 1982), which no schedule beats.
 */
public final class Load {
  private static final long NONE = -1;

  private final Demands demands;
  private final List<Activity> all;
  private final int count;
  private final Map<ActivityId, Integer> index = new HashMap<>();
  private final int[] lengths;
  /** From the end of one to the beginning of another that waits for it; {@link #NONE} where it does not. */
  private final long[][] between;
  /** Of an order in which nothing comes before what it waits for. */
  private final int[] sorted;
  private final List<Machine> machines = new ArrayList<>();
  private long @Nullable [] heads;
  private long @Nullable [] tails;

  /** What does one thing at a time. @param walks whether there are ways between the places */
  private record Machine(int[] activities, boolean walks) {}

  /** @param demands without faults */
  public Load(Demands demands) {
    this.demands = demands;
    this.all = demands.activities();
    this.count = all.size();
    all.forEach(a -> index.put(a.id(), index.size()));
    this.lengths = all.stream().mapToInt(a -> a.length().plannedSeconds()).toArray();
    this.between = new long[count][count];
    Arrays.stream(between).forEach(row -> Arrays.fill(row, NONE));
    this.sorted = sorted();
    between();
    for (Person p : demands.people()) {
      int[] theirs = IntStream.range(0, count).filter(i -> certain(all.get(i), p.id())).toArray();
      machines.add(new Machine(theirs, true));
    }
    demands.apart().forEach(a ->
        machines.add(new Machine(a.activities().stream().mapToInt(this::at).toArray(), false)));
  }

  private int at(ActivityId id) {
    Integer found = index.get(id);
    if (found == null) {
      throw new IllegalArgumentException("There is no activity %s".formatted(id));
    }
    return found;
  }

  private static boolean certain(Activity a, PersonId who) {
    return !a.ways().isEmpty() && a.ways().stream().allMatch(w -> w.contains(who));
  }

  private int[] sorted() {
    int[] open = new int[count];
    List<List<Integer>> next = new ArrayList<>();
    all.forEach(a -> next.add(new ArrayList<>()));
    for (Wait w : demands.waits()) {
      open[at(w.before())]++;
      next.get(at(w.after())).add(at(w.before()));
    }
    int[] order = new int[count];
    int placed = 0;
    for (int i = 0; i < count; i++) {
      if (open[i] == 0) {
        order[placed++] = i;
      }
    }
    for (int n = 0; n < placed; n++) {
      for (int later : next.get(order[n])) {
        if (--open[later] == 0) {
          order[placed++] = later;
        }
      }
    }
    return order;
  }

  private void between() {
    List<List<Wait>> next = new ArrayList<>();
    all.forEach(a -> next.add(new ArrayList<>()));
    demands.waits().forEach(w -> next.get(at(w.after())).add(w));
    for (int n = count - 1; n >= 0; n--) {
      long[] from = between[sorted[n]];
      for (Wait w : next.get(sorted[n])) {
        int i = at(w.before());
        long least = Serial.up(w.least());
        from[i] = Math.max(from[i], least);
        for (int j = 0; j < count; j++) {
          from[j] = between[i][j] == NONE ? from[j] : Math.max(from[j], least + lengths[i] + between[i][j]);
        }
      }
    }
  }

  /** Whether one waits for the other, through any number of waits. */
  public boolean waits(Activity one, Activity forOther) {
    return between[at(forOther.id())][at(one.id())] != NONE;
  }

  /** It begins no earlier than so many seconds after the plan does. */
  public long before(Activity a) {
    return heads()[at(a.id())];
  }

  /** From its end until all is over so many seconds are needed at the least. */
  public long after(Activity a) {
    return tails()[at(a.id())];
  }

  /** Seconds after the plan begins before which no departure is. */
  public long departs() {
    return Math.max(demands.due().toSeconds(), over(IntStream.range(0, count).toArray()));
  }

  /** Before so many seconds after the plan begins these are not all over. */
  public long over(List<Activity> some) {
    return over(some.stream().mapToInt(a -> at(a.id())).toArray());
  }

  private long over(int[] some) {
    boolean whole = some.length == count;
    boolean[] wanted = new boolean[count];
    long[] after = whole ? tails() : new long[count];
    long over = 0;
    for (int i : some) {
      wanted[i] = true;
      over = Math.max(over, heads()[i] + lengths[i] + after[i]);
    }
    for (Machine m : machines) {
      int[] theirs = Arrays.stream(m.activities()).filter(i -> wanted[i]).toArray();
      over = Math.max(over, jackson(theirs, heads(), after));
      over = Math.max(over, walked(m, theirs, heads(), after));
    }
    return over;
  }

  private long[] heads() {
    if (heads == null) {
      long[] h = new long[count];
      for (int i : sorted) {
        int to = i;
        h[i] = Serial.up(all.get(i).from());
        long[] toIt = new long[count];
        for (int j = 0; j < count; j++) {
          toIt[j] = between[j][i];
          h[i] = between[j][i] == NONE ? h[i] : Math.max(h[i], h[j] + lengths[j] + between[j][i]);
        }
        for (Machine m : machines) {
          int[] some = Arrays.stream(m.activities()).filter(j -> between[j][to] != NONE).toArray();
          h[i] = Math.max(h[i], jackson(some, h, toIt));
          h[i] = Math.max(h[i], walked(m, some, i, h, toIt));
        }
      }
      heads = h;
    }
    return heads;
  }

  private long[] tails() {
    if (tails == null) {
      long[] t = new long[count];
      for (int n = count - 1; n >= 0; n--) {
        int i = sorted[n];
        long[] fromIt = between[i];
        for (int j = 0; j < count; j++) {
          t[i] = fromIt[j] == NONE ? t[i] : Math.max(t[i], fromIt[j] + lengths[j] + t[j]);
        }
        for (Machine m : machines) {
          int[] some = Arrays.stream(m.activities()).filter(j -> fromIt[j] != NONE).toArray();
          t[i] = Math.max(t[i], jackson(some, fromIt, t));
          t[i] = Math.max(t[i], walked(m, some, i, fromIt, t));
        }
      }
      tails = t;
    }
    return tails;
  }

  /**
   * When the last is over, with what comes after it, if each could be broken off for another: that of which most comes
   * after it goes first. 0 where there are no two.
   */
  private long jackson(int[] some, long[] from, long[] after) {
    if (some.length < 2) {
      return 0;
    }
    Integer[] byFrom = Arrays.stream(some).boxed().sorted(Comparator.comparingLong(i -> from[i]))
        .toArray(Integer[]::new);
    PriorityQueue<Integer> ready = new PriorityQueue<>(Comparator.comparingLong((Integer i) -> after[i]).reversed());
    long[] left = new long[count];
    long now = 0;
    long over = 0;
    int next = 0;
    while (next < byFrom.length || !ready.isEmpty()) {
      if (ready.isEmpty()) {
        now = Math.max(now, from[byFrom[next]]);
      }
      while (next < byFrom.length && from[byFrom[next]] <= now) {
        left[byFrom[next]] = lengths[byFrom[next]];
        ready.add(byFrom[next++]);
      }
      int most = ready.element();
      long until = next < byFrom.length ? Math.min(now + left[most], from[byFrom[next]]) : now + left[most];
      left[most] -= until - now;
      now = until;
      if (left[most] == 0) {
        ready.remove();
        over = Math.max(over, now + after[most]);
      }
    }
    return over;
  }

  /** When the last is over if they follow each other, with the ways between; 0 where there are no ways. */
  private long walked(Machine of, int[] some, long[] from, long[] after) {
    if (some.length == 0 || !of.walks()) {
      return 0;
    }
    long first = Arrays.stream(some).mapToLong(i -> from[i]).min().orElse(0);
    long last = Arrays.stream(some).mapToLong(i -> after[i]).min().orElse(0);
    return first + busy(some, walks(some)) + last;
  }

  /**
   * The same of what comes before another, or after it: with the way to that one where they do it too, but then
   * without the wait between, since one walks meanwhile.
   */
  private long walked(Machine of, int[] some, int other, long[] from, long[] after) {
    long alone = walked(of, some, from, after);
    if (some.length == 0 || !of.walks() || Arrays.stream(of.activities()).noneMatch(i -> i == other)) {
      return alone;
    }
    boolean comesFirst = between[other][some[0]] != NONE;
    long first = comesFirst ? 0 : Arrays.stream(some).mapToLong(i -> from[i]).min().orElse(0);
    long last = comesFirst ? Arrays.stream(some).mapToLong(i -> after[i]).min().orElse(0) : 0;
    int[] both = IntStream.concat(Arrays.stream(some), IntStream.of(other)).toArray();
    return Math.max(alone, first + busy(some, walks(both)) + last);
  }

  /** What is done anywhere may be done on the way. */
  private long busy(int[] some, long walks) {
    long placed = Arrays.stream(some).filter(i -> all.get(i).place().isPresent()).mapToLong(i -> lengths[i]).sum();
    return Math.max(placed + walks, Arrays.stream(some).mapToLong(i -> lengths[i]).sum());
  }

  /** Between two places: there, where something comes before all that is there, and back, where something follows. */
  private long walks(int[] some) {
    Map<String, List<Integer>> places = new HashMap<>();
    for (int i : some) {
      all.get(i).place().ifPresent(p -> places.computeIfAbsent(p, x -> new ArrayList<>()).add(i));
    }
    if (places.size() < 2) {
      return 0;
    }
    List<Integer> placed = places.values().stream().flatMap(List::stream).toList();
    int ways = places.values().stream().mapToInt(there -> {
      boolean out = placed.stream().anyMatch(a -> !there.contains(a)
          && there.stream().allMatch(t -> between[a][t] != NONE));
      boolean back = placed.stream().anyMatch(a -> !there.contains(a)
          && there.stream().allMatch(t -> between[t][a] != NONE));
      return (out ? 1 : 0) + (back ? 1 : 0);
    }).max().orElse(0);
    return Math.max(ways, places.size() - 1L) * least(places.values().stream().map(List::getFirst).toList());
  }

  /** The shortest of the ways between places. @param one of each */
  private long least(List<Integer> one) {
    return one.stream().flatMapToInt(a -> one.stream().filter(b -> !b.equals(a))
        .mapToInt(b -> Serial.up(demands.walk(all.get(a), all.get(b))))).min().orElse(0);
  }
}
