package neatlanyard.core.proof;

import static neatlanyard.core.sop.Packs.flow;
import static neatlanyard.core.sop.Packs.hook;
import static neatlanyard.core.sop.Packs.list;
import static neatlanyard.core.sop.Packs.procedure;
import static neatlanyard.core.sop.Packs.scanned;
import static neatlanyard.core.sop.Packs.state;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import neatlanyard.core.sop.Alternation;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Packs;
import neatlanyard.core.sop.Policy;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.Procedure.Kind;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.School;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.Wait;
import neatlanyard.core.sop.Waiver;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** For each rule a small pack that breaks it, with where it is found, and the same pack mended. */
public class PackCheckTest {
  private static final Condition DARK = new Condition.Dark();
  private static final Condition COLD = new Condition.ColderThan(3);
  private static final Condition COLDER = new Condition.ColderThan(-10);
  private static final Condition FIRST = new Condition.Is(Circumstance.FIRST_FLIGHT);

  private static Step.Builder step(String id) {
    return Step.of(id, "overhead", id, "seen so", Owner.OVERHEAD);
  }

  private static Step.Builder item(String id) {
    return Step.of(id, "own-left", id, "seen so", Owner.LEFT);
  }

  private static Step end() {
    return Step.of("end", "own-left", "The list", "complete", Owner.LEFT).build();
  }

  private static Pack with(Procedure... more) {
    return Packs.of(Stream.concat(Stream.of(scanned()), Arrays.stream(more)).toArray(Procedure[]::new));
  }

  private static Procedure leaving(String value, Step... steps) {
    return new Procedure(new ProcedureId("flow"), "flow", Stage.FLOWS, Kind.FLOW, List.of(state("pump", value)),
        List.of(steps));
  }

  private static Step[] many(int n) {
    List<Step> steps = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      steps.add(item("item-" + i).build());
    }
    steps.add(end());
    return steps.toArray(Step[]::new);
  }

  @DataProvider
  Object[][] rules() {
    Step on = step("on").sets(state("pump", "on")).build();
    Step off = step("off").sets(state("pump", "off")).build();
    Step opens = step("opens").opens(hook("pump-on")).build();
    Step walkNose = Step.of("n1", "nose", "Nose", "whole", Owner.RIGHT).build();
    return new Object[][] {
      {Rule.PANEL_UNOWNED, "overhead", Packs.of(procedure("scanned", Stage.FLOWS, Kind.FLOW,
          Step.of("l", "own-left", "l", "seen", Owner.LEFT).build(),
          Step.of("r", "own-right", "r", "seen", Owner.RIGHT).build(),
          step("o").when(DARK).build())), with()},
      {Rule.PANEL_OF_TWO, "overhead",
      with(flow(step("pm").build(), Step.of("l", "overhead", "l", "seen", Owner.LEFT).build())),
          with(flow(step("pm").build()))},
      {Rule.SEAT_WITHOUT_WORK, "left", Packs.of(procedure("scanned", Stage.FLOWS, Kind.FLOW,
          Step.of("r", "own-right", "r", "seen", Owner.RIGHT).build())), with()},
      {Rule.NEVER, "x",
      with(flow(step("x").when(new Condition.All(List.of(COLDER, new Condition.Not(COLD)))).build())),
          with(flow(step("x").when(new Condition.All(List.of(COLD, new Condition.Not(COLDER)))).build()))},
      {Rule.SHADOWED, "twice", with(flow(
          step("once").when(COLD).sets(state("pump", "on")).build(),
          Step.of("twice", "overhead", "once", "on", Owner.OVERHEAD).when(COLDER).sets(state("pump", "on")).build())),
          with(flow(
              step("once").when(COLDER).sets(state("pump", "on")).build(),
              Step.of("twice", "overhead", "once", "on", Owner.OVERHEAD).when(COLD).sets(state("pump", "on"))
              .build()))},
      {Rule.OPPOSITE, "off", with(flow(on, off)),
      with(flow(on, step("off").sets(state("pump", "off")).needs(on.id()).build()))},
      {Rule.OPPOSITE, "off",
      with(flow(step("on").when(COLD).sets(state("pump", "on")).build(), step("off").when(COLDER)
      .sets(state("pump", "off")).build())),
          with(flow(step("on").when(COLD).sets(state("pump", "on")).build(),
              step("off").when(new Condition.Not(COLD)).sets(state("pump", "off")).build()))},
      {Rule.LEFT_OUT_OF_POSITION, "flow",
      with(leaving("off", off, step("on").when(FIRST).sets(state("pump", "on")).needs(off.id()).build())),
          with(leaving("off", off, step("on").when(FIRST).sets(state("pump", "on")).needs(off.id()).build(),
              step("back").when(FIRST).sets(state("pump", "off")).needs(new StepId("on")).build()))},
      {Rule.OPENED_NEVER_CLOSED, "opens", with(flow(opens, step("closes").when(DARK).closes(hook("pump-on")).build())),
          with(flow(opens, step("closes").closes(hook("pump-on")).build()))},
      {Rule.OPENED_NEVER_CLOSED, "opens", with(flow(step("closes").closes(hook("pump-on")).build(), opens)),
          with(flow(opens, step("closes").closes(hook("pump-on")).build()))},
      {Rule.NEED_UNPROVIDED, "b", with(flow(step("a").when(DARK).build(), step("b").needs(new StepId("a")).build())),
          with(flow(step("a").build(), step("b").needs(new StepId("a")).build()))},
      {Rule.NEED_UNPROVIDED, "b", with(flow(step("b").needs(new StepId("a")).build(), step("a").build())),
          with(flow(step("a").build(), step("b").needs(new StepId("a")).build()))},
      {Rule.WAIT_UNHONOURED, "a",
      with(flow(step("a").waits(new Wait(Duration.ofMinutes(2), "before air")).build(), step("b").build())),
          with(flow(step("a").waits(new Wait(Duration.ofMinutes(2), "before air")).build(), step("b")
          .afterWait(new StepId("a")).build()))},
      {Rule.ALTERNATION_WITHOUT_MEMORY, "a",
      with(flow(step("a").alternates(new Alternation(List.of("l", "r"), "")).build())),
          with(flow(step("a").alternates(new Alternation(List.of("l", "r"), "igniter")).build()))},
      {Rule.CRITICAL_UNVERIFIED, "on", with(flow(step("on").critical().sets(state("pump", "on")).build()),
          list(item("v").verifies(state("pump", "on")).when(DARK).build(), end())),
          with(flow(step("on").critical().sets(state("pump", "on")).build()),
          list(item("v").verifies(state("pump", "on")).build(), end()))},
      {Rule.NOTHING_TO_VERIFY, "v",
      with(flow(step("on").when(COLD).sets(state("pump", "on")).build()),
      list(item("v").verifies(state("pump", "on")).build(), end())),
          with(flow(on), list(item("v").verifies(state("pump", "on")).build(), end()))},
      {Rule.VERIFIES_OTHERWISE, "v", with(flow(on, step("off").sets(state("pump", "off")).needs(on.id()).build()),
          list(item("v").verifies(state("pump", "on")).build(), end())),
          with(flow(on, step("off").sets(state("pump", "off")).needs(on.id()).build()),
          list(item("v").verifies(state("pump", "off")).build(), end()))},
      {Rule.BACK_AND_FORTH, "n2", with(procedure("walk", Stage.WALKAROUND, Kind.WALKAROUND,
          walkNose, Step.of("r", "right", "Right", "whole", Owner.RIGHT).build(),
          Step.of("n2", "nose", "Nose again", "whole", Owner.RIGHT).build())),
          with(procedure("walk", Stage.WALKAROUND, Kind.WALKAROUND,
              walkNose, Step.of("n2", "nose", "Nose again", "whole", Owner.RIGHT).build(),
              Step.of("r", "right", "Right", "whole", Owner.RIGHT).build()))},
      {Rule.LONG_WAY, "walk", with(procedure("walk", Stage.WALKAROUND, Kind.WALKAROUND,
          walkNose, Step.of("t", "tail", "Tail", "whole", Owner.RIGHT).build(),
          Step.of("r", "right", "Right", "whole", Owner.RIGHT).build())),
          with(procedure("walk", Stage.WALKAROUND, Kind.WALKAROUND,
              walkNose, Step.of("r", "right", "Right", "whole", Owner.RIGHT).build(),
              Step.of("t", "tail", "Tail", "whole", Owner.RIGHT).build()))},
      {Rule.RESPONSE_NOT_A_VALUE, "v", with(list(Step.of("v", "own-left", "Flaps", "Set", Owner.LEFT).build(), end())),
          with(list(Step.of("v", "own-left", "Flaps", "15, lever and gauge", Owner.LEFT).build(), end()))},
      {Rule.LIST_TOO_LONG, "list", with(list(many(Plan.LONGEST_SECTION))), with(list(many(Plan.LONGEST_SECTION - 1)))},
      {Rule.CRITICAL_LATE, "c", with(list(item("a").build(), item("b").build(), item("c").critical().build(), end())),
      with(list(item("c").critical().build(), item("a").build(), end()))},
      {Rule.RESET_NOT_REPEATED, "v",
      with(flow(on), procedure("first", Stage.START, Kind.CHECKLIST, item("v").verifies(state("pump", "on")).build(),
      end()),
          procedure("later", Stage.TAXI, Kind.TEST, step("later-off").sets(state("pump", "off")).build())),
          with(flow(on), procedure("later", Stage.START, Kind.TEST, step("later-off").sets(state("pump", "off"))
          .build()),
              procedure("first", Stage.TAXI, Kind.CHECKLIST, item("v").verifies(state("pump", "off")).build(),
              end()))},
      {Rule.NO_COMPLETION_CALL, "list", with(list(item("a").build())), with(list(item("a").build(), end()))},
      {Rule.ALERTING_CATCHES_IT, "a", with(list(item("a").alerted().build(), end())),
      with(list(item("a").alerted().critical().build(), end()))},
      {Rule.CAPITALS, "a", with(flow(Step.of("a", "overhead", "FUEL PUMPS LEFT", "on", Owner.OVERHEAD).build())),
          with(flow(Step.of("a", "overhead", "Fuel pumps left", "on, APU bus", Owner.OVERHEAD).build()))},
    };
  }

  private static List<String> found(Pack pack, Rule rule) {
    return PackCheck.of(pack).stream().filter(f -> f.rule() == rule).map(Finding::at).distinct().toList();
  }

  @Test(dataProvider = "rules")
  public void a_broken_rule_is_found_where_it_is_and_not_once_it_is_mended(Rule rule, String at, Pack broken,
      Pack mended) {
    assertThat(found(broken, rule)).containsExactly(at);
    assertThat(found(mended, rule)).isEmpty();
    assertThat(PackCheck.of(broken)).allMatch(f -> !f.what().isBlank() && !f.mend().isBlank() && !f.where().isBlank());
  }

  @Test
  public void every_rule_has_its_broken_pack_here() {
    Set<Rule> tried = EnumSet.of(Rule.WAIVER_IDLE, Rule.UNDECIDED);
    Stream.of(rules()).forEach(r -> tried.add((Rule) r[0]));
    assertThat(tried).containsExactlyInAnyOrder(Rule.values());
    assertThat(Rule.values()).allMatch(r -> !r.why().isBlank() && !r.source().isBlank());
  }

  @Test
  public void a_finding_names_a_day_on_which_it_is_so() {
    Step opens = step("opens").opens(hook("pump-on")).build();
    Pack pack = with(flow(opens, step("closes").when(DARK).closes(hook("pump-on")).build()));
    assertThat(PackCheck.of(pack)).filteredOn(f -> f.rule() == Rule.OPENED_NEVER_CLOSED).singleElement()
        .extracting(Finding::what).isEqualTo("It opens 'pump-on', and no later step closes that: light.");
  }

  @Test
  public void a_waiver_shows_its_reason_and_one_without_a_finding_is_found_itself() {
    Procedure list = list(item("a").alerted().build(), end());
    List<Waiver> waivers = List.of(
        new Waiver("alerting-catches-it", "a", "The alert is held back on the ground."),
        new Waiver("never", "a", "Old."));
    List<Finding> findings = PackCheck.of(Packs.of(Policy.DEFAULT, waivers, scanned(), list));
    assertThat(findings).extracting(Finding::rule).containsExactly(Rule.WAIVER_IDLE, Rule.ALERTING_CATCHES_IT);
    assertThat(findings.getLast().waived()).contains("The alert is held back on the ground.");
    assertThat(findings).noneMatch(Finding::stops);
  }

  @Test
  public void steps_for_another_school_are_meant_and_not_found() {
    Step forOthers = step("on").when(new Condition.Follows(School.HYDRAULICS_ON)).sets(state("pump", "on")).build();
    assertThat(PackCheck.of(with(flow(forOthers)))).isEmpty();
    Policy on = Policy.of(Map.of(Matter.HYDRAULICS, School.HYDRAULICS_ON));
    assertThat(found(Packs.of(on, List.of(), scanned(), leaving("off", forOthers)), Rule.LEFT_OUT_OF_POSITION))
        .containsExactly("flow");
  }

  @Test
  public void where_lists_are_read_and_done_an_item_needs_no_flow_before_it() {
    Procedure list = list(item("v").verifies(state("pump", "on")).build(), end());
    assertThat(found(with(list), Rule.NOTHING_TO_VERIFY)).containsExactly("v");
    Policy readAndDo = Policy.of(Map.of(Matter.CHECKLIST_METHOD, School.READ_AND_DO));
    assertThat(found(Packs.of(readAndDo, List.of(), scanned(), list), Rule.NOTHING_TO_VERIFY)).isEmpty();
  }
}
