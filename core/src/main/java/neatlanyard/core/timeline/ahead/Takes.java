package neatlanyard.core.timeline.ahead;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.briefing.Briefing;
import neatlanyard.core.departure.Picture;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.timeline.Length;
import neatlanyard.core.timeline.learned.Learned;
import neatlanyard.core.walkaround.WalkTime;

/**
 * How long steps take, before anybody has learned it: by what is done with them. All of it is common practice without
 * a source, but for the briefing, which is as long as its words, and where a pack says how long a procedure takes.
 */
final class Takes {
  /** Between steps of one task a shorter wait is spent where one is. */
  private static final Duration SHORT_WAIT = Duration.ofSeconds(15);
  private static final double DOOR_SECONDS = 15;
  private static final double READING_SECONDS = 10;
  private static final double BEAT_SECONDS = 6;
  private static final double CHECK_SECONDS = 60;
  /** What it is learned under. */
  private static final ProcedureId CHECK = new ProcedureId("control-check");
  private Takes() {}

  /** Whether a wait between two steps is so short that nobody does anything else meanwhile. */
  static boolean inOne(Item earlier, Item later) {
    return earlier.step().waits().filter(w -> w.time().compareTo(SHORT_WAIT) <= 0).isPresent()
        && earlier.step().place().equals(later.step().place());
  }

  /** What a task still takes, from its open steps and from what crews took for such steps before. */
  static Length of(Task task, Card card, Picture picture, Learned learned) {
    double ours = estimated(task, task.open(), card, picture);
    Optional<Duration> said = task.procedure().takes().filter(t -> learned.count() == 0);
    return length(task.procedure().id(), card.day(),
        said.map(t -> ours * t.toSeconds() / whole(task, card, picture)).orElse(ours), learned);
  }

  /** All of its procedure by our estimate, of which the task has a share. */
  private static double whole(Task task, Card card, Picture picture) {
    List<Item> all = card.parts().stream().filter(p -> p.procedure().equals(task.procedure()))
        .flatMap(p -> p.items().stream()).toList();
    return Math.max(1, estimated(task, all, card, picture));
  }

  private static Length length(ProcedureId of, Day day, double seconds, Learned learned) {
    return learned.length(of, day.dark(), cold(day), Duration.ofSeconds(Math.max(1, Math.round(seconds))));
  }

  /** Whether it is at or below freezing. */
  static boolean cold(Day day) {
    return day.report().temperatureC().orElse(1) <= 0;
  }

  private static double estimated(Task task, List<Item> steps, Card card, Picture picture) {
    if (task.procedure().kind() == Procedure.Kind.BRIEFING) {
      return (double) Briefing.seconds(picture.briefing()) * steps.size() / task.items().size();
    }
    double seconds = steps.stream().mapToDouble(Takes::seconds).sum();
    if (task.outside()) {
      List<Place> stations = steps.stream().map(i -> i.step().place()).distinct()
          .flatMap(p -> card.pack().place(p).stream()).toList();
      seconds = WalkTime.of(stations, steps.size(), List.of()).takes().toSeconds();
    }
    return seconds;
  }

  /** What one step is estimated to take, without the way to it. */
  static double seconds(Item item) {
    double step = switch (item.procedure().kind()) {
      case WALKAROUND, TEST -> 8;
      case FIGURES -> item.step().enters().isEmpty() ? 10 : 30;
      case CONTROL_CHECK -> 6;
      case RUN_UP -> 8;
      default -> 5;
    };
    return step + (item.step().measures().isPresent() ? READING_SECONDS : 0)
        + item.step().course().size() * BEAT_SECONDS
        + item.step().waits().map(w -> w.time()).filter(t -> t.compareTo(SHORT_WAIT) <= 0)
        .map(t -> (double) t.toSeconds()).orElse(0.0);
  }

  /** Between the flight deck and the outside: through the door, and half the aircraft's length at a slow walk. */
  static Duration wayOut(Planform type) {
    return Duration.ofSeconds(Math.round(DOOR_SECONDS + type.lengthM() / 2 / WalkTime.METRES_A_SECOND));
  }

  /** The flight control check itself, both at the controls. */
  static Length controlCheck(Day day, Learned learned) {
    return length(CHECK, day, CHECK_SECONDS, learned);
  }
}
