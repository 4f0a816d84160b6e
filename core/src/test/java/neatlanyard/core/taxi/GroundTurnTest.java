package neatlanyard.core.taxi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import neatlanyard.core.taxi.GroundTurn.Spot;
import neatlanyard.core.taxi.GroundTurn.Ways;
import org.testng.annotations.Test;

public class GroundTurnTest {
  private static Wheels wheels(double wheelbase) {
    return new Wheels(wheelbase, wheelbase + 2, 7.6, 17.3, -1.5, 20, 65);
  }

  /** The tractrix: behind a nose wheel on a circle of radius R the main gear settles on √(R² − L²). */
  @Test
  public void in_a_long_turn_the_main_gear_settles_where_the_tractrix_has_it() {
    Random random = new Random(11);
    for (int round = 0; round < 50; round++) {
      double wheelbase = random.nextDouble(3, 12);
      double radius = wheelbase * random.nextDouble(2.5, 5);
      GroundTurn turn = new GroundTurn(wheels(wheelbase), 180, radius);
      double settled = radius - Math.sqrt(radius * radius - wheelbase * wheelbase);
      assertThat(turn.cutM(turn.ways()) - 3.8).isCloseTo(settled, within(0.02 * settled + 0.01));
    }
  }

  /** On the straight behind the turn what is left of the offset dies away as e^(−s/L), for small angles. */
  @Test
  public void behind_the_turn_the_offset_dies_away() {
    double wheelbase = 10;
    Ways ways = new GroundTurn(wheels(wheelbase), 20, 200).ways();
    double turn = Math.toRadians(20);
    double[] offset = ways.cut().stream()
        .filter(s -> s.x() * Math.cos(turn) + s.y() * Math.sin(turn) > 200 * Math.sin(turn) + 5)
        .mapToDouble(s -> 200 - ((200 - s.y()) * Math.cos(turn) + s.x() * Math.sin(turn))).toArray();
    int after = (int) wheelbase; // A spot a metre.
    for (int i = 0; i + after < offset.length && offset[i + after] > 0.01; i += 3) {
      assertThat(offset[i + after] / offset[i]).isCloseTo(Math.exp(-1), within(0.03));
    }
    assertThat(offset.length).isGreaterThan(20);
  }

  /** A rigid aircraft: its nose wheel is a wheelbase ahead of the middle of its main gear, at every moment. */
  @Test
  public void wheels_keep_their_distance_and_the_gear_never_slips_sideways() {
    Ways ways = new GroundTurn(wheels(11), 110, 28).ways();
    for (int i = 1; i < ways.line().size(); i++) {
      Spot nose = ways.line().get(i);
      Spot main = ways.cut().get(i);
      assertThat(Math.hypot(nose.x() - main.x(), nose.y() - main.y())).isCloseTo(11, within(1e-9));
      Spot before = ways.cut().get(i - 1);
      double heading = Math.atan2(nose.y() - main.y(), nose.x() - main.x());
      double slip = (main.y() - before.y()) * Math.cos(heading) - (main.x() - before.x()) * Math.sin(heading);
      assertThat(Math.abs(slip)).isLessThan(0.06);
    }
  }

  /** Pythagoras, by hand: 30 m and 16 m give 34 m. */
  @Test
  public void the_eyes_go_past_the_line_as_far_as_they_are_ahead_of_the_gear() {
    GroundTurn turn = new GroundTurn(new Wheels(12, 16, 7.6, 17.3, -1.5, 20, 65), 90, 30);
    assertThat(turn.eyesPastM()).isCloseTo(4, within(1e-9));
    assertThat(turn.straightOnM()).isEqualTo(16);
    assertThat(turn.tailPastM()).isCloseTo(Math.sqrt(1_300) - 30, within(1e-9));
    assertThat(turn.ways().eyes().stream().mapToDouble(s -> Math.hypot(s.x(), 30 - s.y()) - 30).max().orElse(0))
        .as("in the middle of the turn").isGreaterThanOrEqualTo(4 - 1e-9);
  }

  /** At 45° of steering: the nose wheel on √2 wheelbases, the main gear on one. */
  @Test
  public void turning_round_wants_both_radii_and_half_the_track() {
    assertThat(new Wheels(10, 12, 6, 15, 0, 12, 45).leastForTurningRoundM())
        .isCloseTo(10 * Math.sqrt(2) + 10 + 3, within(1e-9));
  }

  @Test
  public void what_is_no_turn_is_refused() {
    assertThatThrownBy(() -> new GroundTurn(wheels(10), 0, 30)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new GroundTurn(wheels(10), 90, 9)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new GroundTurn(wheels(10), Double.NaN, 30)).isInstanceOf(IllegalArgumentException.class);
  }
}
