package neatlanyard.core.sop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import neatlanyard.core.fleet.Seat;
import org.testng.annotations.Test;

/** Properties of handing panels over, whoever hands what to whom. */
public class HandoversTest {
  private static final List<PlaceId> PANELS = List.of(new PlaceId("overhead"), new PlaceId("pedestal"));

  private static <T> T any(Random random, List<T> of) {
    return of.get(random.nextInt(of.size()));
  }

  @Test
  public void who_hands_over_keeps_nothing_there_and_nobody_else_loses_anything() {
    List<Seat> seats = List.of(Seat.values());
    Random random = new Random(7);
    for (int run = 0; run < 200; run++) {
      Handovers h = Handovers.NONE;
      for (int i = 0; i < 12; i++) {
        Handovers before = h;
        PlaceId panel = any(random, PANELS);
        Seat from = any(random, seats);
        Seat to = any(random, seats.stream().filter(s -> s != from).toList());
        h = before.with(panel, from, to);
        for (Seat own : seats) {
          Seat was = before.now(panel, own);
          assertThat(h.now(panel, own)).isEqualTo(was == from ? to : was).isNotEqualTo(from);
          PlaceId other = PANELS.get(1 - PANELS.indexOf(panel));
          assertThat(h.now(other, own)).as("the other panel").isEqualTo(before.now(other, own));
        }
        assertThat(h.any(panel)).isTrue();
      }
    }
    assertThat(seats).allMatch(s -> Handovers.NONE.now(PANELS.getFirst(), s) == s);
  }

  @Test
  public void what_was_given_comes_back_to_who_gave_it_with_the_others_own() {
    PlaceId panel = PANELS.getFirst();
    Handovers given = Handovers.NONE.with(panel, Seat.LEFT, Seat.RIGHT);
    assertThat(given.now(panel, Seat.LEFT)).isEqualTo(Seat.RIGHT);
    assertThat(given.now(panel, Seat.ENGINEER)).isEqualTo(Seat.ENGINEER);
    Handovers back = given.with(panel, Seat.RIGHT, Seat.LEFT);
    assertThat(List.of(Seat.LEFT, Seat.RIGHT)).allMatch(s -> back.now(panel, s) == Seat.LEFT);
  }
}
