package neatlanyard.core.timeline;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What comes after what in a timeline: what waits, who does what first, what is kept apart. Lengths may change in it,
 * the order does not; from it come slack, the critical chain and, in {@link Likelihood}, the chance to be on time.
 */
public final class Order {
  private static final int NOTHING = -1;
  private static final double MILLIS = 1_000;

  private final Demands demands;
  final int count;
  /** Of activities in an order in which nothing comes before what it waits for. */
  final int[] sorted;
  final int[][] before;
  final double[][] least;
  private final String[][] because;
  final double[] from;

  /** @param begins and {@code slack} in whole seconds: how much later it may be without moving the departure */
  public record Room(Duration begins, Duration latest) {
    public Duration slack() {
      return latest.minus(begins);
    }
  }

  /** One of a chain that nothing can be taken out of. @param because why it is not earlier */
  public record Link(ActivityId activity, Duration begins, Duration ends, String because) {}

  private record Edge(int after, double least, String because) {}

  private Order(Demands demands, Timeline timeline) {
    this.demands = demands;
    List<Activity> all = demands.activities();
    this.count = all.size();
    List<ActivityId> ids = all.stream().map(Activity::id).toList();
    List<List<Edge>> edges = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      edges.add(new ArrayList<>());
    }
    for (Wait w : demands.waits()) {
      edges.get(ids.indexOf(w.before())).add(new Edge(ids.indexOf(w.after()),
          w.least().toMillis() / MILLIS, waits(w)));
    }
    for (int i = 0; i < count; i++) {
      for (int j = 0; j < count; j++) {
        pair(timeline, i, j).ifPresent(edges.get(j)::add);
      }
    }
    this.before = new int[count][];
    this.least = new double[count][];
    this.because = new String[count][];
    for (int i = 0; i < count; i++) {
      before[i] = edges.get(i).stream().mapToInt(Edge::after).toArray();
      least[i] = edges.get(i).stream().mapToDouble(Edge::least).toArray();
      because[i] = edges.get(i).stream().map(Edge::because).toArray(String[]::new);
    }
    this.from = all.stream().mapToDouble(a -> a.from().toMillis() / MILLIS).toArray();
    this.sorted = sorted();
  }

  /** The order of a timeline that keeps to its demands. */
  public static Order of(Demands demands, Timeline timeline) {
    return new Order(demands, timeline);
  }

  private String waits(Wait w) {
    String after = "after %s".formatted(demands.activity(w.after()).what());
    return w.because().isEmpty() ? after : "%s: %s".formatted(after, w.because());
  }

  /** What one has to do with another that begins once it is over; nothing where both take no time at the same time. */
  private Optional<Edge> pair(Timeline t, int index, int later) {
    Activity one = demands.activities().get(index);
    Activity other = demands.activities().get(later);
    Timeline.Slot first = t.of(one.id());
    Timeline.Slot second = t.of(other.id());
    if (index == later || first.ends().compareTo(second.begins()) > 0 || first.begins().equals(second.ends())) {
      return Optional.empty();
    }
    Optional<PersonId> busy = first.who().stream().filter(second.who()::contains).findFirst();
    if (busy.isPresent()) {
      Duration walk = demands.walk(one, other);
      return Optional.of(new Edge(index, walk.toMillis() / MILLIS, "%s is busy with %s%s".formatted(
          demands.name(busy.get()), one.what(), walk.isZero() ? "" : " and walks")));
    }
    return demands.apart().stream().filter(a -> a.activities().containsAll(Set.of(one.id(), other.id()))).findFirst()
        .map(a -> new Edge(index, 0, "not with %s: %s".formatted(one.what(), a.because())));
  }

  private int[] sorted() {
    int[] order = new int[count];
    boolean[] done = new boolean[count];
    int placed = 0;
    while (placed < count) {
      int sizeBefore = placed;
      for (int i = 0; i < count; i++) {
        if (!done[i] && Arrays.stream(before[i]).allMatch(b -> done[b])) {
          done[i] = true;
          order[placed++] = i;
        }
      }
      if (placed == sizeBefore) {
        throw new IllegalArgumentException("What is to be ordered runs in a circle");
      }
    }
    return order;
  }

  /**
   * Earliest beginnings with some lengths.
   *
   * @param lengths in seconds, by activity
   * @param begins filled with the beginnings
   * @return the end of the last
   */
  double forward(double[] lengths, double[] begins) {
    double end = 0;
    for (int i : sorted) {
      double at = from[i];
      int[] all = before[i];
      for (int k = 0; k < all.length; k++) {
        at = Math.max(at, begins[all[k]] + lengths[all[k]] + least[i][k]);
      }
      begins[i] = at;
      end = Math.max(end, at + lengths[i]);
    }
    return end;
  }

  /**
   * The same order and the same people, everything as early as they let it, but for what runs and what waits for that,
   * and for what would come apart that is done in one go; the timeline itself where a longest wait would not hold so.
   */
  public static Timeline early(Demands demands, Timeline timeline) {
    Order order = new Order(demands, timeline);
    Set<ActivityId> last = demands.runs().map(demands::waitingFor).orElse(Set.of());
    for (int i = 0; i < order.count; i++) {
      ActivityId id = demands.activities().get(i).id();
      order.from[i] = last.contains(id) ? timeline.of(id).begins().toMillis() / MILLIS : order.from[i];
    }
    double[] begins = new double[order.count];
    order.forward(order.planned(), begins);
    while (order.joins(timeline, begins)) {
      order.forward(order.planned(), begins);
    }
    Map<ActivityId, Timeline.Slot> slots = new HashMap<>();
    for (int i = 0; i < order.count; i++) {
      Activity a = demands.activities().get(i);
      Duration at = seconds(begins[i]);
      slots.put(a.id(), new Timeline.Slot(at, at.plusSeconds(a.length().plannedSeconds()), timeline.of(a.id()).who()));
    }
    Timeline early = new Timeline(slots);
    return demands.broken(early).isEmpty() ? early : timeline;
  }

  /**
   * What was done in one go and has come apart is begun later again, so that it is; never later than in the timeline.
   *
   * @return whether anything was
   */
  private boolean joins(Timeline timeline, double[] begins) {
    List<ActivityId> ids = demands.activities().stream().map(Activity::id).toList();
    double[] lengths = planned();
    boolean any = false;
    for (List<ActivityId> pieces : demands.inOneGo()) {
      for (int i = 1; i < pieces.size(); i++) {
        int one = ids.indexOf(pieces.get(i - 1));
        int other = ids.indexOf(pieces.get(i));
        double right = begins[other] - lengths[one];
        boolean joined = timeline.of(pieces.get(i - 1)).ends().equals(timeline.of(pieces.get(i)).begins());
        if (joined && Math.abs(begins[one] - right) > 1 / (2 * MILLIS)) {
          int earlier = begins[one] < right ? one : other;
          from[earlier] = earlier == one ? right : begins[one] + lengths[one];
          any = true;
        }
      }
    }
    return any;
  }

  double[] planned() {
    return demands.activities().stream().mapToDouble(a -> a.length().plannedSeconds()).toArray();
  }

  /** The room each has, when everything begins as early as it can and takes what is planned. */
  public Map<ActivityId, Room> rooms() {
    double[] lengths = planned();
    double[] begins = new double[count];
    double end = Math.max(forward(lengths, begins), demands.due().toSeconds());
    double[] latest = new double[count];
    for (int i = 0; i < count; i++) {
      latest[i] = demands.activities().get(i).until().map(Duration::toSeconds).map(u -> Math.min(u, end)).orElse(end)
          - lengths[i];
    }
    for (int n = count - 1; n >= 0; n--) {
      int i = sorted[n];
      for (int k = 0; k < before[i].length; k++) {
        int b = before[i][k];
        latest[b] = Math.min(latest[b], latest[i] - least[i][k] - lengths[b]);
      }
    }
    Map<ActivityId, Room> rooms = new HashMap<>();
    for (int i = 0; i < count; i++) {
      rooms.put(demands.activities().get(i).id(), new Room(seconds(begins[i]), seconds(latest[i])));
    }
    return rooms;
  }

  /** From the first to the last: taking time out of any of them, or out of what stands between, is what helps. */
  public List<Link> criticalChain() {
    double[] lengths = planned();
    double[] begins = new double[count];
    forward(lengths, begins);
    List<Link> chain = new ArrayList<>();
    int at = last(lengths, begins);
    while (at != NOTHING) {
      int k = binding(at, lengths, begins);
      Activity a = demands.activities().get(at);
      String why = k != NOTHING ? because[at][k] : from[at] > 0 ? "not before its window" : "from the beginning";
      chain.addFirst(new Link(a.id(), seconds(begins[at]), seconds(begins[at] + lengths[at]), why));
      at = k == NOTHING ? NOTHING : before[at][k];
    }
    return chain;
  }

  /** The activity that is over last; nothing where there is none. */
  int last(double[] lengths, double[] begins) {
    int last = NOTHING;
    for (int i = 0; i < count; i++) {
      if (last == NOTHING || begins[i] + lengths[i] > begins[last] + lengths[last]) {
        last = i;
      }
    }
    return last;
  }

  /** Which of what comes before it an activity waits for; nothing where it begins with its window. */
  int binding(int i, double[] lengths, double[] begins) {
    for (int k = 0; k < before[i].length; k++) {
      int b = before[i][k];
      if (begins[b] + lengths[b] + least[i][k] >= begins[i] - 1e-9) {
        return k;
      }
    }
    return NOTHING;
  }

  private static Duration seconds(double seconds) {
    return Duration.ofMillis(Math.round(seconds * MILLIS));
  }
}
