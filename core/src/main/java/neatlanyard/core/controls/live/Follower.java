package neatlanyard.core.controls.live;

import java.util.List;
import java.util.Locale;
import neatlanyard.core.controls.Channel.Inceptor;
import neatlanyard.core.controls.Channel.Input;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.units.Numbers;

/** Follows one wanted movement, sample by sample. */
final class Follower {
  /** Less than this is a touch, not a movement, per cent: as for the judge. */
  private static final double TOUCH_PCT = 20;

  private final ControlSpec spec;
  private final Wanted wanted;
  private final Samples samples;
  private final List<Surface> surfaces;
  private final double[] reached;
  private double inputPct;
  private double heldS;
  private double holding;
  private boolean moving;
  private boolean allShown;

  Follower(ControlSpec spec, Wanted wanted, Samples samples) {
    this.spec = spec;
    this.wanted = wanted;
    this.samples = samples;
    this.surfaces = spec.surfaces(wanted.axis());
    this.reached = new double[surfaces.size()];
  }

  void sampled() {
    double input = lately(wanted.inceptor()) * wanted.sign();
    moving = input >= TOUCH_PCT;
    holding = input >= spec.fullInputPct() ? holding + samples.step() : 0;
    if (moving) {
      inputPct = Math.max(inputPct, input);
      heldS = Math.max(heldS, holding);
      for (int i = 0; i < reached.length; i++) {
        Surface s = surfaces.get(i);
        double deg = samples.lately(Channel.position(s.id())) * Math.signum(s.full(wanted.sign()));
        reached[i] = deg > reached[i] ? deg : reached[i];
      }
    }
  }

  /** One stick, or, where the aircraft does not tell them apart, whichever moves. */
  private double lately(Inceptor inceptor) {
    double own = samples.lately(new Input(inceptor, wanted.axis()));
    if (!Double.isNaN(own)) {
      return own;
    }
    double all = samples.lately(Channel.input(wanted.axis()));
    if (!Double.isNaN(all) || inceptor != Inceptor.ANY) {
      return all;
    }
    return samples.lately(new Input(Inceptor.LEFT, wanted.axis()))
        + samples.lately(new Input(Inceptor.RIGHT, wanted.axis()));
  }

  /** The judge has seen all that it wants of the check. */
  void allShown() {
    allShown = true;
  }

  boolean moving() {
    return moving;
  }

  Travel travel() {
    double toGo = 0;
    double covered = Math.min(1, inputPct / spec.fullInputPct());
    String lacks = "";
    for (int i = 0; i < reached.length; i++) {
      Surface s = surfaces.get(i);
      double least = Math.abs(s.full(wanted.sign())) - s.toleranceDeg();
      double left = least - reached[i];
      covered = Math.min(covered, reached[i] / least);
      if (left > toGo) {
        toGo = left;
        lacks = s.name();
      }
    }
    boolean shown = allShown || lacks.isEmpty() && inputPct >= spec.fullInputPct()
        && heldS >= spec.hold().toMillis() / 1_000.0;
    return new Travel(wanted, inputPct, heldS, toGo, shown ? 1 : covered, lacks, shown);
  }

  /** What goes on, such as "Roll right: at the stop, right aileron 1.6° to go". */
  String words() {
    Travel t = travel();
    String what = wanted.words();
    String stands = t.shown() ? "shown, let go"
        : holding <= 0 ? "on to the stop"
        : !t.lacks().isEmpty() ? "hold it, " + t.lacks().toLowerCase(Locale.ROOT) + " "
            + Numbers.plain(t.toGoDeg(), 1) + "° to go"
        : "hold it";
    return what.substring(0, 1).toUpperCase(Locale.ROOT) + what.substring(1) + ": " + stands;
  }
}
