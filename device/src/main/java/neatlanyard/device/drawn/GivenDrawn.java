package neatlanyard.device.drawn;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.figures.RunwayCondition;
import neatlanyard.core.figures.Thrust;
import neatlanyard.core.figures.TowerWind;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.state.FiguresGiven;
import neatlanyard.core.units.Numbers;
import neatlanyard.device.drawn.DrawnViews.DeIcedView;
import neatlanyard.device.drawn.DrawnViews.EndView;
import neatlanyard.device.drawn.DrawnViews.GivenView;
import neatlanyard.device.drawn.DrawnViews.SheetView;
import neatlanyard.device.drawn.DrawnViews.ThirdView;

/** What a crew has given for the figures, as it is read back to it. */
public final class GivenDrawn {
  private GivenDrawn() {}

  /** @param fuelRead what walk and flow have read of the fuel, a line each */
  public static GivenView of(FiguresGiven g, List<String> fuelRead) {
    List<ThirdView> thirds = g.condition().map(c -> c.thirds().stream().map(GivenDrawn::third).toList())
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

  /** The wind on an end of a runway. */
  public static EndView end(DepartureFigures.EndWind e) {
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

  static String whole(double value) {
    return Numbers.written(value, 0);
  }
}
