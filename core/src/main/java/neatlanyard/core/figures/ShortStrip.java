package neatlanyard.core.figures;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.units.Numbers;

/**
 * The 70 per cent check: with constant acceleration √½ of the speed is there at half of the way, so who has less than
 * 70 per cent of the lift-off speed at half of the run stops (kinematics; the check itself is common practice).
 *
 * @param kt 70 per cent of VR, rounded up
 * @param halfM half of the run available, in metres from where the take-off begins
 * @param lights edge lights up to there, the one at the beginning not counted
 * @param before the intersection nearest before it; empty where there is none
 */
public record ShortStrip(Worked kt, int halfM, int lights, Optional<Runway.Intersection> before) {
  private static final double SHARE = 0.7;
  /** Edge lights stand at most 60 m apart (ICAO Annex 14, 5.3.9). */
  private static final int LIGHTS_M = 60;

  public static ShortStrip of(TakeoffCase of, double vrKt) {
    return of(of.end().declared().toraM(), of.end().intersections(), of.from(), vrKt);
  }

  /**
   * The same without tables.
   *
   * @param toraM of the whole runway @param all its intersections
   * @param from where the take-off begins; empty for the whole runway
   */
  public static ShortStrip of(int toraM, List<Runway.Intersection> all, Optional<Runway.Intersection> from,
      double vrKt) {
    int begins = from.map(Runway.Intersection::fromBeginningM).orElse(0);
    int half = (toraM - begins) / 2;
    double kt = Math.ceil(SHARE * vrKt - 1e-9);
    Worked speed = Worked.of(kt, "Common practice, no source; √½ = 70.7 % by kinematics",
        "0.7 × %s = %s kt, rounded up".formatted(Worked.kt(vrKt), Numbers.written(SHARE * vrKt, 1)));
    Optional<Runway.Intersection> before = all.stream()
        .filter(i -> i.fromBeginningM() > begins && i.fromBeginningM() <= begins + half)
        .max(Comparator.comparingInt(Runway.Intersection::fromBeginningM));
    return new ShortStrip(speed, half, half / LIGHTS_M, before);
  }

  public String words() {
    return "%s by %s, %d lights on%s, or stop".formatted(Worked.kt(kt.value()), Worked.m(halfM), lights,
        before.map(i -> ", soon after " + i.name()).orElse(""));
  }
}
