package neatlanyard.core.controls;

import java.time.Duration;
import java.util.List;
import neatlanyard.core.controls.ControlSpec.Following;
import neatlanyard.core.controls.ControlSpec.Pair;
import neatlanyard.core.controls.ControlSpec.Spoiler;
import neatlanyard.core.controls.ControlSpec.Supply;
import neatlanyard.core.controls.ControlSpec.Surface;

/** Control specifications to play with. */
public final class ControlSpecs {
  /** No surfaces at all, for packs in which nobody checks them. */
  public static final ControlSpec NONE = of(List.of(), List.of(), List.of());

  /** A small twin: one elevator, two ailerons, a rudder, a roll spoiler each side. */
  public static final ControlSpec TWIN = of(
      List.of(
          surface("elevator", "Elevator", Axis.PITCH, 24, -16),
          surface("aileron-left", "Left aileron", Axis.ROLL, -15, 20),
          surface("aileron-right", "Right aileron", Axis.ROLL, 20, -15),
          surface("rudder", "Rudder", Axis.YAW, 25, -25)),
      List.of(new Spoiler("spoiler-left", "Left spoiler", -1, 30, 2, List.of(), 5),
          new Spoiler("spoiler-right", "Right spoiler", 1, 30, 2, List.of(), 5)),
      List.of(new Pair("aileron-left", "aileron-right", "Ailerons", 2)));

  private ControlSpecs() {}

  private static Surface surface(String id, String name, Axis axis, double positive, double negative) {
    return new Surface(id, name, axis, positive, negative, 1.5, List.of(), List.of());
  }

  private static ControlSpec of(List<Surface> surfaces, List<Spoiler> spoilers, List<Pair> pairs) {
    Duration settle = Duration.ofMillis(1_200);
    return new ControlSpec(
        95, 5, Duration.ofMillis(600), settle, 1.5, 1.0, 0.95, Duration.ofMillis(500),
        Following.usual(1.5, 1.0, 5, settle), surfaces, spoilers, pairs,
        List.of(new Supply("main", "Hydraulics", 2_400)));
  }
}
