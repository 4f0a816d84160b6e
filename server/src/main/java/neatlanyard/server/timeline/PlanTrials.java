package neatlanyard.server.timeline;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Likelihood;
import neatlanyard.core.timeline.Order;
import neatlanyard.core.timeline.Planner.Outcome;
import neatlanyard.core.timeline.Timeline;
import neatlanyard.core.timeline.ahead.Ahead;
import neatlanyard.core.timeline.ahead.Choice;
import neatlanyard.core.timeline.ahead.GroundEvent;
import neatlanyard.core.timeline.ahead.Task;
import neatlanyard.core.timeline.learned.Learned;
import neatlanyard.server.timeline.PlanFinder.Found;

/** Tries by the solver what would buy time, and what it costs to wait; each by itself, nothing of it is kept. */
final class PlanTrials {
  /** What begins within so long is what somebody does now. */
  private static final Duration NOW = Duration.ofMinutes(1);
  /** So much later it is tried what would begin now. */
  private static final Duration PUT_OFF = Duration.ofMinutes(5);
  /** Less is no choice worth a word between two people. */
  private static final Duration WORTH = Duration.ofSeconds(30);

  private final Departure d;
  private final List<GroundEvent> ground;
  private final Learned learned;
  private final Found found;
  private final Duration within;
  private final BooleanSupplier stop;

  /** @param gain how much earlier all is over */
  record Tried(Choice choice, Duration gain, Likelihood likelihood) {}

  /**
   * What becomes of the departure if something is not begun now.
   *
   * @param later how much later it was begun
   * @param slips how much later the departure is; empty where it cannot be any more, such as within its slot
   * @param other what of somebody else begins later too, most of all
   */
  record Slip(String what, Seat seat, Duration later, Optional<Duration> slips, Optional<Moved> other) {}

  /** Something that begins later than by the plan. */
  record Moved(String what, Seat seat, Duration later) {}

  /** What was tried. */
  record Choices(List<Tried> buys, List<Slip> slips) {}

  /**
   * @param found the plan that is held against, with a timeline
   * @param within the most time for each trial
   * @param stop whether nobody waits any more
   */
  PlanTrials(Departure d, List<GroundEvent> ground, Learned learned, Found found, Duration within,
      BooleanSupplier stop) {
    this.within = within;
    this.d = d;
    this.ground = ground;
    this.learned = learned;
    this.found = found;
    this.stop = stop;
  }

  Choices choices() {
    return new Choices(tried(), slips());
  }

  /** The plan as it would be if a task of it began at another moment. */
  Found beginning(ActivityId what, Instant at) {
    return PlanFinder.found(found.ahead().beginning(what, at), found.timeline(), within);
  }

  private List<Tried> tried() {
    List<Tried> all = new ArrayList<>();
    for (Choice choice : Choice.of(d, found.ahead(), found.hangs())) {
      if (stop.getAsBoolean()) {
        break;
      }
      Ahead.of(choice.taken(d, found.ahead().begins()), ground, learned,
          found.ahead().begins())
          .map(a -> PlanFinder.found(a, found.timeline(), within)).ifPresent(then -> {
            Duration gain = found.over().minus(then.over());
            if (then.timeline().isPresent() && gain.compareTo(WORTH) >= 0) {
              all.add(new Tried(choice, gain, then.likelihood().orElseThrow()));
            }
          });
    }
    all.sort((a, b) -> b.gain().compareTo(a.gain()));
    return all;
  }

  /** Of what each of the crew would begin now. */
  List<Slip> slips() {
    List<Slip> all = new ArrayList<>();
    Timeline planned = found.timeline().orElseThrow();
    Map<ActivityId, Order.Room> rooms = Order.of(found.ahead().demands(), planned).rooms();
    for (Rostered r : d.state().opened().flight().crew()) {
      if (stop.getAsBoolean()) {
        break;
      }
      found.ahead().tasks().stream().filter(t -> !t.over() && planned.of(t.id()).who()
          .equals(Set.of(Ahead.person(r.seat())))).min(Comparator.comparing(t -> planned.of(t.id()).begins()))
          .filter(t -> planned.of(t.id()).begins().compareTo(NOW) <= 0)
          .filter(t -> Optional.ofNullable(rooms.get(t.id())).filter(o -> o.slack().compareTo(PUT_OFF) < 0)
          .isPresent())
          .flatMap(t -> slip(planned, t, r.seat())).ifPresent(all::add);
    }
    return all;
  }

  private Optional<Slip> slip(Timeline planned, Task task, Seat seat) {
    Ahead ahead = found.ahead();
    Found then = beginning(task.id(), ahead.at(planned.of(task.id()).begins().plus(PUT_OFF)));
    if (then.outcome() instanceof Outcome.Clash) {
      return Optional.of(new Slip(task.what(), seat, PUT_OFF, Optional.empty(), Optional.empty()));
    }
    // What was not shown to be the earliest may be later than need be.
    return then.timeline().filter(t -> then.outcome() instanceof Outcome.Planned p && p.earliest()).flatMap(t -> {
      Duration slips = t.departs(ahead.demands()).minus(planned.departs(ahead.demands()));
      return slips.compareTo(WORTH) < 0 ? Optional.empty() : Optional.of(
          new Slip(task.what(), seat, PUT_OFF, Optional.of(slips), moved(then, planned, seat)));
    });
  }

  /** What of the other pilots the late departure hangs on and begins later than by the plan, most of all. */
  private static Optional<Moved> moved(Found then, Timeline planned, Seat not) {
    Set<ActivityId> hangs = then.hangs();
    Timeline late = then.timeline().orElseThrow();
    return Arrays.stream(Seat.values()).filter(s -> s != not).flatMap(s -> then.ahead().tasks().stream()
        .filter(t -> !t.over() && hangs.contains(t.id()) && late.of(t.id()).who().equals(Set.of(Ahead.person(s))))
        .map(t -> new Moved(t.what(), s, late.of(t.id()).begins().minus(planned.of(t.id()).begins()))))
        .filter(m -> m.later().compareTo(WORTH) >= 0).max(Comparator.comparing(Moved::later));
  }
}
