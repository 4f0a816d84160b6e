package neatlanyard.server.departure;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.WeakHashMap;
import java.util.function.Supplier;
import neatlanyard.core.departure.FiguresBasis;
import neatlanyard.core.departure.FuelStory;
import neatlanyard.core.departure.TodaysFigures;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.log.Event;
import neatlanyard.core.state.DepartureState;
import neatlanyard.server.figures.FiguresDesk;
import neatlanyard.server.fleet.FleetDesk;
import org.springframework.stereotype.Component;

/** Works the figures of departures out anew when something they rest on is another, and says why entries differ. */
@Component
class FiguresWork {
  private final FiguresDesk desk;
  private final FleetDesk fleet;
  /** By what each departure's figures were worked out last; not known after a restart. */
  private final Map<DepartureDesk, FiguresAsked> asked = new WeakHashMap<>();

  FiguresWork(FiguresDesk desk, FleetDesk fleet) {
    this.desk = desk;
    this.fleet = fleet;
  }

  /** What a departure's figures are worked out by. Texts that changed are read anew here, so not within its lock. */
  FiguresBasis basis(DepartureState d) {
    FiguresDesk.Held held = desk.held(d.opened().tail().type());
    return new FiguresBasis(held.type(), held.texts(), held.holdover(),
        fleet.fleet().airfield(d.opened().flight().from()), fleet.fleet().airfield(d.opened().flight().to()));
  }

  /** What an event may make another. */
  static boolean restsOn(DepartureState d, Event event) {
    return switch (event) {
      case Event.DaySet e -> true;
      case Event.RunwayReported e -> true;
      case Event.TowerWindSaid e -> true;
      case Event.LoadSheetTaken e -> true;
      case Event.LoadSheetChanged e -> true;
      case Event.TakeoffChosen e -> true;
      case Event.DeIced e -> true;
      case Event.ElsewhereReported e -> true;
      case Event.Measured e -> FuelStory.reads(d, e.step());
      case Event.StepUndone e -> FuelStory.reads(d, e.step());
      default -> false;
    };
  }

  /**
   * Writes what comes of it, where that is not what the departure knows, and why entries differ.
   *
   * @param before departures of the tail that left before, the newest first; asked for only where entries differ
   */
  void workOut(DepartureDesk departure, CrewId by, Supplier<List<DepartureState>> before) {
    FiguresBasis basis = basis(departure.state());
    departure.note(d -> {
      if (d.tiedOff().isPresent()) {
        return Optional.empty();
      }
      Optional<Event> anew = TodaysFigures.anew(d, basis, last(departure));
      keep(departure, TodaysFigures.known(d).asked(basis));
      return anew;
    }, by);
    tellDifferences(departure, by, before);
  }

  /** Writes of every figure that differs why it does, once. */
  void tellDifferences(DepartureDesk departure, CrewId by, Supplier<List<DepartureState>> before) {
    if (!untold(departure.state())) {
      return;
    }
    List<DepartureState> earlier = before.get();
    FiguresBasis basis = basis(departure.state());
    long number;
    do {
      number = departure.state().lastNumber();
      departure.note(d -> untold(d) ? TodaysFigures.differing(d, TodaysFigures.of(d, basis).figures(),
          figure -> earlier.stream().flatMap(b -> b.entries().agreed(figure).stream()).findFirst())
          : Optional.empty(), by);
    } while (departure.state().lastNumber() > number);
  }

  private static boolean untold(DepartureState d) {
    return d.tiedOff().isEmpty() && d.entries().touched().anyMatch(f -> d.entries().untold(f).isPresent());
  }

  private synchronized Optional<FiguresAsked> last(DepartureDesk departure) {
    return Optional.ofNullable(asked.get(departure));
  }

  private synchronized void keep(DepartureDesk departure, Optional<FiguresAsked> now) {
    now.ifPresent(n -> asked.put(departure, n));
  }
}
