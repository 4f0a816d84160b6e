package neatlanyard.server.departure;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.WeakHashMap;
import java.util.function.Supplier;
import neatlanyard.core.departure.TodaysFigures.Basis;
import neatlanyard.core.departure.TodaysFigures;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.log.Event;
import neatlanyard.core.state.DepartureState;
import neatlanyard.server.figures.FiguresDesk;
import neatlanyard.server.fleet.FleetDesk;
import org.springframework.stereotype.Component;

/** Works the figures of departures out anew when something they rest on is another, and says why entries differ. */
@Component
class FiguresRoom {
  private final FiguresDesk desk;
  private final FleetDesk fleet;
  /** By what each departure's figures were worked out last; not known after a restart. */
  private final Map<DepartureDesk, FiguresAsked> asked = new WeakHashMap<>();

  FiguresRoom(FiguresDesk desk, FleetDesk fleet) {
    this.desk = desk;
    this.fleet = fleet;
  }

  Basis basis(DepartureState d) {
    return new Basis(desk.type(d.opened().tail().type()), desk.holdover(),
        fleet.fleet().airfield(d.opened().flight().from()));
  }

  /** What an event may make another. */
  static boolean restsOn(Event event) {
    return switch (event) {
      case Event.DaySet e -> true;
      case Event.RunwayReported e -> true;
      case Event.TowerWindSaid e -> true;
      case Event.LoadSheetTaken e -> true;
      case Event.TakeoffChosen e -> true;
      case Event.DeIced e -> true;
      default -> false;
    };
  }

  /**
   * Writes what comes of it, where that is not what the departure knows, and why entries differ.
   *
   * @param before departures of the tail that left before, the newest first; asked for only where entries differ
   */
  void workOut(DepartureDesk departure, CrewId by, Supplier<List<DepartureState>> before) {
    departure.note(d -> {
      if (d.tiedOff().isPresent()) {
        return Optional.empty();
      }
      Basis basis = basis(d);
      Optional<Event> anew = TodaysFigures.anew(d, basis, last(departure));
      keep(departure, TodaysFigures.asked(d, basis));
      return anew;
    }, by);
    tellDifferences(departure, by, before);
  }

  /** Writes of every figure that differs why it does, once. */
  void tellDifferences(DepartureDesk departure, CrewId by, Supplier<List<DepartureState>> before) {
    boolean more = untold(departure.state());
    List<DepartureState> earlier = more ? before.get() : List.of();
    while (more) {
      long number = departure.state().lastNumber();
      departure.note(d -> untold(d) ? TodaysFigures.differing(d, figures(d), figure -> earlier.stream()
          .flatMap(b -> b.entries().agreed(figure).stream()).findFirst()) : Optional.empty(), by);
      more = departure.state().lastNumber() > number;
    }
  }

  private static boolean untold(DepartureState d) {
    return d.tiedOff().isEmpty() && d.entries().touched().anyMatch(f -> d.entries().untold(f).isPresent());
  }

  private Optional<DepartureFigures> figures(DepartureState d) {
    return TodaysFigures.of(d, basis(d)).figures();
  }

  private synchronized Optional<FiguresAsked> last(DepartureDesk departure) {
    return Optional.ofNullable(asked.get(departure));
  }

  private synchronized void keep(DepartureDesk departure, Optional<FiguresAsked> now) {
    now.ifPresent(n -> asked.put(departure, n));
  }
}
