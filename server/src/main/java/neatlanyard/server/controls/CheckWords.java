package neatlanyard.server.controls;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Practice;
import neatlanyard.core.controls.live.Wanted;
import neatlanyard.server.controls.ControlViews.AxisView;
import neatlanyard.server.controls.ControlViews.ControlCheckView;
import neatlanyard.server.controls.ControlViews.PracticeView;
import neatlanyard.server.controls.ControlViews.SurfaceView;
import neatlanyard.server.controls.ControlViews.WantedView;

/** Puts what a type and a fleet want of a control check into what the screens show. */
public final class CheckWords {
  private CheckWords() {}

  public static ControlCheckView of(ControlSpec spec, Practice practice) {
    List<AxisView> axes = new ArrayList<>();
    for (Axis axis : Axis.values()) {
      Stream<SurfaceView> surfaces = spec.surfaces(axis).stream().map(s -> new SurfaceView(
          s.id(), s.name(), false, s.positiveDeg(), s.negativeDeg(), s.toleranceDeg()));
      Stream<SurfaceView> spoilers = spec.spoilers().stream().filter(s -> axis == Axis.ROLL).map(s -> new SurfaceView(
          s.id(), s.name(), true, s.side() > 0 ? s.outDeg() : 0, s.side() > 0 ? 0 : s.outDeg(), s.toleranceDeg()));
      axes.add(new AxisView(axis, axis.title(), axis.toward(1), axis.toward(-1),
          Stream.concat(surfaces, spoilers).toList()));
    }
    return new ControlCheckView(axes, Wanted.of(practice).stream()
        .map(w -> new WantedView(w.inceptor(), w.axis(), w.sign(), w.words())).toList(), PracticeView.of(practice));
  }
}
