package neatlanyard.core.timeline.ahead;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.School;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.timeline.ActivityId;

/**
 * What somebody may say so that a departure has less ahead of it, or others have it.
 *
 * @param words such as "Ida Marsk gives Right flow to Wren Adeyo: 3 panels"
 * @param by whose word it is
 * @param says what they say, in order
 */
public record Choice(String words, Seat by, List<Event> says) {
  private static final int MOST = 6;
  /** Stands in the record as the reason. */
  private static final String ALERTED = "the aircraft's alerting would show it; time";

  public Choice {
    says = List.copyOf(says);
  }

  /**
   * What may be said now, what concerns most steps first; none before both pilots sit.
   *
   * @param hangs activities the departure hangs on
   */
  public static List<Choice> of(Departure departure, Ahead ahead, Set<ActivityId> hangs) {
    DepartureState d = departure.state();
    List<Choice> all = new ArrayList<>();
    for (Seat by : Seat.pilots()) {
      if (d.seats().containsKey(by) && d.seats().containsKey(by.other())) {
        handing(d, ahead, hangs, by).forEach(all::add);
        leaving(d, ahead, by).ifPresent(all::add);
      }
    }
    return all.stream().sorted(Comparator.comparing((Choice c) -> c.says().size()).reversed()).limit(MOST).toList();
  }

  /** A flow's panels to the other seat, with all else that one works there. */
  private static Stream<Choice> handing(DepartureState d, Ahead ahead, Set<ActivityId> hangs, Seat by) {
    List<Task> theirs = ahead.tasks().stream().filter(t -> !t.over() && t.procedure().kind().byPanel()
        && t.seats().equals(Set.of(by))).toList();
    return theirs.stream().filter(t -> hangs.contains(t.id())).map(Task::procedure).distinct().map(p -> {
      Set<PlaceId> panels = new LinkedHashSet<>();
      theirs.stream().filter(t -> t.procedure().equals(p)).flatMap(t -> t.open().stream())
          .forEach(i -> panels.add(i.step().place()));
      return new Choice("%s gives %s to %s: %d %s".formatted(name(d, by), p.title(), name(d, by.other()),
          panels.size(), panels.size() == 1 ? "panel" : "panels"), by,
          panels.stream().map(panel -> (Event) new Event.PanelHandedOver(panel, by.other())).toList());
    });
  }

  /** The tests that the aircraft's alerting covers, where the fleet leaves it to the day whether they are made. */
  private static Optional<Choice> leaving(DepartureState d, Ahead ahead, Seat by) {
    if (d.pack().policy().of(Matter.TESTS) != School.BY_CONDITION) {
      return Optional.empty();
    }
    List<Item> tests = ahead.tasks().stream().filter(t -> t.procedure().kind() == Procedure.Kind.TEST)
        .flatMap(t -> t.open().stream()).filter(i -> i.seats().equals(Set.of(by)))
        .filter(i -> i.step().alerted() && !i.step().critical()).toList();
    return tests.isEmpty() ? Optional.empty() : Optional.of(new Choice(
        "%s leaves %d %s that alerting covers".formatted(name(d, by), tests.size(),
        tests.size() == 1 ? "test" : "tests"), by,
        tests.stream().map(i -> (Event) new Event.StepNotToday(i.step().id(), ALERTED)).toList()));
  }

  private static String name(DepartureState d, Seat seat) {
    return d.opened().crew().stream().filter(m -> m.id().equals(d.seats().get(seat))).map(CrewMember::name)
        .findFirst().orElse(seat.name());
  }

  /** The departure as it would be, by the same fold; it is asked for nothing else. */
  public Departure taken(Departure departure, Instant at) {
    Departure then = departure;
    for (Event event : says) {
      DepartureState d = then.state();
      Entry entry = new Entry(d.lastNumber() + 1, new UUID(0, d.lastNumber() + 1), at, at,
          Optional.ofNullable(d.seats().get(by)).orElseThrow(), Optional.of(by), "", event);
      then = then.apply(entry);
    }
    return then;
  }
}
