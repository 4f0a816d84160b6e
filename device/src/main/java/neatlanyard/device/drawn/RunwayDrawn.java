package neatlanyard.device.drawn;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.TakeoffFigures;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.weather.Bearing;
import neatlanyard.device.drawn.DrawnViews.IntersectionView;
import neatlanyard.device.drawn.DrawnViews.TakeoffRunwayView;

/** The runway that is used as it is drawn, all places in metres from its beginning. */
final class RunwayDrawn {
  private static final String ONE_ENGINE =
      "One engine: if it stops, you land ahead. No way over obstacles is worked out.";

  private final DepartureFigures f;
  private final TakeoffFigures t;
  private final Runway.End end;
  private final int begins;

  RunwayDrawn(DepartureFigures figures, TakeoffFigures takeoff) {
    this.f = figures;
    this.t = takeoff;
    this.end = takeoff.of().end();
    this.begins = takeoff.of().from().map(Runway.Intersection::fromBeginningM).orElse(0);
  }

  TakeoffRunwayView view() {
    TakeoffFigures.Distance tightest = t.tightest();
    DepartureFigures.EndWind on = f.ends().stream().filter(e -> e.wind().runway().equals(end.name())).findFirst()
        .orElseThrow();
    Runway runway = f.asked().from().runway(end.name()).orElseThrow();
    return new TakeoffRunwayView(end.name().value(), t.of().words() + " thrust", end.declared().toraM(),
        runway.surface() == Runway.Surface.GRAVEL, begins, tightest.needed().whole(), tightest.what(),
        begins + tightest.availableM(), tightest.which(), tightest.leftM(), t.v1().map(v -> begins + t.placeM(v)),
        begins + t.placeM(t.vr()), heading(),
        from(), on.wind().alongWords(), on.wind().acrossWords(),
        f.asked().condition().thirds().stream().map(GivenDrawn::third).toList(), intersections(),
        "%s kg, by %s".formatted(Numbers.written(t.limiting().kg(), 0), t.limiting().by().words()),
        t.v1().isPresent() ? "" : ONE_ENGINE);
  }

  private String heading() {
    return "%s true, %s magnetic".formatted(Bearing.words(end.bearingTrueDeg()),
        Bearing.words(Bearing.magnetic(end.bearingTrueDeg(), f.asked().from().variationDeg())));
  }

  private Optional<Integer> from() {
    return f.wind().calm() || f.wind().directionDeg().isEmpty() ? Optional.empty()
        : Optional.of((int) Math.round(Bearing.within(f.wind().directionDeg().getAsInt() - end.bearingTrueDeg())));
  }

  private List<IntersectionView> intersections() {
    return end.intersections().stream().map(i -> new IntersectionView(i.name(), i.fromBeginningM(),
        end.declared().toraM() - i.fromBeginningM(), f.options().stream()
        .filter(o -> o.of().end().equals(end) && o.of().from().filter(i::equals).isPresent()
        && o.of().flap().equals(t.of().flap())).noneMatch(o -> o.good().isPresent()))).toList();
  }
}
