package neatlanyard.core.sop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Equipment;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.TailId;
import org.testng.annotations.Test;

public class OwnerTest {
  @Test
  public void roles_fall_to_seats_by_who_flies() {
    for (Seat flying : Seat.pilots()) {
      assertThat(Owner.FLYING.answering(flying, Policy.DEFAULT, OVERHEAD).seats()).isEqualTo(Set.of(flying));
      assertThat(Owner.MONITORING.answering(flying, Policy.DEFAULT, OVERHEAD).seats())
          .isEqualTo(Set.of(flying.other()));
      assertThat(Owner.BOTH.answering(flying, Policy.DEFAULT, OVERHEAD).seats()).isEqualTo(Seat.pilots());
      assertThat(Owner.LEFT.answering(flying, Policy.DEFAULT, OVERHEAD).seats()).containsExactly(Seat.LEFT);
      for (Owner owner : Owner.values()) {
        for (School school : Matter.OVERHEAD_SCAN.schools()) {
          Policy policy = Policy.of(Map.of(Matter.OVERHEAD_SCAN, school));
          assertThat(owner.answering(flying, policy, OVERHEAD).seats())
              .as("a step owned by nobody is the classic hole").isNotEmpty();
        }
      }
    }
  }

  /** monitoring pilot alone; each pilot half; either as time allows. */
  @Test
  public void the_overhead_falls_by_the_fleets_school() {
    assertThat(overhead(School.MONITORING_SCANS)).isEqualTo(new Owner.Answering(Set.of(Seat.RIGHT), false));
    assertThat(overhead(School.EACH_HALF)).isEqualTo(new Owner.Answering(Set.of(Seat.LEFT), false));
    assertThat(overhead(School.EITHER)).isEqualTo(new Owner.Answering(Seat.pilots(), true));
  }

  private static Owner.Answering overhead(School school) {
    return Owner.OVERHEAD.answering(Seat.LEFT, Policy.of(Map.of(Matter.OVERHEAD_SCAN, school)), OVERHEAD);
  }

  private static final Place OVERHEAD = new Place(new PlaceId("overhead"), "Overhead", 0, 0, 2, 2, Seat.LEFT, false);

  /** the monitoring pilot, the first officer, or a third crew member reads. */
  @Test
  public void a_checklist_is_read_by_the_fleets_school() {
    assertThat(Policy.DEFAULT.reader()).contains(Owner.MONITORING);
    assertThat(Policy.of(Map.of(Matter.CHECKLIST_VOICE, School.FIRST_OFFICER_READS)).reader()).contains(Owner.RIGHT);
    assertThat(Policy.of(Map.of(Matter.CHECKLIST_VOICE, School.THIRD_READS)).reader()).isEmpty();
  }

  @Test
  public void every_matter_has_a_default_and_no_school_stands_in_two() {
    for (School school : School.values()) {
      assertThat(Stream.of(Matter.values()).filter(m -> m.schools().contains(school))).as("%s", school).hasSize(1);
    }
    assertThat(Matter.values()).allMatch(m -> m.schools().size() > 1 && Policy.DEFAULT.of(m) == m.byDefault());
    assertThatThrownBy(() -> Policy.of(Map.of(Matter.RADAR, School.EITHER)))
        .hasMessageContaining("not a school of RADAR");
  }

  @Test
  public void no_pack_can_lose_a_tag_by_leaving_it_out() {
    for (TagKind.Trigger trigger : TagKind.Trigger.values()) {
      boolean byDefault = TagKind.DEFAULTS.stream().anyMatch(k -> k.hangsOn() == trigger);
      assertThat(byDefault).as("a default for %s", trigger).isEqualTo(trigger != TagKind.Trigger.STEP);
    }
    assertThat(TagKind.DEFAULTS).filteredOn(k -> !k.mayStay())
        .extracting(TagKind::hangsOn)
        .containsExactlyInAnyOrder(
            TagKind.Trigger.CONTROLS, TagKind.Trigger.STANDING_VERDICT, TagKind.Trigger.DEFERRAL,
            TagKind.Trigger.OTHER_LOG);
  }

  @Test
  public void names_are_checked_at_the_edge_and_said() {
    assertThatThrownBy(() -> new TailId("tl dva"))
        .hasMessage("'tl dva' is not a registration: 2 to 10 capitals, digits or hyphens");
    assertThatThrownBy(() -> new AirfieldId("QTR")).hasMessageContaining("four capitals");
    assertThatThrownBy(() -> new StepId("")).hasMessageContaining("a step name");
    assertThat(new Equipment("apu").words()).isEqualTo("APU");
    assertThat(new Equipment("freight-door").words()).isEqualTo("freight door");
  }
}
