package neatlanyard.core.lanyard;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import neatlanyard.core.flow.Waiting;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagId;
import neatlanyard.core.sop.TagKind;
import neatlanyard.core.state.DepartureState;

/** Works out what hangs: from the steps that stand as done and what the pack says they open and close. */
public final class Cord {
  private record Opening(Deed deed, String item) {}

  private static final String WHAT = "{what}";

  private Cord() {}

  /**
   * The tags that hang, by the stage they are due and then by age.
   *
   * @param running the waits that run
   * @param untrue lines of the briefing that were read and say something else now
   */
  public static List<Tag> tags(DepartureState d, List<Waiting> running, Set<StepId> untrue) {
    return d.card().map((Card c) -> sorted(Stream.concat(
        ofSteps(c, Deed.of(d)).stream(), loose(d, LooseEnds.of(d, running, untrue)).stream()))).orElse(List.of());
  }

  /** Tags as they hang: by the stage they are due and then by age. */
  public static List<Tag> sorted(Stream<Tag> tags) {
    return tags.sorted(Comparator.comparing(Tag::due).thenComparing(Tag::sinceNumber)).toList();
  }

  /** The tags of loose ends, in their order; none before the card is cut. */
  public static List<Tag> loose(DepartureState d, List<LooseEnd> ends) {
    if (d.card().isEmpty() || ends.isEmpty()) {
      return List.of();
    }
    List<TagKind> kinds = d.pack().tagKinds();
    return ends.stream().flatMap(end ->
        kinds.stream().filter(k -> k.hangsOn() == end.trigger()).map(k -> looseTag(k, end))).toList();
  }

  /**
   * What steps have hung. An item hangs from the last step that opened it until a step that closes it is done later
   * than that. A step that closed it before it was opened again does not count: what it made sure of is no longer so.
   * In doubt it hangs: a step with a find or with two answers opens what it opens, and closes nothing.
   */
  public static List<Tag> ofSteps(Card card, List<Deed> done) {
    List<TagKind> kinds = card.pack().tagKinds();
    List<Tag> tags = new ArrayList<>();
    Map<TagId, Map<String, Opening>> opened = new LinkedHashMap<>();
    Map<TagId, Map<String, Long>> closed = new HashMap<>();
    for (Deed deed : done) {
      Optional<Step> step = card.item(deed.step()).map(Card.Item::step);
      if (step.isEmpty()) {
        continue;
      }
      for (Step.Hook hook : step.get().opens()) {
        Map<String, Opening> items = opened.computeIfAbsent(hook.tag(), t -> new LinkedHashMap<>());
        hook.items().forEach(i -> items.merge(i, new Opening(deed, i), (a, b) -> a.deed.number() > b.deed.number() ? a
            : b));
      }
      for (Step.Hook hook : deed.stands() ? step.get().closes() : List.<Step.Hook>of()) {
        Map<String, Long> items = closed.computeIfAbsent(hook.tag(), t -> new HashMap<>());
        hook.items().forEach(i -> items.merge(i, deed.number(), Math::max));
      }
    }
    for (TagKind kind : kinds) {
      Map<String, Opening> items = opened.getOrDefault(kind.id(), Map.of());
      Map<String, Long> off = closed.getOrDefault(kind.id(), Map.of());
      List<Opening> open =
          items.values().stream().filter(o -> off.getOrDefault(o.item, -1L) < o.deed.number()).toList();
      if (!open.isEmpty()) {
        tags.add(stepTag(card, kind, open, items.size()));
      }
    }
    return tags;
  }

  private static Tag stepTag(Card card, TagKind kind, List<Opening> open, int all) {
    Deed first = open.getFirst().deed;
    List<String> names = open.stream().map(Opening::item).filter(i -> !i.equals(kind.id().value())).toList();
    List<StepId> closedBy =
        open.stream().flatMap(o -> card.closers(kind.id(), o.item).stream()).distinct().toList();
    return new Tag(
        kind.id().value(),
        kind,
        filled(kind.title(), open.size(), all),
        String.join(", ", names),
        first.by(),
        first.at(),
        first.number(),
        kind.due(),
        closedBy,
        open.stream().map(Opening::item).toList(),
        all);
  }

  private static Tag looseTag(TagKind kind, LooseEnd end) {
    return new Tag(
        kind.id().value() + "/" + end.subject(),
        kind,
        filled(kind.title(), end.open(), end.all()).replace(WHAT, end.detail()),
        kind.title().contains(WHAT) ? "" : end.detail(),
        end.by(),
        end.since(),
        end.sinceNumber(),
        end.due().orElse(kind.due()),
        end.closedBy(),
        List.of(),
        end.all());
  }

  private static String filled(String title, int open, int all) {
    return title.replace("{open}", Integer.toString(open)).replace("{all}", Integer.toString(all));
  }
}
