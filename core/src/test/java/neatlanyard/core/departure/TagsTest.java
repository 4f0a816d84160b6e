package neatlanyard.core.departure;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import neatlanyard.core.lanyard.Cord;
import neatlanyard.core.lanyard.Deed;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import org.testng.annotations.Test;

/** What hangs, held against a plain reading of its rule: one thing at a time, by the numbers of the log. */
public class TagsTest {
  private static final Card CARD = Scene.ready().now.state().card().orElseThrow();

  private static List<Step> hooked() {
    return CARD.parts().stream().flatMap(p -> p.items().stream()).map(Item::step)
        .filter(s -> !s.opens().isEmpty() || !s.closes().isEmpty()).toList();
  }

  /** The single things that hang of each tag: opened, and not closed later by a step that stands. */
  private static Map<String, Set<String>> open(List<Deed> deeds) {
    Map<String, Long> opened = new HashMap<>();
    Map<String, Long> closed = new HashMap<>();
    for (Deed d : deeds) {
      Step step = CARD.item(d.step()).orElseThrow().step();
      step.opens().forEach(h -> h.items().forEach(i -> opened.merge(h.tag() + "/" + i, d.number(), Math::max)));
      if (d.stands()) {
        step.closes().forEach(h -> h.items().forEach(i -> closed.merge(h.tag() + "/" + i, d.number(), Math::max)));
      }
    }
    Map<String, Set<String>> open = new HashMap<>();
    opened.forEach((thing, number) -> {
      if (closed.getOrDefault(thing, -1L) < number) {
        String[] parts = thing.split("/");
        open.computeIfAbsent(parts[0], t -> new TreeSet<>()).add(parts[1]);
      }
    });
    return open;
  }

  @Test
  public void whatever_is_done_in_whatever_order_what_is_open_hangs() {
    List<Step> steps = hooked();
    assertThat(steps).extracting(s -> s.id().value())
        .containsExactly("count", "cover-a", "cover-b", "pumps-on", "pumps-off");
    Set<Integer> seen = new HashSet<>();
    for (int seed = 0; seed < 400; seed++) {
      Random random = new Random(seed);
      List<Deed> deeds = new ArrayList<>();
      for (Step step : steps) {
        if (random.nextInt(3) > 0) {
          deeds.add(new Deed(step.id(), Scene.OFFICER, Instant.EPOCH, 1 + random.nextInt(9) * 10L + deeds.size(),
              random.nextInt(4) > 0));
        }
      }
      Map<String, Set<String>> open = open(deeds);
      List<Tag> tags = Cord.ofSteps(CARD, deeds);
      assertThat(tags).as("seed %d", seed).extracting(Tag::key).containsExactlyInAnyOrderElementsOf(open.keySet());
      for (Tag tag : tags) {
        assertThat(tag.open()).containsExactlyInAnyOrderElementsOf(open.get(tag.key()));
        assertThat(tag.all()).isGreaterThanOrEqualTo(tag.open().size());
        assertThat(tag.closedBy()).isNotEmpty().allMatch(c -> closes(c, tag.open()));
        Optional<Deed> by = deeds.stream().filter(d -> d.number() == tag.sinceNumber()).findFirst();
        assertThat(by).get().satisfies(d -> assertThat(CARD.item(d.step()).orElseThrow().step().opens()).isNotEmpty());
      }
      seen.add(tags.size());
      tags.stream().filter(t -> t.key().equals("covers"))
          .forEach(t -> assertThat(t.title()).isEqualTo("%d of 2 covers on".formatted(t.open().size())));
    }
    assertThat(seen).as("none, one and both hung at times").containsExactlyInAnyOrder(0, 1, 2);
  }

  private static boolean closes(StepId step, List<String> things) {
    return CARD.item(step).orElseThrow().step().closes().stream().flatMap(h -> h.items().stream())
        .anyMatch(things::contains);
  }
}
