package neatlanyard.core.timeline;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.random.RandomGenerator;

/**
 * A plan as one would make it by hand, in a few thousandths of a second: one activity after the other, that with the
 * least room first, each as early as it fits and by whoever is done with it first; what is done in one go at once; the
 * best of some tries, each with a little chance in the order of the best so far (serial schedule generation; Kelley
 * 1963). It ends where nothing can be earlier. Where longest waits are tight it may find nothing.
 */
public final class Serial {
  private static final double LITTLE = 240;
  private static final int NOTHING = -1;

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
  /** By activity: what is rather begun right after it; {@link #NOTHING} where nothing is. */
  private final int[] next;
  private final Map<ActivityId, Integer> index = new HashMap<>();
  private final double[] latest;
  /** Nothing departs before, and with so little broken off. */
  private final Score bound;

  /** @param over when the last is over, or it is due @param broken how often something is broken off */
  private record Score(long over, int broken) {
    boolean betterThan(Score other) {
      return over < other.over || over == other.over && broken < other.broken;
    }
  }

  /** A try. @param ways by activity, which of its ways */
  private record Try(int[] begins, int[] ways) {}

  private Serial(Demands demands, Load load) {
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
    this.next = new int[count];
    Arrays.fill(next, NOTHING);
    for (List<ActivityId> pieces : demands.inOneGo()) {
      for (int i = 1; i < pieces.size(); i++) {
        next[at(pieces.get(i - 1))] = at(pieces.get(i));
      }
    }
    this.latest = latest(load);
    this.bound = new Score(load.departs(), 0);
  }

  private int at(ActivityId id) {
    Integer found = index.get(id);
    if (found == null) {
      throw new IllegalArgumentException("There is no activity %s".formatted(id));
    }
    return found;
  }

  /** Whole seconds, rounded up, so that nothing is promised early. */
  static int up(Duration d) {
    return (int) Math.ceil(d.toMillis() / 1_000.0);
  }

  /** When each must begin at the latest for all to be over by some time far off, or by the end of its window. */
  private double[] latest(Load load) {
    double end = 1e7;
    double[] room = all.stream().mapToDouble(a -> Math.min(end - load.after(a),
        a.until().map(u -> (double) u.toSeconds()).orElse(end)) - a.length().plannedSeconds()).toArray();
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
    return of(demands, new Load(demands), tries, chance);
  }

  /** The same where what follows without search is at hand. */
  public static Optional<Timeline> of(Demands demands, Load load, int tries, RandomGenerator chance) {
    Serial serial = new Serial(demands, load);
    return serial.best(tries, chance).map(serial::timeline).filter(t -> demands.broken(t).isEmpty());
  }

  private Optional<Try> best(int tries, RandomGenerator chance) {
    Optional<Try> best = Optional.empty();
    Score reached = new Score(Long.MAX_VALUE, 0);
    double[] order = latest;
    for (int n = 0; n < tries && bound.betterThan(reached); n++) {
      double[] changed = order.clone();
      for (int i = 0; n > 0 && i < count; i++) {
        changed[i] += LITTLE * chance.nextGaussian();
      }
      Try one = one(changed);
      Score score = score(one);
      if (score.betterThan(reached) && keeps(one.begins)) {
        best = Optional.of(one);
        reached = score;
        order = n == 0 ? latest : Arrays.stream(one.begins).asDoubleStream().toArray();
      }
    }
    return best;
  }

  private Score score(Try one) {
    long over = demands.due().toSeconds();
    int broken = 0;
    for (int i = 0; i < count; i++) {
      int ends = one.begins[i] + lengths[i];
      over = Math.max(over, ends);
      broken += next[i] != NOTHING && one.begins[next[i]] != ends ? 1 : 0;
    }
    return new Score(over, broken);
  }

  private Try one(double[] order) {
    Try made = new Try(new int[count], new int[count]);
    boolean[] placed = new boolean[count];
    int last = NOTHING;
    for (int n = 0; n < count; n++) {
      int follows = last == NOTHING ? NOTHING : next[last];
      last = follows != NOTHING && !placed[follows] && free(follows, placed) ? follows : first(order, placed);
      place(last, placed, made);
    }
    return made;
  }

  /** That with the least room of what may be placed. */
  private int first(double[] order, boolean[] placed) {
    int first = NOTHING;
    for (int i = 0; i < count; i++) {
      if (!placed[i] && (first == NOTHING || order[i] < order[first]) && free(i, placed)) {
        first = i;
      }
    }
    return first;
  }

  private void place(int i, boolean[] placed, Try made) {
    int earliest = from[i];
    for (int k = 0; k < before[i].length; k++) {
      int a = before[i][k];
      earliest = Math.max(earliest, made.begins[a] + lengths[a] + least[i][k]);
    }
    made.begins[i] = Integer.MAX_VALUE;
    for (int way = 0; way < all.get(i).ways().size(); way++) {
      int fits = fits(i, way, earliest, placed, made.begins, made.ways);
      if (fits < made.begins[i]) {
        made.begins[i] = fits;
        made.ways[i] = way;
      }
    }
    placed[i] = true;
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

  private Timeline timeline(Try made) {
    Map<ActivityId, Timeline.Slot> slots = new HashMap<>();
    for (int i = 0; i < count; i++) {
      Duration at = Duration.ofSeconds(made.begins[i]);
      slots.put(all.get(i).id(),
          new Timeline.Slot(at, at.plusSeconds(lengths[i]), all.get(i).ways().get(made.ways[i])));
    }
    return new Timeline(slots);
  }
}
