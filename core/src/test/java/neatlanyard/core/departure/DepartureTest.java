package neatlanyard.core.departure;

import static neatlanyard.core.departure.Scene.CAPTAIN;
import static neatlanyard.core.departure.Scene.LIST;
import static neatlanyard.core.departure.Scene.OFFICER;
import static neatlanyard.core.departure.Scene.STRANGER;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.dispatch.Category;
import neatlanyard.core.dispatch.Deferral;
import neatlanyard.core.dispatch.DispatchCase;
import neatlanyard.core.dispatch.DispatchList;
import neatlanyard.core.dispatch.EntryId;
import neatlanyard.core.dispatch.Severity;
import neatlanyard.core.dispatch.Verdict;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.flow.Reading;
import neatlanyard.core.gauge.Judged;
import neatlanyard.core.gauge.Readings;
import neatlanyard.core.gauge.Usage;
import neatlanyard.core.lanyard.ControlsAgain;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.log.EarlierReadings;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.FindDetail;
import neatlanyard.core.log.TechState;
import neatlanyard.core.record.Account;
import neatlanyard.core.sop.Card.Part;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.Find;
import neatlanyard.core.state.Mark;
import neatlanyard.core.state.Status;
import neatlanyard.core.trend.Schedule;
import org.testng.annotations.Test;

public class DepartureTest {
  private static Event done(String step) {
    return new Event.StepDone(new StepId(step));
  }

  private static Event.ControlsChecked controls(boolean passed) {
    Judgement.Outcome outcome =
        passed ? Judgement.Outcome.AS_IT_SHOULD_BE : Judgement.Outcome.NOT_AS_IT_SHOULD_BE;
    return new Event.ControlsChecked("test", "", new Judgement(List.of(new Judgement.Finding(Optional.of(Axis.ROLL),
        "x", Judgement.Criterion.SENSE, 1, outcome, 0, 0, 0, "", "Left aileron reversed")), List.of(), List.of()));
  }

  @Test
  public void a_trim_that_is_set_after_the_check_asks_for_another() {
    Scene s = Scene.ready(Scene.TRIMMED);
    s.says(OFFICER, done("trim"));
    s.says(OFFICER, controls(true));
    assertThat(ControlsAgain.of(s.now.state())).isEmpty();
    s.says(OFFICER, done("trim"));
    assertThat(ControlsAgain.of(s.now.state()).orElseThrow().words()).contains("a trim was changed");
    s.says(OFFICER, controls(true));
    assertThat(ControlsAgain.of(s.now.state())).isEmpty();
  }

  /** Water that freezes in the gaps stiffens what moved freely before. */
  @Test
  public void a_control_check_that_passed_is_asked_again_after_de_icing() {
    Scene s = Scene.ready();
    s.says(OFFICER, controls(true));
    Instant made = s.now.state().controls().orElseThrow().at();
    s.at = made.plusSeconds(60);
    s.says(OFFICER, treated(made.minusSeconds(1)));
    assertThat(s.now.picture().inTheWay()).as("before the check").extracting(Tag::key)
        .doesNotContain("controls/controls");
    s.says(OFFICER, treated(made.plusSeconds(1)));
    assertThat(s.now.picture().inTheWay()).extracting(Tag::key).contains("controls/controls");
    s.says(OFFICER, new Event.DeIced(Optional.empty()));
    assertThat(s.now.picture().inTheWay()).as("it was not de-iced after all").extracting(Tag::key)
        .doesNotContain("controls/controls");
  }

  private static Event treated(Instant began) {
    return new Event.DeIced(Optional.of(new Holdover.Applied("thick", "100/0", began)));
  }

  @Test
  public void a_tag_counts_its_items_down_and_comes_off_with_the_last() {
    Scene s = Scene.ready();
    s.done(OFFICER, "count");
    assertThat(s.tags()).containsExactly("2 of 2 covers on");
    s.done(OFFICER, "cover-a");
    assertThat(s.tags()).containsExactly("1 of 2 covers on");
    assertThat(s.now.picture().tags().getFirst().closedBy()).containsExactly(new StepId("cover-b"));
    s.done(OFFICER, "cover-b");
    assertThat(s.tags()).isEmpty();
  }

  @Test
  public void closing_before_opening_does_not_count_and_is_asked_again() {
    Scene s = Scene.ready();
    s.done(OFFICER, "pumps-off");
    s.done(CAPTAIN, "clear", "pumps-on");
    assertThat(s.tags()).containsExactly("Pumps on");
    assertThat(s.status("pumps-off")).isEqualTo(Status.AGAIN);
    s.done(OFFICER, "pumps-off");
    assertThat(s.tags()).isEmpty();
    assertThat(s.status("pumps-off")).isEqualTo(Status.DONE);
  }

  @Test
  public void taking_a_step_back_takes_its_tag_with_it() {
    Scene s = Scene.ready();
    s.done(CAPTAIN, "clear", "pumps-on");
    s.says(CAPTAIN, new Event.StepUndone(new StepId("pumps-on")));
    assertThat(s.tags()).isEmpty();
    assertThat(s.status("pumps-on")).isEqualTo(Status.OPEN);
  }

  @Test
  public void what_needs_something_waits_for_it() {
    Scene s = Scene.ready();
    assertThat(s.tries(CAPTAIN, done("pumps-on"))).isEqualTo("needs");
    s.done(CAPTAIN, "clear", "pumps-on");
  }

  @Test
  public void seats_and_roles_are_held_to() {
    Scene s = Scene.ready();
    assertThat(s.tries(CAPTAIN, done("count"))).isEqualTo("other-seats-step");
    assertThat(s.tries(STRANGER, done("count"))).isEqualTo("no-seat");
    assertThat(s.tries(STRANGER, new Event.SeatTaken(Seat.LEFT))).isEqualTo("not-rostered");
    assertThat(s.tries(OFFICER, new Event.SeatTaken(Seat.LEFT))).isEqualTo("other-seat");
    assertThat(s.tries(OFFICER, done("no-such"))).isEqualTo("no-such-step");
    assertThat(s.tries(OFFICER, new Event.TiedOff(List.of()))).isEqualTo("commander-only");
    assertThat(new Scene(Scene.PACK).tries(CAPTAIN, done("clear"))).isEqualTo("no-seat");
  }

  @Test
  public void two_answers_to_one_step_both_stand_and_the_worse_counts() {
    Scene s = Scene.ready();
    UUID find = UUID.randomUUID();
    s.done(OFFICER, "count");
    s.says(CAPTAIN, Scene.find(find, new StepId("count"), "a seventh cover"));
    assertThat(s.status("count")).isEqualTo(Status.FIND);
    assertThat(s.now.state().marks(new StepId("count"))).hasSize(2);
    assertThat(s.tags()).contains("Two answers to one step", "Find without a decision");
    assertThat(s.tags()).as("in doubt, what the step opened hangs").contains("2 of 2 covers on");
    s.says(CAPTAIN, Scene.verdict(find, Verdict.NOTHING_TO_ENTER, ""));
    assertThat(s.tags()).doesNotContain("Two answers to one step", "Find without a decision");
  }

  @Test
  public void a_find_at_a_step_that_closes_leaves_it_open() {
    Scene s = Scene.ready();
    s.done(OFFICER, "count", "cover-a");
    s.says(OFFICER, Scene.find(UUID.randomUUID(), new StepId("cover-b"), "frozen on"));
    assertThat(s.tags()).contains("1 of 2 covers on");
    s.says(CAPTAIN, Scene.find(UUID.randomUUID(), new StepId("cover-a"), "it is still on"));
    assertThat(s.tags()).as("the doubted closing no longer counts").contains("2 of 2 covers on");
  }

  @Test
  public void one_person_on_two_devices_can_disagree_with_themselves() {
    Scene s = Scene.ready();
    assertThat(s.tries(OFFICER, "phone", done("cover-a"))).isEmpty();
    assertThat(s.tries(OFFICER, "tablet", new Event.StepNotToday(new StepId("cover-a"), "no cover there"))).isEmpty();
    assertThat(s.tags()).containsExactly("Two answers to one step");
    assertThat(s.status("cover-a")).isEqualTo(Status.NOT_TODAY);
    assertThat(s.tries(OFFICER, "tablet", done("cover-a"))).isEmpty();
    assertThat(s.tags()).isEmpty();
  }

  @Test
  public void a_find_waits_for_the_commander_and_cannot_be_pressed_away() {
    Scene s = Scene.ready();
    UUID find = UUID.randomUUID();
    s.says(OFFICER, Scene.find(find, new StepId("count"), "torn streamer"));
    assertThat(s.tries(OFFICER, done("count"))).isEqualTo("undecided");
    assertThat(s.tries(OFFICER, new Event.StepUndone(new StepId("count")))).isEqualTo("find-stands");
    assertThat(s.tries(OFFICER, Scene.verdict(find, Verdict.FLY_WITH_ENTRY, "x"))).isEqualTo("commander-only");
    assertThat(s.tries(CAPTAIN, Scene.verdict(find, Verdict.FLY_WITH_ENTRY, " "))).isEqualTo("words-missing");
    s.says(CAPTAIN, Scene.verdict(find, Verdict.STOPS_THE_FLIGHT, "no"));
    assertThat(s.tags()).containsExactly("2 of 2 covers on", "Not fit to go");
    s.says(CAPTAIN, Scene.verdict(find, Verdict.NOTHING_TO_ENTER, ""));
    assertThat(s.tags()).containsExactly("2 of 2 covers on");
  }

  @Test
  public void a_checklist_goes_in_order_waits_for_both_and_resumes_one_back() {
    Scene s = Scene.ready();
    assertThat(s.tries(CAPTAIN, done("trim"))).isEqualTo("out-of-order");
    assertThat(s.tries(CAPTAIN, new Event.StepNotToday(new StepId("trim"), "no"))).isEqualTo("out-of-order");
    s.done(CAPTAIN, "flaps");
    assertThat(s.status("flaps")).isEqualTo(Status.PART);
    assertThat(s.tries(CAPTAIN, done("trim"))).isEqualTo("out-of-order");
    s.done(OFFICER, "flaps");
    s.done(CAPTAIN, "trim");
    s.says(OFFICER, new Event.ChecklistStopped(LIST));
    assertThat(s.tags()).containsExactly("Checklist stopped");
    assertThat(s.now.picture().tags().getFirst().detail()).isEqualTo("List, at radio");
    assertThat(s.tries(OFFICER, done("radio"))).isEqualTo("stopped");
    s.says(CAPTAIN, new Event.ChecklistResumed(LIST));
    assertThat(s.tags()).isEmpty();
    assertThat(s.status("trim")).isEqualTo(Status.OPEN);
    assertThat(s.tries(OFFICER, done("radio"))).isEqualTo("out-of-order");
    s.done(CAPTAIN, "trim");
    s.done(OFFICER, "radio");
    assertThat(s.tries(OFFICER, new Event.ChecklistStopped(LIST))).isEqualTo("nothing-to-stop");
  }

  @Test
  public void only_a_bare_cord_is_tied_off_unless_each_tag_has_its_reason() {
    Scene s = Scene.ready();
    s.done(OFFICER, "count", "cover-a", "cover-b", "pumps-off");
    s.done(CAPTAIN, "clear", "flaps");
    s.done(OFFICER, "flaps");
    s.done(CAPTAIN, "trim");
    s.done(OFFICER, "radio");
    s.done(CAPTAIN, "pumps-on");
    Event bare = new Event.TiedOff(List.of());
    assertThat(s.tries(CAPTAIN, bare)).as("no control check yet").isEqualTo("may-not-stay");
    s.says(OFFICER, controls(false));
    Event reasonForAll = new Event.TiedOff(s.now.picture().inTheWay().stream()
        .map(t -> new Event.Acceptance(t.key(), "", "because")).toList());
    assertThat(s.tries(CAPTAIN, reasonForAll)).as("a failed control check never stays").isEqualTo("may-not-stay");
    s.says(OFFICER, controls(true));
    s.says(CAPTAIN, new Event.Measured(new StepId("oxygen"), 1_500));
    s.says(CAPTAIN, new Event.Measured(new StepId("wicks"), 0));
    s.says(CAPTAIN, new Event.Measured(new StepId("pin"), 9));
    assertThat(s.now.picture().inTheWay()).extracting(Tag::key).containsExactly("pumps", "unfinished/flow");
    assertThat(s.tries(CAPTAIN, bare)).isEqualTo("not-bare");
    Event one = new Event.TiedOff(List.of(new Event.Acceptance("pumps", "", "ground test")));
    assertThat(s.tries(CAPTAIN, one)).isEqualTo("not-bare");
    s.done(OFFICER, "pumps-off");
    assertThat(s.now.picture().inTheWay()).isEmpty();
    s.says(CAPTAIN, bare);
    assertThat(s.tries(CAPTAIN, done("clear"))).isEqualTo("tied-off");
  }

  /**
   * Properties over random crews: the fold is deterministic, a state never changes once made, every hanging tag names
   * an opener in the log, and what is refused leaves no trace.
   */
  @Test
  public void random_crews() {
    for (int seed = 0; seed < 120; seed++) {
      Random random = new Random(seed);
      Scene s = Scene.ready(List.of(Scene.PACK, Scene.POWER, Scene.TODAY).get(seed % 3));
      for (int i = 0; i < 120; i++) {
        Departure before = s.now;
        List<Tag> tagsBefore = before.picture().tags();
        boolean captain = random.nextBoolean();
        s.at = s.at.plusSeconds(random.nextInt(60));
        String refused = s.tries(captain ? CAPTAIN : OFFICER, "d" + random.nextInt(2), anything(random, s));
        assertThat(before.picture().tags()).isEqualTo(tagsBefore);
        if (!refused.isEmpty()) {
          assertThat(s.now).isSameAs(before);
        }
        for (Tag tag : s.now.picture().tags()) {
          assertThat(tag.sinceNumber()).isBetween(2L, s.now.state().lastNumber());
          assertThat(s.log.get((int) tag.sinceNumber() - 1).by()).isEqualTo(tag.hungBy());
        }
      }
      Departure again = Departure.fold(s.now.state().pack(), s.log);
      assertThat(again.picture().tags()).isEqualTo(s.now.picture().tags());
      assertThat(again.picture().inTheWay()).isEqualTo(s.now.picture().inTheWay());
      assertThat(again.picture().standing().statuses()).isEqualTo(s.now.picture().standing().statuses());
    }
  }

  private static Event anything(Random random, Scene s) {
    List<StepId> steps = s.now.state().items().stream().map(i -> i.step().id()).toList();
    StepId step = steps.get(random.nextInt(steps.size()));
    List<Find> finds = List.copyOf(s.now.state().finds());
    List<UUID> hung = s.now.state().hung().stream().map(h -> h.event().tag()).toList();
    return switch (random.nextInt(19)) {
      case 0 -> new Event.StepUndone(step);
      case 1 -> new Event.StepNotToday(step, "because");
      case 2 -> Scene.find(UUID.randomUUID(), step, "something");
      case 3 -> finds.isEmpty()
          ? new Event.StepDone(step)
          : Scene.verdict(finds.get(random.nextInt(finds.size())).id(), Verdict.values()[random.nextInt(4)], "words");
      case 4 -> new Event.ChecklistStopped(LIST);
      case 5 -> new Event.ChecklistResumed(LIST);
      case 6 -> controls(random.nextBoolean());
      case 7 -> new Event.FoundSo(step);
      case 8 -> new Event.Overridden(step, "because");
      case 9 -> new Event.WaitSeen(step);
      case 10 -> new Event.TagHung(UUID.randomUUID(), "something", Stage.TAXI, Optional.empty());
      case 11 -> new Event.TagTaken(hung.isEmpty() ? UUID.randomUUID() : hung.get(random.nextInt(hung.size())));
      case 12 -> random.nextBoolean() ? new Event.Interrupted() : new Event.WentOn();
      case 13 -> new Event.PanelHandedOver(new PlaceId("overhead"), Seat.values()[random.nextInt(2)]);
      case 14 -> new Event.ValueSaid(step, List.of("170", "15", "0", "left", "1003").get(random.nextInt(5)));
      case 15 -> new Event.AircraftRead("data",
          List.of(new State(new PointId("flaps"), random.nextBoolean() ? "15" : "0")));
      default -> new Event.StepDone(step);
    };
  }

  @Test
  public void a_value_within_its_limits_does_the_step_and_one_outside_is_a_find() {
    Scene s = Scene.ready();
    StepId oxygen = new StepId("oxygen");
    assertThat(s.tries(CAPTAIN, new Event.StepDone(oxygen))).isEqualTo("value-wanted");
    s.says(CAPTAIN, new Event.Measured(oxygen, 900));
    assertThat(s.status("oxygen")).isEqualTo(Status.FIND);
    assertThat(s.now.state().finds()).extracting(Find::note)
        .containsExactly("Oxygen: 900 psi is under the least, 1 000 psi.");
    assertThat(s.tags()).contains("Find without a decision");
    assertThat(s.tries(CAPTAIN, new Event.Measured(oxygen, 1e9))).isEqualTo("not-a-value");
    assertThat(s.tries(CAPTAIN, new Event.Measured(oxygen, Double.NaN))).isEqualTo("not-a-value");
    assertThat(s.tries(CAPTAIN, new Event.Measured(new StepId("clear"), 1))).isEqualTo("no-value");
    s.says(CAPTAIN, new Event.Measured(oxygen, 1_850));
    assertThat(s.status("oxygen")).isEqualTo(Status.DONE);
    assertThat(s.now.state().marks(oxygen)).extracting(Mark::words).containsExactly("1 850 psi");
    assertThat(s.now.state().finds()).as("a second reading takes the first one's find with it").isEmpty();
  }

  @Test
  public void a_find_by_a_reading_stands_once_it_is_decided() {
    Scene s = Scene.ready();
    StepId oxygen = new StepId("oxygen");
    s.says(CAPTAIN, new Event.Measured(oxygen, 900));
    s.says(CAPTAIN, Scene.verdict(s.now.state().finds().iterator().next().id(), Verdict.MAINTENANCE_FIRST, "valve"));
    s.says(CAPTAIN, new Event.Measured(oxygen, 1_850));
    assertThat(s.now.state().finds()).hasSize(1);
    assertThat(s.now.picture().inTheWay()).extracting(t -> t.kind().mayStay()).contains(false);
  }

  @Test
  public void what_is_put_aside_hangs_until_it_is_done_and_is_asked_last() {
    Scene s = Scene.ready();
    s.says(OFFICER, new Event.StepLater(new StepId("count"), "loaders in the way"));
    assertThat(s.status("count")).isEqualTo(Status.LATER);
    assertThat(s.now.picture().tags()).extracting(t -> t.detail()).containsExactly("count, loaders in the way");
    Part walk = s.now.state().card().orElseThrow().parts().getFirst();
    assertThat(s.now.picture().next(walk)).get().extracting(i -> i.step().id().value())
        .isEqualTo("cover-a");
    assertThat(s.tries(OFFICER, new Event.StepLater(new StepId("radio"), "x"))).as("the last of a checklist")
        .isEqualTo("no-later");
    s.done(OFFICER, "count", "cover-a", "cover-b");
    assertThat(s.tags()).isEmpty();
  }

  @Test
  public void the_log_of_another_tail_may_not_stay() {
    Scene s = Scene.ready();
    s.says(CAPTAIN, new Event.LogTailRead(new TailId("TL-XXY")));
    assertThat(s.now.picture().tags()).extracting(t -> t.words())
        .containsExactly("Technical log of another aircraft (TL-XXY, this is TL-XXX)");
    assertThat(s.now.picture().tags()).extracting(t -> t.kind().mayStay()).containsExactly(false);
    s.says(CAPTAIN, new Event.LogTailRead(new TailId("TL-XXX")));
    assertThat(s.tags()).isEmpty();
  }

  /** A deferral adds its steps, bars the flight when it must, and maintenance's word takes a standing verdict off. */
  @Test
  public void the_technical_log_reaches_into_the_card_and_the_cord() {
    Scene s = Scene.ready();
    DispatchList.Extra extra = new DispatchList.Extra(
        new StepId("dx-light"), new ProcedureId("walk"), new PlaceId("place"), "Other bulb", "lit");
    Deferral deferral = new Deferral(
        UUID.randomUUID(), new EntryId("33-1"), "Bulb", "one out", Optional.empty(), 1, LocalDate.of(2027, 1, 4),
        ZoneOffset.UTC, "", "",
        OptionalInt.empty(), List.of(extra), "");
    s.server(new Event.TechStatus(new TechState(List.of(deferral), List.of(), List.of())));
    assertThat(s.now.state().card().orElseThrow().item(new StepId("dx-light"))).get().extracting(i -> i.added())
        .isEqualTo("deferred: 33-1 Bulb, until the end of 2027-01-04");
    assertThat(s.tags()).isEmpty();
    s.server(new Event.TechStatus(new TechState(List.of(deferral.barred("day only; dark")), List.of(), List.of())));
    assertThat(s.tags()).containsExactly("Deferred, but not for this flight");
    s.server(new Event.TechStatus(TechState.NONE));
    UUID find = UUID.randomUUID();
    s.says(OFFICER, Scene.find(find, new StepId("count"), "torn"));
    s.says(CAPTAIN, Scene.verdict(find, Verdict.MAINTENANCE_FIRST, "mend"));
    assertThat(s.tags()).contains("Not fit to go");
    s.server(new Event.TechStatus(
        new TechState(List.of(), List.of(new TechState.Settled(find, true, "mended")), List.of())));
    assertThat(s.tags()).doesNotContain("Not fit to go");
    assertThat(s.tries(CAPTAIN, new Event.TechStatus(TechState.NONE))).as("no person writes it")
        .isEqualTo("server-only");
  }

  @Test
  public void the_commander_takes_the_case_or_a_stricter_verdict() {
    Scene s = Scene.ready();
    UUID find = UUID.randomUUID();
    s.says(OFFICER, Scene.find(find, new StepId("count"), "torn"));
    DispatchCase proposed = new DispatchCase(Verdict.MAINTENANCE_FIRST, Optional.empty(), List.of("Not in the list."),
        Optional.empty(), List.of(), "list");
    assertThat(s.tries(CAPTAIN, new Event.VerdictTaken(find, Verdict.FLY_WITH_ENTRY, "x", Optional.of(proposed))))
        .isEqualTo("milder");
    s.says(CAPTAIN, new Event.VerdictTaken(find, Verdict.STOPS_THE_FLIGHT, "x", Optional.of(proposed)));
  }

  /** The device's time counts where it can be right: a walk without a network keeps its own times. */
  @Test
  public void an_entry_happened_when_the_device_says_unless_that_cannot_be() {
    Instant at = Instant.parse("2027-01-14T08:00:00Z");
    Function<Instant, Instant> happened = device -> new Entry(
        1, UUID.randomUUID(), at, device, CAPTAIN, Optional.empty(), "d", new Event.StepDone(new StepId("count")))
        .happened();
    assertThat(happened.apply(at.minusSeconds(1_200))).isEqualTo(at.minusSeconds(1_200));
    assertThat(happened.apply(at.plusSeconds(1))).isEqualTo(at);
    assertThat(happened.apply(at.minusSeconds(86_400))).isEqualTo(at);
  }

  @Test
  public void a_condition_over_a_value_cuts_the_card_again_and_back() {
    Scene s = Scene.ready();
    StepId low = new StepId("oxygen-low");
    assertThat(s.now.state().card().orElseThrow().whyLeftOut(low)).isEqualTo("oxygen not measured yet");
    s.says(CAPTAIN, new Event.Measured(new StepId("oxygen"), 1_200));
    assertThat(s.now.state().card().orElseThrow().item(low)).get().extracting(i -> i.added())
        .isEqualTo("oxygen 1 200 psi, below 1 300 psi");
    s.says(CAPTAIN, new Event.StepUndone(new StepId("oxygen")));
    assertThat(s.now.state().card().orElseThrow().item(low)).isEmpty();
  }

  @Test
  public void a_choice_stands_in_the_log_before_what_it_is_made_of() {
    Scene s = Scene.ready();
    Event.PlanChosen said = new Event.PlanChosen("Leaves two tests that alerting covers", 180);
    assertThat(s.tries(STRANGER, said)).isEqualTo("no-seat");
    assertThat(s.tries(OFFICER, new Event.PlanChosen(" ", 180))).isEqualTo("words-missing");
    assertThat(s.tries(OFFICER, new Event.PlanChosen("x".repeat(5_000), 180))).isEqualTo("too-long");
    assertThat(s.tries(OFFICER, new Event.PlanChosen("x", -1))).isEqualTo("no-such-gain");
    assertThat(s.tries(OFFICER, new Event.PlanChosen("x", Integer.MAX_VALUE))).isEqualTo("no-such-gain");
    s.says(OFFICER, said);
    assertThat(s.log.getLast().event()).isEqualTo(said);
  }

  @Test
  public void what_does_not_fit_is_in_the_log_and_changes_nothing_else() {
    Scene s = Scene.ready();
    Event.DoesNotFit said = new Event.DoesNotFit(new StepId("oxygen-low"), "The table is not aboard");
    assertThat(s.tries(STRANGER, said)).isEqualTo("no-seat");
    assertThat(s.tries(OFFICER, new Event.DoesNotFit(new StepId("nix"), "x"))).isEqualTo("no-such-step");
    assertThat(s.tries(OFFICER, new Event.DoesNotFit(new StepId("flaps"), " "))).isEqualTo("words-missing");
    s.says(OFFICER, said);
    assertThat(s.log.getLast().event()).isEqualTo(said);
    assertThat(s.status("flaps")).isEqualTo(Status.OPEN);
  }

  private static Optional<Reading> reading(Scene s, StepId step) {
    return Reading.of(s.now.state(), s.now.state().step(step).orElseThrow());
  }

  /** What was read before and the day's temperature decide what a reading means, whenever they become known. */
  @Test
  public void a_reading_is_judged_by_what_the_departure_knows() {
    Scene s = Scene.ready();
    StepId pin = new StepId("pin");
    List<Readings.EarlierReading> past = IntStream.range(0, 8)
        .mapToObj(n -> new Readings.EarlierReading(100 + 10 * n, 70 + 7 * n, 8 - n * 0.5 + n % 2 * 0.05)).toList();
    s.says(CAPTAIN, new Event.Measured(pin, 3.9));
    assertThat(reading(s, pin)).get().extracting(r -> r.judged().level())
        .isEqualTo(Judged.Level.AS_IT_SHOULD_BE);
    s.server(new Event.ReadBefore(new EarlierReadings(
        List.of(new EarlierReadings.Row(new QuantityId("pin"), past)), Optional.of(new Usage(180, 126)),
        new Schedule(LocalDate.of(2027, 1, 14), List.of(), 5))));
    assertThat(reading(s, pin)).get().extracting(r -> r.judged().level()).isEqualTo(Judged.Level.SOON);
    assertThat(reading(s, pin)).get().extracting(r -> r.judged().words()).asString().contains("landings left")
        .contains("2027-01-");
    assertThat(s.status("pin")).as("soon is done, with a word").isEqualTo(Status.DONE);
    assertThat(reading(s, new StepId("flaps"))).isEmpty();
  }

  @Test
  public void the_walk_has_taken_from_its_first_to_its_last_step_once_it_is_whole() {
    Scene s = Scene.ready();
    s.done(OFFICER, "count", "cover-a");
    assertThat(Account.walked(s.now.state(), s.now.picture().standing())).isEmpty();
    s.done(OFFICER, "cover-b");
    assertThat(Account.walked(s.now.state(), s.now.picture().standing())).get()
        .satisfies(d -> assertThat(d).isBetween(Duration.ZERO, Duration.ofSeconds(10)));
  }

  @Test
  public void a_find_says_how_many_where_and_with_what_photos_within_reason() {
    Scene s = Scene.ready();
    StepId count = new StepId("count");
    List<UUID> many = IntStream.range(0, 13).mapToObj(n -> new UUID(1, n)).toList();
    FindDetail what = FindDetail.DEFECT;
    assertThat(s.tries(OFFICER, new Event.FindRaised(new UUID(2, 1), count, "x",
        new FindDetail(Severity.MARK, 0, what.entry(), what.spot(), List.of()))))
        .isEqualTo("not-a-count");
    assertThat(s.tries(OFFICER, new Event.FindRaised(new UUID(2, 1), count, "x",
        new FindDetail(Severity.MARK, 1, what.entry(), what.spot(), many))))
        .isEqualTo("too-many-photos");
    assertThat(s.tries(OFFICER, new Event.FindRaised(
        new UUID(2, 1), count, "x", new FindDetail(Severity.MARK, 1, what.entry(),
        Optional.of(new FindDetail.Spot(Double.NaN, 2)), List.of()))))
        .isEqualTo("off-the-drawing");
    s.says(OFFICER, new Event.FindRaised(new UUID(2, 1), count, "x", new FindDetail(
        Severity.MARK, 2, Optional.of(new EntryId("33-1")), Optional.of(new FindDetail.Spot(-2, 3)),
        many.subList(0, 12))));
    assertThat(s.now.state().find(new UUID(2, 1))).get().extracting(f -> f.what().photos().size()).isEqualTo(12);
  }

  /** A count of things missing takes the one entry of its step; a reading of another kind takes none. */
  @Test
  public void the_case_for_a_reading_depends_on_what_was_counted() {
    Scene s = Scene.ready();
    DispatchList list = new DispatchList(
        Scene.PACK.type(), "List", "1",
        List.of(entry("23-1", "wicks"), entry("35-1", "oxygen")), List.of());
    s.says(CAPTAIN, new Event.Measured(new StepId("wicks"), 1));
    s.says(CAPTAIN, new Event.Measured(new StepId("oxygen"), 700));
    Map<String, Verdict> verdicts = s.now.state().finds().stream().collect(Collectors.toMap(
        f -> f.step().value(),
        f -> FindCases.of(s.now.state(), f, list, Instant.EPOCH, ZoneOffset.UTC).orElseThrow().verdict()));
    assertThat(verdicts).containsEntry("wicks", Verdict.FLY_WITH_ENTRY)
        .containsEntry("oxygen", Verdict.MAINTENANCE_FIRST);
  }

  private static DispatchList.Entry entry(String id, String step) {
    return new DispatchList.Entry(
        new EntryId(id), id, Category.C, 0, 6, 5, "", "", new Condition.Always(), OptionalInt.empty(), "",
        List.of(new StepId(step)), List.of());
  }
}
