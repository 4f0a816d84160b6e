package neatlanyard.server.departure;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import neatlanyard.core.departure.FiguresBasis;
import neatlanyard.core.departure.FiguresKnown;
import neatlanyard.core.departure.FuelStory;
import neatlanyard.core.departure.TodaysFigures;
import neatlanyard.core.figures.Contaminant;
import neatlanyard.core.figures.FigureInput;
import neatlanyard.core.figures.Loading;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.state.DepartureState;
import neatlanyard.device.drawn.FiguresDrawn;
import neatlanyard.device.drawn.GivenDrawn;
import neatlanyard.server.figures.FiguresViews.ChoicesView;
import neatlanyard.server.figures.FiguresViews.ContaminantView;
import neatlanyard.server.figures.FiguresViews.FiguresView;
import neatlanyard.server.figures.FiguresViews.LoadPlaceView;
import neatlanyard.server.figures.LoadSheetService;
import org.springframework.stereotype.Component;

/** Puts the figures of a departure into what is drawn and read. */
@Component
class FiguresViewer {
  private final FiguresWork work;
  private final LoadSheetService sheets;
  private final Elsewhere elsewhere;

  FiguresViewer(FiguresWork work, LoadSheetService sheets, Elsewhere elsewhere) {
    this.work = work;
    this.sheets = sheets;
    this.elsewhere = elsewhere;
  }

  FiguresView view(DepartureState d) {
    FiguresBasis basis = work.basis(d);
    FiguresKnown.Result result = TodaysFigures.of(d, basis);
    return new FiguresView(d.lastNumber(), result.missing(), basis.forTakeoff().map(TypeFigures::edition).orElse(""),
        TodaysFigures.alone(d), d.entries().worked().changed().stream().map(FigureInput::words).toList(),
        GivenDrawn.of(d.given(), FuelStory.lines(d)), choices(d, basis),
        result.figures().map(f -> FiguresDrawn.of(f, figure -> told(d, figure))), elsewhere.views(d, basis.type()));
  }

  private ChoicesView choices(DepartureState d, FiguresBasis basis) {
    Map<String, List<String>> intersections = new LinkedHashMap<>();
    basis.from().stream().flatMap(a -> a.ends()).forEach(e -> intersections.put(
        e.name().value(), e.intersections().stream().map(Runway.Intersection::name).toList()));
    Map<String, TreeSet<String>> fluids = new TreeMap<>();
    basis.holdover().rows().forEach(r ->
        fluids.computeIfAbsent(r.fluid(), f -> new TreeSet<>()).add(r.mix()));
    Map<String, List<String>> mixes = new LinkedHashMap<>();
    fluids.forEach((f, m) -> mixes.put(f, List.copyOf(m.descendingSet())));
    return new ChoicesView(List.copyOf(intersections.keySet()), intersections,
        basis.forTakeoff().map(t -> t.takeoff().tables().flaps()).orElseGet(() -> positions(d)),
        basis.type().map(t -> t.takeoff().steps()).orElse(List.of()), Arrays.stream(Contaminant.values())
        .map(c -> new ContaminantView(c, c.words(), c.deep())).toList(), mixes, sheets.name(),
        places(basis, Loading::cabins), places(basis, Loading::holds));
  }

  /** Where no take-off is worked out: the positions of the lever that the figure says. */
  private static List<String> positions(DepartureState d) {
    return d.pack().points().stream().filter(p -> p.agreed().filter(f -> f == CriticalFigure.FLAP).isPresent())
        .flatMap(p -> p.states().stream()).toList();
  }

  private static List<LoadPlaceView> places(FiguresBasis basis, Function<Loading, List<Loading.Place>> of) {
    return basis.type().map(t -> of.apply(t.loading())).orElse(List.of()).stream()
        .map(p -> new LoadPlaceView(p.id(), p.name())).toList();
  }

  /** Both have entered it, or nobody is asked to. */
  private static boolean told(DepartureState d, CriticalFigure figure) {
    return d.entersAt(figure).isEmpty() || switch (d.entries().standing(figure)) {
      case OPEN, COVERED -> d.entries().notToday(figure);
      case DIFFERS, AGREED, TAKEN -> true;
    };
  }
}
