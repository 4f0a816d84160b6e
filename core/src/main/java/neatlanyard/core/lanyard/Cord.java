package neatlanyard.core.lanyard;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagId;
import neatlanyard.core.sop.TagKind;

/** Works out what hangs: from the steps that stand as done and what the pack says they open and close. */
public final class Cord {
  private record Opening(Deed deed, String item) {}

  private static final String WHAT = "{what}";

  private Cord() {}

  /**
   * The tags that hang, by the stage they are due and then by age.
   *
   * <p>An item hangs from the last step that opened it until a step that closes it is done later than that. A step
   * that closed it before it was opened again does not count: what it made sure of is no longer so. In doubt it hangs:
   * a step with a find or with two answers opens what it opens, and closes nothing.
   */
  public static List<Tag> tags(Card card, Collection<Deed> done, Collection<LooseEnd> looseEnds) {
    List<TagKind> kinds = card.pack().tagKinds();
    List<Tag> tags = new ArrayList<>();
    Map<TagId, Map<String, Opening>> opened = new LinkedHashMap<>();
    Map<TagId, Map<String, Long>> closed = new HashMap<>();
    Map<TagId, Map<String, List<StepId>>> closers = closers(card);
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
        tags.add(stepTag(kind, open, items.size(), closers.getOrDefault(kind.id(), Map.of())));
      }
    }
    for (LooseEnd end : looseEnds) {
      kinds.stream().filter(k -> k.hangsOn() == end.trigger()).forEach(k -> tags.add(looseTag(k, end)));
    }
    tags.sort(java.util.Comparator.comparing(Tag::due).thenComparing(Tag::sinceNumber));
    return List.copyOf(tags);
  }

  private static Map<TagId, Map<String, List<StepId>>> closers(Card card) {
    Map<TagId, Map<String, List<StepId>>> closers = new HashMap<>();
    for (Card.Part part : card.parts()) {
      for (Card.Item item : part.items()) {
        for (Step.Hook hook : item.step().closes()) {
          for (String what : hook.items()) {
            closers.computeIfAbsent(hook.tag(), t -> new HashMap<>())
                .computeIfAbsent(what, w -> new ArrayList<>())
                .add(item.step().id());
          }
        }
      }
    }
    return closers;
  }

  private static Tag stepTag(TagKind kind, List<Opening> open, int all, Map<String, List<StepId>> closers) {
    Deed first = open.getFirst().deed;
    List<String> names = open.stream().map(Opening::item).filter(i -> !i.equals(kind.id().value())).toList();
    List<StepId> closedBy =
        open.stream().flatMap(o -> closers.getOrDefault(o.item, List.of()).stream()).distinct().toList();
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
