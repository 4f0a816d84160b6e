package neatlanyard.core.departure;

import static neatlanyard.core.departure.Scene.CAPTAIN;
import static neatlanyard.core.departure.Scene.OFFICER;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Facts;
import neatlanyard.core.sop.TagKind.Trigger;
import neatlanyard.core.state.TaxiNotes.Standing;
import neatlanyard.core.taxi.Clearance;
import neatlanyard.core.taxi.WayTest;
import org.testng.annotations.Test;

/** A clearance that two hear, and brakes that cool. */
public class TaxiTest {
  private static final Clearance WEST = new Clearance("1", List.of("A"), "A1", List.of());
  private static final Clearance EAST =
      new Clearance("1", List.of("A", "D"), "D1", List.of(new RunwayName("18")));

  private static Scene scene() {
    Scene s = Scene.ready(Scene.shaped(WayTest.SHAPE));
    s.server(new Event.FlightFacts(new Facts(List.of(), List.of(), Optional.empty(), Optional.of(WayTest.PLAN),
        Optional.empty(), List.of(), Optional.empty())));
    return s;
  }

  private static List<String> tags(Scene s, Trigger of) {
    return s.now.picture().tags().stream().filter(t -> t.kind().hangsOn() == of).map(Tag::title).toList();
  }

  @Test
  public void a_clearance_counts_once_both_have_said_it_alike() {
    Scene s = scene();
    s.says(CAPTAIN, new Event.TaxiCleared(WEST));
    assertThat(s.now.state().taxi().standing()).isEqualTo(Standing.BY_ONE);
    assertThat(s.now.state().taxi().covers(s.now.state().lastNumber())).isTrue();
    assertThat(tags(s, Trigger.CLEARANCE)).containsExactly("Clearance said by the left seat alone");
    s.says(OFFICER, new Event.TaxiCleared(EAST));
    assertThat(tags(s, Trigger.CLEARANCE)).containsExactly(
        "Heard differently: via A, and A, D; to A1, and D1; crossing nothing, and 18");
    assertThat(s.now.picture().taxiWay().known()).isEmpty();
    s.says(CAPTAIN, new Event.TaxiCleared(EAST));
    assertThat(s.now.state().taxi().agreed()).contains(EAST);
    TaxiWay way = s.now.picture().taxiWay();
    s.says(CAPTAIN, new Event.BrakesRead(20, false));
    assertThat(s.now.picture().taxiWay()).as("brakes are said, the notes are others").isNotSameAs(way).isEqualTo(way);
    way = s.now.picture().taxiWay();
    s.says(OFFICER, new Event.Interrupted());
    assertThat(s.now.picture().taxiWay()).as("a press elsewhere works nothing out").isSameAs(way);
    assertThat(tags(s, Trigger.CLEARANCE)).isEmpty();
    assertThat(s.now.picture().taxiWay().known()).isPresent();
  }

  @Test
  public void another_clearance_is_marked_as_changed_and_said_anew_by_both() {
    Scene s = scene();
    s.says(CAPTAIN, new Event.TaxiCleared(WEST));
    s.says(OFFICER, new Event.TaxiCleared(WEST));
    s.says(OFFICER, new Event.TaxiCleared(WEST));
    assertThat(s.now.state().taxi().standing()).as("the same again changes nothing").isEqualTo(Standing.AGREED);
    s.says(OFFICER, new Event.TaxiCleared(EAST));
    assertThat(tags(s, Trigger.CLEARANCE)).containsExactly("A changed clearance said by the right seat alone");
    assertThat(s.now.state().taxi().before()).contains(WEST);
    s.says(CAPTAIN, new Event.TaxiCleared(EAST));
    assertThat(s.now.state().taxi().agreed()).contains(EAST);
  }

  @Test
  public void what_leads_nowhere_is_refused() {
    Scene s = scene();
    assertThat(s.tries(CAPTAIN, new Event.TaxiCleared(new Clearance("1", List.of("D"), "A1", List.of()))))
        .isEqualTo("not-a-clearance");
    assertThat(s.tries(CAPTAIN, new Event.BrakesRead(99_999, true))).isEqualTo("not-a-value");
  }

  @Test
  public void hot_brakes_hang_with_the_time_of_their_table_until_they_are_read_cool() {
    Scene s = scene();
    s.says(OFFICER, new Event.BrakesRead(401, true));
    assertThat(tags(s, Trigger.BRAKES)).containsExactly("Brakes 401 °C, hotter than their table");
    s.says(OFFICER, new Event.BrakesRead(201, true));
    assertThat(tags(s, Trigger.BRAKES)).containsExactly(
        "Brakes 201 °C: cool 10 min with the fan, then read them again");
    s.says(OFFICER, new Event.BrakesRead(400, false));
    assertThat(tags(s, Trigger.BRAKES)).containsExactly(
        "Brakes 400 °C: cool 30 min without a fan, then read them again");
    s.says(CAPTAIN, new Event.BrakesRead(200, false));
    assertThat(tags(s, Trigger.BRAKES)).isEmpty();
  }
}
