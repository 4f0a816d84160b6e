package neatlanyard.core.walkaround;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import org.testng.annotations.Test;

public class WalkaroundTest {
  private static final Procedure WALK =
      new Procedure(new ProcedureId("walk"), "Walk", Stage.WALKAROUND, Procedure.Kind.WALKAROUND, List.of(),
      List.of());

  private static Place station(String id, double x, double y) {
    return new Place(new PlaceId(id), id, x, y, 0, 0, Seat.LEFT, false);
  }

  private static Item item(String id, String place, String challenge, String response) {
    return new Item(Step.of(id, place, challenge, response, Owner.RIGHT).build(), WALK, Set.of(Seat.RIGHT), false, "",
        0);
  }

  @Test
  public void the_second_side_says_what_is_not_as_on_the_first() {
    Map<PlaceId, Place> places = Stream.of(station("tip-r", 12, 9), station("tail", 0, 24), station("tip-l", -12, 9))
        .collect(Collectors.toMap(Place::id, p -> p));
    Map<StepId, String> words = SecondSide.differences(List.of(
        item("light-r", "tip-r", "Position light, right", "green, lit"),
        item("glass-r", "tip-r", "Right glass", "whole"),
        item("panel", "tip-r", "Fuelling panel", "shut"), item("tail", "tail", "Tail", "whole"),
        item("light-l", "tip-l", "Position light, left", "red, lit"), item("glass-l", "tip-l", "Left glass", "whole"),
        item("drain", "tip-l", "Drain", "dry")), places);
    assertThat(words).hasSize(2);
    assertThat(words.get(new StepId("light-l")))
        .isEqualTo("Differs: on the right it was green, lit. Only on the right side: Fuelling panel.");
    assertThat(words.get(new StepId("drain"))).isEqualTo("Not on the right side.");
  }

  /** Common practice, no source: a walkaround takes about ten minutes. */
  @Test
  public void the_time_comes_from_the_geometry_until_the_fleet_has_walked_it() {
    List<Place> round = List.of(station("a", -2, 3), station("b", 0, -1), station("c", 13, 9), station("d", 0, 24),
        station("e", -13, 9), station("f", -7, 5));
    WalkTime first = WalkTime.of(round, 60, List.of(Duration.ofMinutes(20)));
    assertThat(first.metres()).isBetween(65.0, 85.0);
    assertThat(first.takes()).isBetween(Duration.ofMinutes(8), Duration.ofMinutes(12));
    WalkTime known = WalkTime.of(round, 60,
        List.of(Duration.ofMinutes(20), Duration.ofMinutes(9), Duration.ofMinutes(11)));
    assertThat(known.takes()).isEqualTo(Duration.ofMinutes(11));
    assertThat(known.from()).contains("3 walks");
  }
}
