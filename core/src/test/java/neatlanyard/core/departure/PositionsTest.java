package neatlanyard.core.departure;

import static neatlanyard.core.departure.Scene.CAPTAIN;
import static neatlanyard.core.departure.Scene.OFFICER;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import neatlanyard.core.log.Event;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.Status;
import org.testng.annotations.Test;

/**
 * When an answer comes back, held against a plain reading of the rule: what was told since of the control it
 * confirmed.
 */
public class PositionsTest {
  private static final StepId SET = new StepId("set-flaps");
  private static final StepId FLAPS = new StepId("flaps");

  /** What was said of the flaps, by the number of the move that said it; 0 where it was not. */
  private static final class Plain {
    int captain;
    int officer;
    int set;
    int takenBack;
    int read;
    String shows = "";

    /**
     * Both have answered, and since the first of them something else was told last, or what made it so was taken back.
     */
    boolean back() {
      int answered = Math.min(captain, officer);
      int told = Math.max(read, set);
      boolean otherwise = told > answered && told == read && shows.equals("0");
      return answered > 0 && (otherwise || takenBack > answered && set == 0);
    }
  }

  private static Event read(String flaps) {
    return new Event.AircraftRead("data", List.of(new State(new PointId("flaps"), flaps)));
  }

  @Test
  public void an_answer_comes_back_when_the_last_that_was_told_since_is_not_so() {
    int back = 0;
    for (int seed = 0; seed < 150; seed++) {
      Random random = new Random(seed);
      Scene s = Scene.ready(Scene.TODAY);
      Plain plain = new Plain();
      for (int move = 1; move <= 25; move++) {
        switch (random.nextInt(6)) {
          case 0 -> {
            s.says(OFFICER, new Event.StepDone(SET));
            plain.set = move;
          }
          case 1 -> {
            if (plain.set > 0) {
              s.says(OFFICER, new Event.StepUndone(SET));
              plain.set = 0;
              plain.takenBack = move;
            }
          }
          case 2 -> {
            plain.shows = random.nextBoolean() ? "15" : "0";
            plain.read = move;
            s.says(OFFICER, read(plain.shows));
          }
          default -> {
            boolean captain = random.nextBoolean();
            if ((captain ? plain.captain : plain.officer) == 0 || plain.back()) {
              s.says(captain ? CAPTAIN : OFFICER, new Event.ValueSaid(FLAPS, "15"));
              plain.captain = captain ? move : plain.captain;
              plain.officer = captain ? plain.officer : move;
            }
          }
        }
        assertThat(s.status("flaps") == Status.AGAIN).as("seed %d, move %d", seed, move).isEqualTo(plain.back());
        back += plain.back() ? 1 : 0;
      }
    }
    assertThat(back).as("it came back at times").isGreaterThan(50);
  }
}
