package neatlanyard.core.taxi;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.sop.Planform;

/**
 * What of a type's shape decides how it turns, in metres. The nose wheel steers; the middle of the main gear follows
 * without slipping sideways.
 *
 * @param wheelbaseM from the middle of the main gear forward to the nose wheel
 * @param eyeM from the middle of the main gear forward to the pilots' eyes
 * @param trackM between the middles of the outermost main wheels
 * @param tipOutM from the centre line out to the wing tip
 * @param tipM from the middle of the main gear forward to the tip's leading edge; negative where it lies behind
 * @param tailM from the middle of the main gear back to the end of the tail
 * @param steeringDeg most that the nose wheel turns
 */
public record Wheels(double wheelbaseM, double eyeM, double trackM, double tipOutM, double tipM, double tailM,
    double steeringDeg) {
  /** From a type's planform; empty where it says nothing of the ground, or steers at the tail. */
  public static Optional<Wheels> of(Planform p) {
    List<Planform.Gear> main = p.gear().stream().filter(g -> g.x() != 0).toList();
    Optional<Planform.Gear> nose = p.gear().stream().filter(g -> g.x() == 0).findFirst();
    double mainY = main.stream().mapToDouble(Planform.Gear::y).average().orElse(0);
    if (p.ground().isEmpty() || main.isEmpty() || nose.filter(n -> n.y() < mainY).isEmpty()) {
      return Optional.empty();
    }
    double out = main.stream().mapToDouble(g -> Math.abs(g.x())).max().orElse(0);
    return Optional.of(new Wheels(mainY - nose.get().y(), mainY - p.ground().get().eyeY(), 2 * out,
        p.wing().spanM() / 2, mainY - p.wing().tipY(), p.lengthM() - mainY, p.ground().get().steeringDeg()));
  }

  /**
   * The least width of pavement for turning round, wheels on the edge at both ends, none skidding: the radius of the
   * nose wheel at full steering, that of the middle of the main gear, and half the track. Plane geometry.
   */
  public double leastForTurningRoundM() {
    double full = Math.toRadians(steeringDeg);
    return wheelbaseM / Math.sin(full) + wheelbaseM / Math.tan(full) + trackM / 2;
  }

  /**
   * The width of taxiway that it wants, metres: its outer wheels and on either side the clearance of ICAO Annex 14,
   * 3.9.2, in curves (from memory).
   */
  public double wantsM() {
    double clear = trackM < 4.5 ? 1.5 : trackM < 6 ? 2.25 : 4;
    return trackM + 2 * clear;
  }
}
