package neatlanyard.core.departure;

import static neatlanyard.core.departure.Scene.CAPTAIN;
import static neatlanyard.core.departure.Scene.OFFICER;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.record.Account;
import neatlanyard.core.sop.Handovers;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagKind.Trigger;
import neatlanyard.core.state.Status;
import org.testng.annotations.Test;

/** What keeps a step closed, what runs by itself, and what people hang, hand over and are called away from. */
public class TogetherTest {
  private static final StepId FIRE = new StepId("fire");
  private static final StepId APU = new StepId("apu");
  private static final StepId HEATER = new StepId("heater");
  private static final StepId BLEED = new StepId("bleed");

  private static List<Tag> tags(Scene scene, Trigger trigger) {
    return scene.now.picture().tags().stream().filter(t -> t.kind().hangsOn() == trigger).toList();
  }

  private static Scene apuRunning() {
    Scene scene = Scene.ready(Scene.POWER);
    scene.says(OFFICER, new Event.StepDone(FIRE));
    scene.says(OFFICER, new Event.StepDone(APU));
    return scene;
  }

  @Test
  public void a_wait_runs_from_its_step_gates_what_waits_and_goes_with_it() {
    Scene scene = apuRunning();
    assertThat(scene.now.picture().waits()).singleElement()
        .satisfies(w -> assertThat(w.until()).isEqualTo(scene.at.plusSeconds(180)));
    assertThat(tags(scene, Trigger.WAIT)).singleElement().satisfies(t -> {
      assertThat(t.title()).isEqualTo("apu: 3 min before bleed air is taken");
      assertThat(t.due()).isEqualTo(Stage.FLOWS);
    });
    scene.at = scene.at.plusSeconds(170);
    assertThat(scene.tries(CAPTAIN, "d1", new Event.StepDone(BLEED))).isEqualTo("wait");
    assertThat(scene.tries(OFFICER, "d2", new Event.WaitSeen(APU))).isEqualTo("wait");
    scene.at = scene.at.plusSeconds(10);
    scene.says(CAPTAIN, new Event.StepDone(BLEED));
    assertThat(tags(scene, Trigger.WAIT)).isEmpty();
  }

  @Test
  public void a_wait_that_somebody_saw_over_is_gone_and_comes_back_with_its_step() {
    Scene scene = apuRunning();
    scene.at = scene.at.plus(Duration.ofMinutes(3));
    scene.says(CAPTAIN, new Event.WaitSeen(APU));
    assertThat(tags(scene, Trigger.WAIT)).isEmpty();
    assertThat(scene.tries(CAPTAIN, "d1", new Event.WaitSeen(APU))).isEqualTo("no-wait");
    scene.says(OFFICER, new Event.StepUndone(APU));
    assertThat(scene.tries(CAPTAIN, "d1", new Event.StepDone(BLEED))).as("the APU does not run").isEqualTo("needs");
    scene.says(OFFICER, new Event.StepDone(APU));
    assertThat(tags(scene, Trigger.WAIT)).hasSize(1);
    assertThat(scene.tries(CAPTAIN, "d1", new Event.StepDone(BLEED))).isEqualTo("wait");
  }

  @Test
  public void going_past_a_gate_needs_words_and_hangs_until_what_was_passed_is_so() {
    Scene scene = Scene.ready(Scene.POWER);
    assertThat(scene.tries(OFFICER, "d1", new Event.StepDone(APU))).isEqualTo("needs");
    assertThat(scene.tries(OFFICER, "d1", new Event.Overridden(APU, " "))).isEqualTo("words-missing");
    assertThat(scene.tries(CAPTAIN, "d1", new Event.Overridden(APU, "proven by maintenance")))
        .isEqualTo("other-seats-step");
    assertThat(scene.tries(OFFICER, "d1", new Event.Overridden(FIRE, "why not"))).isEqualTo("nothing-to-override");
    scene.says(OFFICER, new Event.Overridden(APU, "proven by maintenance"));
    assertThat(tags(scene, Trigger.OVERRIDE)).as("nothing is done yet").isEmpty();
    scene.says(OFFICER, new Event.StepDone(APU));
    assertThat(tags(scene, Trigger.OVERRIDE)).singleElement()
        .satisfies(t -> assertThat(t.detail()).isEqualTo("apu before fire: proven by maintenance"));
    scene.says(OFFICER, new Event.StepDone(FIRE));
    assertThat(tags(scene, Trigger.OVERRIDE)).isEmpty();
    scene.says(OFFICER, new Event.StepUndone(APU));
    scene.says(OFFICER, new Event.StepUndone(FIRE));
    assertThat(scene.tries(OFFICER, "d1", new Event.StepDone(APU))).as("an override goes with its step")
        .isEqualTo("needs");
  }

  @Test
  public void a_wait_that_was_passed_hangs_on_until_it_was_seen_over() {
    Scene scene = apuRunning();
    scene.says(CAPTAIN, new Event.Overridden(BLEED, "it ran before we came"));
    scene.says(CAPTAIN, new Event.StepDone(BLEED));
    assertThat(tags(scene, Trigger.WAIT)).hasSize(1);
    assertThat(tags(scene, Trigger.OVERRIDE)).hasSize(1);
    scene.at = scene.at.plusSeconds(180);
    scene.says(OFFICER, new Event.WaitSeen(APU));
    assertThat(tags(scene, Trigger.WAIT)).isEmpty();
    assertThat(tags(scene, Trigger.OVERRIDE)).isEmpty();
  }

  @Test
  public void what_is_on_already_is_found_so_and_what_makes_it_safe_never_is() {
    Scene scene = Scene.ready(Scene.POWER);
    assertThat(scene.tries(OFFICER, "d1", new Event.FoundSo(FIRE))).as("it proves").isEqualTo("must-be-done");
    assertThat(scene.tries(OFFICER, "d1", new Event.FoundSo(HEATER))).as("off is where it rests")
        .isEqualTo("must-be-done");
    scene.says(OFFICER, new Event.FoundSo(APU));
    assertThat(scene.status("apu")).isEqualTo(Status.DONE);
    assertThat(scene.status("fire")).as("the fire warning is still to be proven").isEqualTo(Status.OPEN);
    assertThat(tags(scene, Trigger.WAIT)).as("how long it has run, nobody knows").hasSize(1);
  }

  @Test
  public void a_tag_by_hand_hangs_where_it_is_due_until_it_is_taken_off() {
    Scene scene = Scene.ready(Scene.POWER);
    UUID tag = UUID.randomUUID();
    assertThat(scene.tries(OFFICER, "d1", new Event.TagHung(tag, "", Stage.TAXI, Optional.empty())))
        .isEqualTo("words-missing");
    scene.says(OFFICER, new Event.TagHung(tag, "Air for the cabin", Stage.TAXI,
        Optional.of(Instant.EPOCH.plusSeconds(300))));
    assertThat(scene.tries(CAPTAIN, "d1", new Event.TagHung(tag, "Another", Stage.TAXI, Optional.empty())))
        .isEqualTo("tag-exists");
    assertThat(tags(scene, Trigger.BY_HAND)).singleElement().satisfies(t -> {
      assertThat(t.title()).isEqualTo("Air for the cabin");
      assertThat(t.due()).isEqualTo(Stage.TAXI);
    });
    scene.says(CAPTAIN, new Event.TagTaken(tag));
    assertThat(tags(scene, Trigger.BY_HAND)).isEmpty();
    assertThat(scene.tries(CAPTAIN, "d1", new Event.TagTaken(tag))).isEqualTo("no-such-tag");
  }

  @Test
  public void who_is_called_away_hangs_until_they_go_on_and_the_length_is_kept() {
    Scene scene = Scene.ready(Scene.POWER);
    assertThat(scene.tries(OFFICER, "d1", new Event.WentOn())).isEqualTo("not-interrupted");
    scene.says(OFFICER, new Event.Interrupted());
    assertThat(scene.tries(OFFICER, "d1", new Event.Interrupted())).isEqualTo("interrupted");
    scene.says(CAPTAIN, new Event.Interrupted());
    assertThat(tags(scene, Trigger.INTERRUPTED)).hasSize(2);
    scene.at = scene.at.plusSeconds(95);
    scene.says(OFFICER, new Event.WentOn());
    assertThat(tags(scene, Trigger.INTERRUPTED)).singleElement()
        .satisfies(t -> assertThat(t.hungBy()).isEqualTo(CAPTAIN));
    assertThat(scene.now.state().interruptions().getFirst().length()).contains(Duration.ofSeconds(95));
  }

  @Test
  public void a_panel_is_handed_over_by_who_works_it_and_what_was_done_stays() {
    Scene scene = Scene.ready(Scene.POWER);
    PlaceId panel = new PlaceId("overhead");
    scene.says(OFFICER, new Event.StepDone(FIRE));
    assertThat(scene.tries(OFFICER, "d1", new Event.PanelHandedOver(new PlaceId("nowhere"), Seat.LEFT)))
        .isEqualTo("not-your-panel");
    assertThat(scene.tries(OFFICER, "d1", new Event.PanelHandedOver(panel, Seat.RIGHT))).isEqualTo("no-such-seat");
    scene.says(OFFICER, new Event.PanelHandedOver(panel, Seat.LEFT));
    assertThat(scene.tries(OFFICER, "d1", new Event.StepDone(APU))).isEqualTo("other-seats-step");
    scene.says(CAPTAIN, new Event.StepDone(APU));
    scene.says(CAPTAIN, new Event.PanelHandedOver(panel, Seat.RIGHT));
    assertThat(scene.status("apu")).as("who worked it then has answered").isEqualTo(Status.DONE);
    scene.says(OFFICER, new Event.StepDone(HEATER));
    assertThat(scene.now.state().marks(APU)).singleElement().satisfies(m -> assertThat(m.by()).isEqualTo(CAPTAIN));
  }

  @Test
  public void who_hands_a_panel_over_gives_what_they_work_of_it() {
    PlaceId panel = new PlaceId("place");
    Scene scene = Scene.ready();
    assertThat(scene.now.state().part(new ProcedureId("flow")).orElseThrow().items()).extracting(i -> i.step().place())
        .containsOnly(panel);
    scene.says(CAPTAIN, new Event.PanelHandedOver(panel, Seat.RIGHT));
    scene.says(OFFICER, new Event.StepDone(new StepId("clear")));
    scene.says(OFFICER, new Event.PanelHandedOver(panel, Seat.LEFT));
    scene.says(CAPTAIN, new Event.StepDone(new StepId("pumps-off")));
    assertThat(scene.tries(OFFICER, new Event.StepDone(new StepId("pumps-on"))))
        .as("all of it went back, with what was the officer's").isEqualTo("other-seats-step");
    Scene own = Scene.ready();
    own.says(OFFICER, new Event.PanelHandedOver(panel, Seat.LEFT));
    own.says(CAPTAIN, new Event.StepDone(new StepId("clear")));
    own.says(CAPTAIN, new Event.StepDone(new StepId("pumps-off")));
    Handovers three = Handovers.NONE.with(panel, Seat.LEFT, Seat.ENGINEER).with(panel, Seat.RIGHT, Seat.LEFT);
    assertThat(List.of(Seat.values())).as("the pilot's and the engineer's; the other pilot's")
        .extracting(s -> three.now(panel, s))
        .containsExactly(Seat.ENGINEER, Seat.LEFT, Seat.ENGINEER);
    assertThat(three.with(panel, Seat.ENGINEER, Seat.RIGHT).now(panel, Seat.LEFT)).isEqualTo(Seat.RIGHT);
  }

  @Test
  public void the_account_has_each_stage_with_its_last_word_and_the_time_away() {
    Scene scene = Scene.ready(Scene.POWER);
    scene.at = scene.at.plusSeconds(60);
    scene.says(OFFICER, new Event.StepDone(FIRE));
    scene.says(CAPTAIN, new Event.Interrupted());
    scene.at = scene.at.plusSeconds(30);
    scene.says(OFFICER, new Event.StepNotToday(HEATER, "it is summer"));
    scene.says(CAPTAIN, new Event.WentOn());
    assertThat(Account.of(scene.now.state(), scene.now.picture().beads()).stages()).as("the APU is open").isEmpty();
    scene.says(OFFICER, new Event.StepDone(APU));
    Account account = Account.of(scene.now.state(), scene.now.picture().beads());
    assertThat(account.away()).isEqualTo(Duration.ofSeconds(30));
    assertThat(account.stages()).singleElement().satisfies(t -> {
      assertThat(t.stage()).isEqualTo(Stage.POWER_UP);
      assertThat(t.real()).contains(scene.at);
      assertThat(t.late()).as("the pack gives no times").isEmpty();
    });
    assertThat(scene.log.stream().map(Entry::event).filter(Account::deviates))
        .containsExactly(new Event.StepNotToday(HEATER, "it is summer"));
  }
}
