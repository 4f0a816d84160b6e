package neatlanyard.core.controls.simulated;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.simulated.Fault.Kind;

/** What is wrong with one aircraft. */
record Faults(List<Fault> all) {
  Faults {
    all = List.copyOf(all);
  }

  Optional<Fault> of(String surface, Kind kind) {
    return all.stream().filter(f -> f.surface().equals(surface) && f.kind() == kind).findFirst();
  }

  double size(String surface, Kind kind, double otherwise) {
    return of(surface, kind).map(Fault::size).orElse(otherwise);
  }

  /** What stands between a control and a surface, with what is wrong of it. @param pressure share of the least */
  Linkage in(Linkage sound, Surface s, double pressure) {
    double full = Math.max(Math.abs(s.positiveDeg()), Math.abs(s.negativeDeg()));
    boolean crossed = of(s.id(), Kind.CROSSED).isPresent();
    double gain = crossed || of(s.id(), Kind.JAMMED).isPresent() ? 0
        : of(s.id(), Kind.REVERSED).map(f -> -f.size())
            .orElse(of(s.id(), Kind.GEARED).map(f -> 1 - f.size() / full).orElse(sound.gain()));
    return new Linkage(gain, size(s.id(), Kind.OFFSET, sound.offsetDeg()),
        size(s.id(), Kind.PLAY, sound.playDeg()), size(s.id(), Kind.JUMPING, sound.stictionDeg()),
        size(s.id(), Kind.DEAD_BAND, sound.deadBandPct()), size(s.id(), Kind.LATE, sound.lagS()),
        sound.rateDegS() * Math.min(1, pressure * pressure),
        crossed ? size(s.id(), Kind.CROSSED, 0) * full : size(s.id(), Kind.COUPLED, sound.crossedDeg()));
  }
}
