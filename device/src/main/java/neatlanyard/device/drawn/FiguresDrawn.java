package neatlanyard.device.drawn;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import neatlanyard.core.figures.CriticalValues;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.Loading;
import neatlanyard.core.figures.ShortStrip;
import neatlanyard.core.figures.Takeoff;
import neatlanyard.core.figures.TakeoffCase;
import neatlanyard.core.figures.TakeoffOption;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Code;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.units.Units;
import neatlanyard.device.drawn.DrawnViews.ArithmeticView;
import neatlanyard.device.drawn.DrawnViews.EnvelopeView;
import neatlanyard.device.drawn.DrawnViews.HoldoverView;
import neatlanyard.device.drawn.DrawnViews.LimitView;
import neatlanyard.device.drawn.DrawnViews.MostView;
import neatlanyard.device.drawn.DrawnViews.OptionView;
import neatlanyard.device.drawn.DrawnViews.PointView;
import neatlanyard.device.drawn.DrawnViews.TrimView;
import neatlanyard.device.drawn.DrawnViews.WorkedView;

/** The figures of a departure as they are drawn. What is to be entered without sight of it is in none of it. */
public final class FiguresDrawn {
  private final DepartureFigures f;
  private final Predicate<CriticalFigure> told;
  private final boolean speedsTold;
  private final boolean weightsTold;

  private FiguresDrawn(DepartureFigures figures, Predicate<CriticalFigure> told) {
    this.f = figures;
    this.told = told;
    this.speedsTold = told.test(CriticalFigure.V1) && told.test(CriticalFigure.VR) && told.test(CriticalFigure.V2);
    this.weightsTold = told.test(CriticalFigure.TAKEOFF_WEIGHT) && told.test(CriticalFigure.ZERO_FUEL_WEIGHT)
        && told.test(CriticalFigure.CENTRE);
  }

  /**
   * As they are drawn.
   *
   * @param told whether a figure may be shown: both have entered it, or nobody is asked to
   */
  public static WorkedView of(DepartureFigures figures, Predicate<CriticalFigure> told) {
    return new FiguresDrawn(figures, told).worked();
  }

  private WorkedView worked() {
    return new WorkedView(f.windFrom(), air(), "code %d, %s".formatted(f.condition().code(),
        f.condition().state().words()), f.condition().arithmetic(),
        f.ends().stream().map(GivenDrawn::end).toList(),
        f.chosen().flatMap(r -> r instanceof Takeoff.Result.Figures t
        ? Optional.of(new RunwayDrawn(f, t.figures()).view()) : Optional.empty()), envelope(), limits(),
        f.proposed().map(p -> "%s: %s".formatted(p.of().end().name(), p.why())).orElse(""), options(),
        f.shortStrip().filter(s -> speedsTold).map(ShortStrip::words).orElse(""), f.holdover().flatMap(h ->
        f.asked().deIced().map(a -> holdover(a, h))), arithmetic());
  }

  private List<String> air() {
    double hpa = f.asked().report().qnhHpa().orElseThrow();
    List<String> lines = new ArrayList<>();
    if (told.test(CriticalFigure.PRESSURE_SETTING)) {
      lines.add("%s hPa, %s inHg".formatted(GivenDrawn.whole(Math.floor(hpa)),
          Numbers.written(Units.inHgFromHpa(hpa), 2)));
    }
    lines.add("pressure altitude %s ft, density altitude %s ft".formatted(
        GivenDrawn.whole(f.air().pressureAltitudeFt()), GivenDrawn.whole(f.air().densityAltitudeFt())));
    lines.add("%s °C, %s °C %s than standard".formatted(Numbers.written(f.air().temperatureC(), 0),
        Numbers.written(Math.abs(f.air().deviationC()), 0), f.air().deviationC() < 0 ? "colder" : "warmer"));
    lines.add(f.icing().words());
    return lines;
  }

  private EnvelopeView envelope() {
    Loading type = f.type().loading();
    Optional<TrimView> trim = f.balance().trim().filter(t -> told.test(CriticalFigure.TRIM)).map(t -> new TrimView(
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
        o.of().thrust().words(), o.of().thrust().code(), o.leftM(), o.tightest(), "%s kg, %s".formatted(
        GivenDrawn.whole(o.limiting().kg()), o.limiting().by().words()), used.filter(o.of()::equals).isPresent()))
        .toList();
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
      if (told.test(figure)) {
        all.put(Code.written(figure.name()), new ArithmeticView(
            "%s %s".formatted(v.entered(), figure.unit()).strip(), v.worked().arithmetic(), v.worked().source()));
      }
    });
    return all;
  }
}
