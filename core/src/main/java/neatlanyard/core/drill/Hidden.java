package neatlanyard.core.drill;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import neatlanyard.core.controls.ControlSpec.Spoiler;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.simulated.Fault.Kind;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.units.Numbers;

/**
 * What is wrong in one round and where, without how much of it: that depends on how well one does.
 *
 * @param surface a surface's or spoiler's channel
 */
public record Hidden(Kind kind, String surface) {
  /** What may be wrong with a surface in a drill: what a recorder does is not to be seen on an aircraft. */
  private static final List<Kind> OF_SURFACES = List.of(
      Kind.SHORT, Kind.REVERSED, Kind.CROSSED, Kind.COUPLED, Kind.JAMMED, Kind.JUMPING, Kind.PLAY, Kind.DEAD_BAND,
      Kind.LATE, Kind.OFFSET, Kind.STAYS);

  /** What may be wrong with a spoiler. */
  private static final List<Kind> OF_SPOILERS = List.of(Kind.SHORT, Kind.STAYS);

  /** No fault is more than this share of the full travel, or the drill would show another kind. */
  private static final double MOST_OF_TRAVEL = 0.6;

  /** Nothing less than this is taken to be seen at a glance, degrees. Our own choice, no source. */
  private static final double SEEN_DEG = 1;

  /** Everything that may be wrong with a type. */
  public static List<Hidden> of(ControlSpec spec) {
    return Stream.concat(
        spec.surfaces().stream().flatMap(s -> OF_SURFACES.stream().map(k -> new Hidden(k, s.id()))),
        spec.spoilers().stream().flatMap(s -> OF_SPOILERS.stream().map(k -> new Hidden(k, s.id())))).toList();
  }

  /** Every kind a drill may hide, in the order of {@link Kind}. */
  public static List<Kind> kinds() {
    return Stream.of(Kind.values()).filter(OF_SURFACES::contains).toList();
  }

  /** Whether there is more or less of it. */
  public boolean sized() {
    return kind != Kind.REVERSED && kind != Kind.CROSSED && kind != Kind.JAMMED;
  }

  /** With so many times what the type allows. @throws IllegalArgumentException for a surface the type has not */
  public Fault fault(ControlSpec spec, double limits) {
    return new Fault(kind, surface, sized() ? Math.min(limits * limit(spec), most(spec)) : 1);
  }

  private double limit(ControlSpec spec) {
    return spoiler(spec).map(s -> kind == Kind.SHORT ? s.toleranceDeg() : s.inDeg())
        .orElseGet(() -> Fault.limit(kind, spec, surface(spec)));
  }

  private double most(ControlSpec spec) {
    return switch (kind) {
      case DEAD_BAND -> 100 * MOST_OF_TRAVEL;
      case LATE -> 2;
      default -> MOST_OF_TRAVEL * full(spec);
    };
  }

  /** From how far off where a sound one would be it counts as showing, degrees. */
  double shownDeg(ControlSpec spec, double size) {
    return Math.min(SEEN_DEG, switch (kind) {
      case DEAD_BAND -> full(spec) * size / 200 / 2;
      case REVERSED, CROSSED, JAMMED, LATE -> SEEN_DEG;
      // Half of it lies on either side of where a sound one is.
      case PLAY -> size / 4;
      default -> size / 2;
    });
  }

  private double full(ControlSpec spec) {
    return spoiler(spec).map(Spoiler::outDeg).orElseGet(() -> Math.abs(surface(spec).full(1)));
  }

  private Optional<Spoiler> spoiler(ControlSpec spec) {
    return spec.spoilers().stream().filter(s -> s.id().equals(surface)).findFirst();
  }

  private Surface surface(ControlSpec spec) {
    return spec.surfaces().stream().filter(s -> s.id().equals(surface)).findFirst()
        .orElseThrow(() -> new IllegalArgumentException("The type has no surface '" + surface + "'."));
  }

  /** A kind, to head a row. */
  public static String title(Kind kind) {
    return switch (kind) {
      case SHORT -> "Short of its travel";
      case REVERSED -> "The wrong way";
      case CROSSED -> "With another control";
      case COUPLED -> "With another control as well";
      case JAMMED -> "Not moving";
      case JUMPING -> "In jumps";
      case PLAY -> "Out and back apart";
      case DEAD_BAND -> "Not answering about the middle";
      case LATE -> "Late";
      case OFFSET -> "Beside neutral";
      default -> "Staying out";
    };
  }

  /** What was wrong, such as "Left aileron stopped 4.2° short". */
  public String words(ControlSpec spec, double size) {
    String deg = Numbers.plain(size, 1) + "°";
    return spoiler(spec).map(Spoiler::name).orElseGet(() -> surface(spec).name()) + " " + switch (kind) {
      case SHORT -> "stopped " + deg + " short";
      case REVERSED -> "moved the wrong way";
      case CROSSED -> "moved with another control than its own";
      case COUPLED -> "moved " + deg + " with another control as well";
      case JAMMED -> "did not move";
      case JUMPING -> "moved in jumps of " + deg;
      case PLAY -> "went out and back " + deg + " apart";
      case DEAD_BAND -> "did not answer over " + Numbers.plain(size, 0) + " % about the middle";
      case LATE -> "came " + Numbers.plain(size, 1) + " s late";
      case OFFSET -> "rested " + deg + " beside neutral";
      default -> "stayed " + deg + " out";
    };
  }
}
