package neatlanyard.server.departure;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Function;
import neatlanyard.core.departure.FuelStory;
import neatlanyard.core.departure.TodaysFigures.Basis;
import neatlanyard.core.departure.TodaysFigures;
import neatlanyard.core.figures.Contaminant;
import neatlanyard.core.figures.CriticalValues;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.FigureInput;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.Limit;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.figures.Loading;
import neatlanyard.core.figures.RunwayCondition;
import neatlanyard.core.figures.ShortStrip;
import neatlanyard.core.figures.TakeoffCase;
import neatlanyard.core.figures.Takeoff;
import neatlanyard.core.figures.TakeoffOption;
import neatlanyard.core.figures.Thrust;
import neatlanyard.core.figures.TowerWind;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.FiguresGiven;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.units.Units;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.figures.FiguresViews.ArithmeticView;
import neatlanyard.server.figures.FiguresViews.ChoicesView;
import neatlanyard.server.figures.FiguresViews.ContaminantView;
import neatlanyard.server.figures.FiguresViews.DeIcedView;
import neatlanyard.server.figures.FiguresViews.EndView;
import neatlanyard.server.figures.FiguresViews.EnvelopeView;
import neatlanyard.server.figures.FiguresViews.FiguresView;
import neatlanyard.server.figures.FiguresViews.GivenView;
import neatlanyard.server.figures.FiguresViews.HoldoverView;
import neatlanyard.server.figures.FiguresViews.LimitView;
import neatlanyard.server.figures.FiguresViews.LoadPlaceView;
import neatlanyard.server.figures.FiguresViews.MostView;
import neatlanyard.server.figures.FiguresViews.OptionView;
import neatlanyard.server.figures.FiguresViews.PointView;
import neatlanyard.server.figures.FiguresViews.SheetView;
import neatlanyard.server.figures.FiguresViews.ThirdView;
import neatlanyard.server.figures.FiguresViews.TrimView;
import neatlanyard.server.figures.FiguresViews.WorkedView;
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
    Basis basis = work.basis(d);
    TodaysFigures.Result result = TodaysFigures.of(d, basis);
    return new FiguresView(d.lastNumber(), result.missing(), basis.type().map(TypeFigures::edition).orElse(""),
        TodaysFigures.alone(d), d.entries().worked().changed().stream().map(FigureInput::words).toList(),
        given(d.given(), FuelStory.lines(d)), choices(basis),
        result.figures().map(f -> new Drawn(d, f).worked()), elsewhere.views(d, basis.type()));
  }

  private static GivenView given(FiguresGiven g, List<String> fuelRead) {
    List<ThirdView> thirds = g.condition().map(c -> c.thirds().stream().map(FiguresViewer::third).toList())
        .orElse(List.of());
    return new GivenView(g.condition().map(RunwayCondition::codes).orElse(""), thirds,
        g.condition().flatMap(RunwayCondition::braking),
        g.tower().map(TowerWind::words).orElse(""),
        g.sheet().map(s -> sheet(s, g.sheetFrom())),
        g.chosen().choice().runway().map(RunwayName::value).orElse(""), g.chosen().choice().intersection().orElse(""),
        g.chosen().choice().flap().orElse(""), g.chosen().choice().thrust().map(Thrust::code).orElse(""),
        g.chosen().antiIce(), g.chosen().airConditioning(), g.deIced().flatMap(r -> r.event().applied())
        .map(a -> new DeIcedView(a.fluid(), a.mix(), a.lastBegan())), fuelRead);
  }

  static EndView end(DepartureFigures.EndWind e) {
    return new EndView(e.wind().runway().value(), e.wind().alongWords(), e.wind().acrossWords(), e.held());
  }

  static ThirdView third(RunwayCondition.Third t) {
    return new ThirdView(boxed(t.code()), t.contaminant(), boxed(t.depthMm()), boxed(t.coveragePercent()));
  }

  private static Optional<Integer> boxed(OptionalInt value) {
    return value.stream().boxed().findFirst();
  }

  private static SheetView sheet(LoadSheet s, String from) {
    List<String> states = new ArrayList<>();
    states.add("zero fuel %s kg, %s %%".formatted(whole(s.stated().zeroFuelKg()),
        Numbers.written(s.stated().zeroFuelPercent(), 1)));
    s.stated().grossKg().ifPresent(v -> states.add("gross %s kg".formatted(whole(v))));
    s.stated().takeoffKg().ifPresent(v -> states.add("take-off %s kg".formatted(whole(v))));
    s.stated().landingKg().ifPresent(v -> states.add("landing %s kg".formatted(whole(v))));
    s.load().ifPresent(l -> states.add("%d passengers, holds %s kg".formatted(l.heads(),
        whole(l.holdsKg().values().stream().mapToDouble(x -> x).sum()))));
    List<String> fuel = new ArrayList<>();
    new TreeMap<>(s.fuelKg()).forEach((tank, kg) -> fuel.add("%s %s kg".formatted(tank, whole(kg))));
    fuel.add("taxi %s kg, trip %s kg".formatted(whole(s.taxiFuelKg()), whole(s.tripFuelKg())));
    return new SheetView(s.edition(), from, states, fuel, s.change().passengers(), s.change().holdsKg(),
        s.change().words());
  }

  private static String whole(double value) {
    return Numbers.written(value, 0);
  }

  private ChoicesView choices(Basis basis) {
    Map<String, List<String>> intersections = new LinkedHashMap<>();
    basis.from().stream().flatMap(a -> a.ends()).forEach(e -> intersections.put(
        e.name().value(), e.intersections().stream().map(Runway.Intersection::name).toList()));
    Map<String, TreeSet<String>> fluids = new TreeMap<>();
    basis.holdover().rows().forEach(r ->
        fluids.computeIfAbsent(r.fluid(), f -> new TreeSet<>()).add(r.mix()));
    Map<String, List<String>> mixes = new LinkedHashMap<>();
    fluids.forEach((f, m) -> mixes.put(f, List.copyOf(m.descendingSet())));
    return new ChoicesView(List.copyOf(intersections.keySet()), intersections,
        basis.type().map(t -> t.takeoff().tables().flaps()).orElse(List.of()),
        basis.type().map(t -> t.takeoff().steps()).orElse(List.of()), Arrays.stream(Contaminant.values())
        .map(c -> new ContaminantView(c, c.words(), c.deep())).toList(), mixes, sheets.name(),
        places(basis, Loading::cabins), places(basis, Loading::holds));
  }

  private static List<LoadPlaceView> places(Basis basis, Function<Loading, List<Loading.Place>> of) {
    return basis.type().map(t -> of.apply(t.loading())).orElse(List.of()).stream()
        .map(p -> new LoadPlaceView(p.id(), p.name())).toList();
  }

  /** The figures as they are drawn. */
  private static final class Drawn {
    private final DepartureState d;
    private final DepartureFigures f;
    private final boolean speedsTold;
    private final boolean weightsTold;

    Drawn(DepartureState d, DepartureFigures f) {
      this.d = d;
      this.f = f;
      this.speedsTold = told(CriticalFigure.V1) && told(CriticalFigure.VR) && told(CriticalFigure.V2);
      this.weightsTold = told(CriticalFigure.TAKEOFF_WEIGHT) && told(CriticalFigure.ZERO_FUEL_WEIGHT)
          && told(CriticalFigure.CENTRE);
    }

    /** Both have entered it, or nobody is asked to. */
    private boolean told(CriticalFigure figure) {
      return d.entersAt(figure).isEmpty() || switch (d.entries().standing(figure)) {
        case OPEN, COVERED -> d.entries().notToday(figure);
        case DIFFERS, AGREED, TAKEN -> true;
      };
    }

    WorkedView worked() {
      return new WorkedView(f.windFrom(), air(), "code %d, %s".formatted(f.condition().code(),
          f.condition().state().words()), f.condition().arithmetic(),
          f.ends().stream().map(FiguresViewer::end).toList(),
          f.chosen().flatMap(r -> r instanceof Takeoff.Result.Figures t
          ? Optional.of(new RunwayDrawn(f, t.figures()).view()) : Optional.empty()), envelope(), limits(),
          f.proposed().map(p -> "%s: %s".formatted(p.of().end().name(), p.why())).orElse(""), options(),
          f.shortStrip().filter(s -> speedsTold).map(ShortStrip::words).orElse(""), f.holdover().flatMap(h ->
          f.asked().deIced().map(a -> holdover(a, h))), arithmetic());
    }

    private List<String> air() {
      double hpa = f.asked().report().qnhHpa().orElseThrow();
      List<String> lines = new ArrayList<>();
      if (told(CriticalFigure.PRESSURE_SETTING)) {
        lines.add("%s hPa, %s inHg".formatted(whole(Math.floor(hpa)), Numbers.written(Units.inHgFromHpa(hpa), 2)));
      }
      lines.add("pressure altitude %s ft, density altitude %s ft".formatted(
          whole(f.air().pressureAltitudeFt()), whole(f.air().densityAltitudeFt())));
      lines.add("%s °C, %s °C %s than standard".formatted(Numbers.written(f.air().temperatureC(), 0),
          Numbers.written(Math.abs(f.air().deviationC()), 0), f.air().deviationC() < 0 ? "colder" : "warmer"));
      lines.add(f.icing().words());
      return lines;
    }

    private EnvelopeView envelope() {
      Loading type = f.type().loading();
      Optional<TrimView> trim = f.balance().trim().filter(t -> told(CriticalFigure.TRIM)).map(t -> new TrimView(
          t.setting(), t.least(), t.most(), type.trim().stream().mapToDouble(Loading.Trim::least).min().orElse(0),
          type.trim().stream().mapToDouble(Loading.Trim::most).max().orElse(1)));
      return new EnvelopeView(type.envelope().stream().map(c -> new PointView(c.percent(), c.kg())).toList(),
          new PointView(f.balance().zeroFuelPercent().value(), f.balance().zeroFuelKg().value()),
          new PointView(f.balance().takeoffPercent().value(), f.balance().takeoffKg().value()), weightsTold,
          List.of(new MostView("most zero fuel", type.most().zeroFuelKg()),
          new MostView("most landing", type.most().landingKg()),
          new MostView("most take-off", type.most().takeoffKg())), trim);
    }

    /** What holds says no numbers that are still to be entered; what does not hold says all. */
    private List<LimitView> limits() {
      return f.limits().stream().map(l -> new LimitView(l.what(), l.held(),
          !l.held() || speedsTold && weightsTold ? l.words() : "", l.source())).toList();
    }

    private List<OptionView> options() {
      Optional<TakeoffCase> used = f.chosen().map(r -> switch (r) {
        case Takeoff.Result.Figures t -> t.figures().of();
        case Takeoff.Result.None n -> n.of();
      });
      return f.options().stream().flatMap(r -> r.good().stream()).filter(f::windHolds)
          .map((TakeoffOption o) -> new OptionView(
          o.of().end().name().value(), o.of().from().map(Runway.Intersection::name).orElse(""), o.of().flap(),
          o.of().thrust().words(), o.of().thrust().code(), o.stopMarginM(), "%s kg, %s".formatted(
          whole(o.limiting().kg()), o.limiting().by().words()), used.filter(o.of()::equals).isPresent())).toList();
    }

    private static HoldoverView holdover(Holdover.Applied a, Holdover.Result h) {
      return switch (h) {
        case Holdover.Result.Until u ->
            new HoldoverView(a.lastBegan(), Optional.of(u.least()), Optional.of(u.most()), "", u.arithmetic());
        case Holdover.Result.NoEnd n ->
            new HoldoverView(a.lastBegan(), Optional.empty(), Optional.empty(), n.why(), List.of());
        case Holdover.Result.None n ->
            new HoldoverView(a.lastBegan(), Optional.empty(), Optional.empty(), n.why(), List.of());
      };
    }

    private Map<String, ArithmeticView> arithmetic() {
      Map<String, ArithmeticView> all = new LinkedHashMap<>();
      CriticalValues.of(f).forEach((figure, v) -> {
        if (told(figure)) {
          all.put(Doc.written(figure), new ArithmeticView(
              "%s %s".formatted(v.entered(), figure.unit()).strip(), v.worked().arithmetic(), v.worked().source()));
        }
      });
      return all;
    }
  }
}
