package neatlanyard.core.timeline;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.random.RandomGenerator;

/**
 * A plan as one would make it by hand, in a few thousandths of a second: one activity after the other, that with the
 * least room first, each as early as it fits and by whoever is done with it first; the best of some tries with a
 * little chance in them (serial schedule generation; Kelley 1963). Nothing is proven by it, and where longest waits
 * are tight it may find nothing.
 */
public final class Serial {
  private static final double LITTLE = 240;

  private final Demands demands;
  private final List<Activity> all;
  private final int count;
  private final int[] lengths;
  private final int[] from;
  private final int[][] walks;
  private final boolean[][] apart;
  /** By activity: what it waits for, and how long at least. */
  private final int[][] before;
  private final int[][] least;
  /** By activity and way: who is busy, a bit a person. */
  private final long[][] who;
  private final Map<ActivityId, Integer> index = new HashMap<>();
  private final double[] latest;

  private Serial(Demands demands) {
    this.demands = demands;
    this.all = demands.activities();
    this.count = all.size();
    this.lengths = all.stream().mapToInt(a -> a.length().plannedSeconds()).toArray();
    this.from = all.stream().mapToInt(a -> up(a.from())).toArray();
    this.walks = new int[count][count];
    this.apart = new boolean[count][count];
    for (int i = 0; i < count; i++) {
      index.put(all.get(i).id(), i);
      for (int j = 0; j < count; j++) {
        walks[i][j] = up(demands.walk(all.get(i), all.get(j)));
        Set<ActivityId> two = i == j ? Set.of() : Set.of(all.get(i).id(), all.get(j).id());
        apart[i][j] = i != j && demands.apart().stream().anyMatch(a -> a.activities().containsAll(two));
      }
    }
    List<List<Wait>> waits = new ArrayList<>();
    all.forEach(a -> waits.add(new ArrayList<>()));
    demands.waits().forEach(w -> waits.get(at(w.before())).add(w));
    this.before = waits.stream().map(x -> x.stream().mapToInt(w -> at(w.after())).toArray()).toArray(int[][]::new);
    this.least = waits.stream().map(x -> x.stream().mapToInt(w -> up(w.least())).toArray()).toArray(int[][]::new);
    List<PersonId> people = demands.people().stream().map(Person::id).toList();
    this.who = all.stream().map(a -> a.ways().stream().mapToLong(w ->
        w.stream().mapToLong(p -> 1L << people.indexOf(p)).sum()).toArray()).toArray(long[][]::new);
    this.latest = latest();
  }

  private int at(ActivityId id) {
    Integer found = index.get(id);
    if (found == null) {
      throw new IllegalArgumentException("There is no activity %s".formatted(id));
    }
    return found;
  }

  private static int up(Duration d) {
    return (int) Math.ceil(d.toMillis() / 1_000.0);
  }

  /** When each must begin at the latest for all to be over by some time far off, or by the end of its window. */
  private double[] latest() {
    double end = 1e7;
    double[] room = all.stream().mapToDouble(a -> a.until().map(u -> (double) u.toSeconds()).orElse(end)
        - a.length().plannedSeconds()).toArray();
    boolean changed = true;
    for (int n = 0; changed && n <= count; n++) {
      changed = false;
      for (Wait w : demands.waits()) {
        int a = at(w.after());
        double must = room[at(w.before())] - up(w.least()) - lengths[a];
        changed |= must < room[a];
        room[a] = Math.min(room[a], must);
      }
    }
    return room;
  }

  /**
   * The best that some tries find; empty where none of them keeps to all.
   *
   * @param demands without faults
   * @param chance what makes tries differ; the same sequence gives the same timeline
   */
  public static Optional<Timeline> of(Demands demands, int tries, RandomGenerator chance) {
    Serial serial = new Serial(demands);
    int[] best = new int[0];
    int[] ways = new int[0];
    int over = Integer.MAX_VALUE;
    for (int n = 0; n < tries; n++) {
      double[] order = serial.latest.clone();
      for (int i = 0; n > 0 && i < order.length; i++) {
        order[i] += LITTLE * chance.nextGaussian();
      }
      int[] begins = new int[serial.count];
      int[] chosen = new int[serial.count];
      int end = serial.one(order, begins, chosen);
      if (end < over && serial.keeps(begins)) {
        over = end;
        best = begins;
        ways = chosen;
      }
    }
    if (over == Integer.MAX_VALUE) {
      return Optional.empty();
    }
    Timeline found = serial.timeline(best, ways);
    return demands.broken(found).isEmpty() ? Optional.of(found) : Optional.empty();
  }

  /** One try. @return when the last is over */
  private int one(double[] order, int[] begins, int[] ways) {
    boolean[] placed = new boolean[count];
    int end = 0;
    for (int n = 0; n < count; n++) {
      int next = -1;
      for (int i = 0; i < count; i++) {
        boolean rather = !placed[i] && (next < 0 || order[i] < order[next]);
        next = rather && free(i, placed) ? i : next;
      }
      int earliest = from[next];
      for (int k = 0; k < before[next].length; k++) {
        int a = before[next][k];
        earliest = Math.max(earliest, begins[a] + lengths[a] + least[next][k]);
      }
      begins[next] = Integer.MAX_VALUE;
      for (int way = 0; way < all.get(next).ways().size(); way++) {
        int fits = fits(next, way, earliest, placed, begins, ways);
        if (fits < begins[next]) {
          begins[next] = fits;
          ways[next] = way;
        }
      }
      placed[next] = true;
      end = Math.max(end, begins[next] + lengths[next]);
    }
    return end;
  }

  private boolean free(int i, boolean[] placed) {
    for (int a : before[i]) {
      if (!placed[a]) {
        return false;
      }
    }
    return true;
  }

  /** The first time from which on it meets nothing that is placed. */
  private int fits(int i, int way, int earliest, boolean[] placed, int[] begins, int[] ways) {
    int at = earliest;
    boolean moved = true;
    while (moved) {
      moved = false;
      for (int j = 0; j < count; j++) {
        boolean shares = placed[j] && (who[j][ways[j]] & who[i][way]) != 0;
        int between = shares ? walks[i][j] : 0;
        boolean meets = placed[j] && (shares || apart[i][j])
            && at < begins[j] + lengths[j] + between && begins[j] < at + lengths[i] + between;
        if (meets) {
          at = begins[j] + lengths[j] + between;
          moved = true;
        }
      }
    }
    return at;
  }

  private boolean keeps(int[] begins) {
    for (int i = 0; i < count; i++) {
      int ends = begins[i] + lengths[i];
      if (all.get(i).until().filter(u -> ends > u.toSeconds()).isPresent()) {
        return false;
      }
    }
    return demands.waits().stream().allMatch(w -> {
      int a = at(w.after());
      int waited = begins[at(w.before())] - begins[a] - lengths[a];
      return w.most().filter(m -> waited > m.toSeconds()).isEmpty();
    });
  }

  private Timeline timeline(int[] begins, int[] ways) {
    Map<ActivityId, Timeline.Slot> slots = new HashMap<>();
    for (int i = 0; i < count; i++) {
      Duration at = Duration.ofSeconds(begins[i]);
      slots.put(all.get(i).id(), new Timeline.Slot(at, at.plusSeconds(lengths[i]), all.get(i).ways().get(ways[i])));
    }
    return new Timeline(slots);
  }
}
