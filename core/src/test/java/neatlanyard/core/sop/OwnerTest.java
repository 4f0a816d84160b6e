package neatlanyard.core.sop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Set;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Equipment;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.TailId;
import org.testng.annotations.Test;

public class OwnerTest {
  @Test
  public void roles_fall_to_seats_by_who_flies() {
    for (Seat flying : Seat.values()) {
      assertThat(Owner.FLYING.seats(flying)).isEqualTo(Set.of(flying));
      assertThat(Owner.MONITORING.seats(flying)).isEqualTo(Set.of(flying.other()));
      assertThat(Owner.BOTH.seats(flying)).containsExactlyInAnyOrder(Seat.values());
      assertThat(Owner.LEFT.seats(flying)).containsExactly(Seat.LEFT);
      for (Owner owner : Owner.values()) {
        assertThat(owner.seats(flying)).as("a step owned by nobody is the classic hole").isNotEmpty();
      }
    }
  }

  @Test
  public void no_pack_can_lose_a_tag_by_leaving_it_out() {
    for (TagKind.Trigger trigger : TagKind.Trigger.values()) {
      boolean byDefault = TagKind.DEFAULTS.stream().anyMatch(k -> k.hangsOn() == trigger);
      assertThat(byDefault).as("a default for %s", trigger).isEqualTo(trigger != TagKind.Trigger.STEP);
    }
    assertThat(TagKind.DEFAULTS).filteredOn(k -> !k.mayStay())
        .extracting(TagKind::hangsOn)
        .containsExactlyInAnyOrder(TagKind.Trigger.CONTROLS, TagKind.Trigger.STANDING_VERDICT);
  }

  @Test
  public void names_are_checked_at_the_edge_and_said() {
    assertThatThrownBy(() -> new TailId("tl dva")).hasMessage("'tl dva' is not a registration: 2 to 10 capitals, digits or hyphens");
    assertThatThrownBy(() -> new AirfieldId("QTR")).hasMessageContaining("four capitals");
    assertThatThrownBy(() -> new StepId("")).hasMessageContaining("a step name");
    assertThat(new Equipment("apu").words()).isEqualTo("APU");
    assertThat(new Equipment("freight-door").words()).isEqualTo("freight door");
  }
}
