package neatlanyard.core.figures;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import neatlanyard.core.fleet.Runway;
import org.testng.annotations.Test;

public class ShortStripTest {
  private static final List<Runway.Intersection> BY = List.of(new Runway.Intersection("B", 210),
      new Runway.Intersection("C", 500));

  /**
   * Kinematics: at constant acceleration the square of the speed goes with the way. Who is under the speed at the mark
   * would lift off beyond the end of the run, and who has it is at most a fiftieth of the run short of it.
   */
  @Test
  public void under_it_at_the_mark_the_run_does_not_do() {
    SplittableRandom chance = new SplittableRandom(41);
    for (int i = 0; i < 5_000; i++) {
      int toraM = chance.nextInt(300, 1_400);
      double vrKt = chance.nextDouble(45, 140);
      ShortStrip strip = ShortStrip.of(toraM, List.of(), Optional.empty(), vrKt);
      double wanted = strip.kt().value();
      assertThat(wanted).isBetween(0.7 * vrKt - 1e-9, 0.7 * vrKt + 1);
      double runM = strip.halfM() * Math.pow(vrKt / (0.7 * vrKt - 0.01), 2);
      assertThat(runM).isGreaterThan(toraM - 2);
      assertThat(strip.halfM() * Math.pow(vrKt / wanted, 2)).isLessThan(toraM * 1.021);
    }
  }

  @Test
  public void the_mark_is_counted_from_where_the_take_off_begins() {
    assertThat(ShortStrip.of(890, BY, Optional.empty(), 82).words())
        .isEqualTo("58 kt by 445 m, 7 lights on, soon after B, or stop");
    assertThat(ShortStrip.of(890, BY, Optional.of(BY.getFirst()), 82).words())
        .isEqualTo("58 kt by 340 m, 5 lights on, soon after C, or stop");
  }
}
