package neatlanyard.core.sop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import neatlanyard.core.fleet.Seat;
import org.testng.annotations.Test;

public class ChangesTest {
  private static Step step(String id, String response, Owner owner, Condition when) {
    return Step.of(id, "overhead", id, response, owner).when(when).build();
  }

  private static final Condition ALWAYS = new Condition.Always();
  private static final Condition APU = new Condition.Fitted(Packs.APU);

  private static List<Change> between(List<Step> before, List<Step> after) {
    return Changes.between(Packs.of(Packs.flow(before.toArray(Step[]::new))),
        Packs.of(Packs.flow(after.toArray(Step[]::new))));
  }

  @Test
  public void each_difference_is_said_in_words() {
    List<Change> changes = between(
        List.of(step("pump", "off", Owner.RIGHT, ALWAYS), step("light", "lit", Owner.LEFT, ALWAYS),
        step("horn", "heard", Owner.LEFT, APU)),
        List.of(step("pump", "on", Owner.MONITORING, APU), step("light", "lit", Owner.LEFT, ALWAYS),
        step("bell", "heard", Owner.LEFT, ALWAYS)));
    assertThat(changes).extracting(Change::kind)
        .containsExactly(Change.Kind.CHANGED, Change.Kind.ADDED, Change.Kind.REMOVED);
    assertThat(changes.getFirst().words()).containsExactly(
        "Response: was \"off\", now \"on\".", "Owner: was \"right seat\", now \"pilot monitoring\".",
        "Applies: was \"always\", now \"APU fitted\".");
    assertThat(changes.get(1).words()).containsExactly("New: heard. It applies always.");
  }

  @Test
  public void filters_keep_what_concerns_a_tail_and_a_seat() {
    List<Change> changes = between(List.of(),
        List.of(step("bell", "heard", Owner.LEFT, APU), step("horn", "heard", Owner.RIGHT, new Condition.Not(APU))));
    Pack pack = Packs.of();
    assertThat(changes).filteredOn(c -> c.concerns(pack.tail(Packs.ONE).orElseThrow(), pack.policy())).hasSize(1);
    assertThat(changes).filteredOn(c -> c.concerns(pack.tail(Packs.TWO).orElseThrow(), pack.policy())).hasSize(1)
        .first().extracting(Change::where).isEqualTo("flow, horn");
    assertThat(changes).filteredOn(c -> c.concerns(Set.of(Seat.LEFT))).extracting(Change::where)
        .containsExactly("flow, bell");
  }

  @Test
  public void a_school_that_changed_concerns_everybody() {
    Pack before = Packs.of(Packs.flow(step("x", "y", Owner.LEFT, ALWAYS)));
    Pack after = Packs.of(Policy.of(Map.of(Matter.HYDRAULICS, School.HYDRAULICS_ON)), List.of(),
        Packs.flow(step("x", "y", Owner.LEFT, ALWAYS)));
    assertThat(Changes.between(before, after)).singleElement().satisfies(c -> {
      assertThat(c.where()).isEqualTo("Hydraulics during the walkaround");
      assertThat(c.concerns(Set.of(Seat.RIGHT))).isTrue();
    });
  }

  /** Property: nothing changed says nothing; one step moved is one change, wherever it goes. */
  @Test
  public void moving_one_step_is_one_change() {
    Random random = new Random(3);
    List<Step> before = IntStream.range(0, 30).mapToObj(i -> step("step-" + i, "seen", Owner.LEFT, ALWAYS)).toList();
    assertThat(between(before, before)).isEmpty();
    for (int round = 0; round < 200; round++) {
      List<Step> after = new ArrayList<>(before);
      int from = random.nextInt(30);
      int to = random.nextInt(30);
      after.add(to, after.remove(from));
      assertThat(between(before, after)).hasSize(from == to ? 0 : 1)
          .allMatch(c -> c.words().getFirst().startsWith("Now comes"));
    }
    List<Step> reversed = new ArrayList<>(before);
    Collections.reverse(reversed);
    assertThat(between(before, reversed)).hasSize(29);
  }

}
