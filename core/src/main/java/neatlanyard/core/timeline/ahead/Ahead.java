package neatlanyard.core.timeline.ahead;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.Code;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Mark;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.PersonId;
import neatlanyard.core.timeline.learned.Learned;

/**
 * What a departure still has to do before it may go, from a moment on.
 *
 * @param begins the moment
 * @param wanted when all of it should be over
 * @param departs the departure that follows from it: so much later than {@code wanted}; negative for earlier
 * @param tasks of the card up to the last stage that comes before the departure, in its order, done or not
 * @param ground what others do that is not over, by its activity
 * @param learned from how many procedures of earlier departures its times were learned; 0 where they are estimates
 * @param byClock what the plain clock says, a time by which each stage should be over: that none is behind
 * @param demands on the tasks that are not over, with all that is wished for
 * @param eased the same with one wish less each: first that the pilot monitoring is done early, then that something is
 *     held back to save fuel; none where nothing is wished for
 * @param monitoring what the pilot monitoring is wanted to have done early, whether it can be had or not
 */
public record Ahead(
    Instant begins, Instant wanted, Duration departs, List<Task> tasks, Map<ActivityId, GroundEvent> ground,
    int learned, boolean byClock, Demands demands, List<Demands> eased,
    List<Monitoring> monitoring) {
  public Ahead {
    tasks = List.copyOf(tasks);
    ground = Map.copyOf(ground);
    eased = List.copyOf(eased);
    monitoring = List.copyOf(monitoring);
  }

  /**
   * Empty before the card is cut, and once the departure is tied off.
   *
   * @param ground what others do for it, at most one of a kind
   * @param learned how long crews of its type take
   */
  public static Optional<Ahead> of(
      Departure departure, List<GroundEvent> ground, Learned learned, Instant now) {
    DepartureState d = departure.state();
    return d.card().filter(c -> d.tiedOff().isEmpty())
        .map(card -> new Work(departure, card, ground, learned, now).ahead());
  }

  /**
   * The last stage that is over when the departure is: where the pack says of a stage that it should be over after the
   * departure, it comes after it, but for the start of the engines.
   */
  static Stage last(DepartureState d) {
    Duration start = d.pack().due().getOrDefault(Stage.START, Duration.ZERO);
    Duration least = start.isNegative() ? start : Duration.ZERO;
    Stage last = Stage.START;
    for (Stage s : Stage.values()) {
      Duration due = d.pack().due().get(s);
      last = s.compareTo(last) > 0 && s != Stage.TIE_OFF && due != null && due.compareTo(least) >= 0 ? s : last;
    }
    return last;
  }

  /** When all of it was over, by the last word of it; empty while some of it is not. */
  public static Optional<Instant> over(Departure departure) {
    DepartureState d = departure.state();
    List<Task> tasks = d.card().map(c -> Tasks.of(c, departure.picture().standing(), last(d))).orElse(List.of());
    return tasks.stream().allMatch(Task::over) ? tasks.stream().flatMap(t -> t.items().stream())
        .flatMap(i -> d.marks(i.step().id()).stream()).map(Mark::at).max(Comparator.naturalOrder()) : Optional.empty();
  }

  /** How the demands name who sits there. */
  public static PersonId person(Seat seat) {
    return new PersonId(Code.written(seat.name()));
  }

  /** The same, but a task begins at a moment and at no other; whole seconds count. */
  public Ahead beginning(ActivityId task, Instant at) {
    Duration since = Duration.ofSeconds(Duration.between(begins, at).toSeconds());
    Duration then = since.isNegative() ? Duration.ZERO : since;
    return with(demands.beginning(task, then), eased.stream().map(d -> d.beginning(task, then)).toList());
  }

  /** For where a wish would cost time: with one less; empty where there is none. */
  public Optional<Ahead> wantingLess() {
    return eased.stream().findFirst().map(d -> with(d, eased.subList(1, eased.size())));
  }

  private Ahead with(Demands other, List<Demands> otherEased) {
    return new Ahead(begins, wanted, departs, tasks, ground, learned, byClock, other, otherEased, monitoring);
  }

  /** A task by its activity; empty for what is no task of the card, such as a walk back. */
  public Optional<Task> task(ActivityId id) {
    return tasks.stream().filter(t -> t.id().equals(id)).findFirst();
  }

  /** The moment of something in a timeline. */
  public Instant at(Duration sinceBegins) {
    return begins.plus(sinceBegins);
  }
}
