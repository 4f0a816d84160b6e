package neatlanyard.core.controls.simulated;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlSpec.Spoiler;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.ControlSpec;

/** The surfaces and spoilers of one made-up aircraft, which follow its controls step by step. */
public final class MovingAircraft {
  /** Steps a second. */
  public static final int STEPS_HZ = 200;

  private final Map<Surface, MovingSurface> surfaces = new LinkedHashMap<>();
  private final Map<Spoiler, MovingSpoiler> spoilers = new LinkedHashMap<>();

  /**
   * At rest, in neutral.
   *
   * @param built what stands between each control and its surface, by surface; where it says nothing, as drawn
   * @param pressure share of the least that is wanted
   */
  public MovingAircraft(ControlSpec spec, Map<String, Linkage> built, List<Fault> faults, double pressure) {
    Faults wrong = new Faults(faults);
    for (Surface s : spec.surfaces()) {
      Linkage sound = built.getOrDefault(s.id(), Linkage.RIGHT);
      surfaces.put(s, new MovingSurface(s, wrong.in(sound, s, pressure), wrong));
    }
    spec.spoilers().forEach(s -> spoilers.put(s, new MovingSpoiler(s, wrong)));
  }

  /**
   * One step on.
   *
   * @param controls by axis, per cent
   * @param lastTime by axis, whether its control is moved away for the last time
   * @return where they are, degrees, in the order of {@link ControlSpec#channels()}
   */
  public double[] step(double[] controls, boolean[] lastTime) {
    double[] at = new double[surfaces.size() + spoilers.size()];
    int i = 0;
    for (Map.Entry<Surface, MovingSurface> e : surfaces.entrySet()) {
      at[i++] = e.getValue().step(controls, lastTime[e.getKey().axis().ordinal()]);
    }
    for (MovingSpoiler s : spoilers.values()) {
      at[i++] = s.step(controls);
    }
    return at;
  }

  /** The same where it is not known which movement is the last. */
  public double[] step(double[] controls) {
    return step(controls, new boolean[Axis.values().length]);
  }
}
