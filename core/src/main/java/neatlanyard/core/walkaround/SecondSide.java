package neatlanyard.core.walkaround;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.StepId;

/**
 * What differs on the side that is walked second: the first one mirrored, but for colours, panels and single items.
 */
public final class SecondSide {
  private static final double CLOSE_M = 1.5;

  private SecondSide() {}

  /**
   * For steps of the second side, in words, what is not as it was on the first; steps that are alike are not in it.
   *
   * @param items of one walkaround in the order they are walked
   * @param places the pack's stations by their names
   */
  public static Map<StepId, String> differences(List<Item> items, Map<PlaceId, Place> places) {
    Map<PlaceId, List<Item>> stations = new LinkedHashMap<>();
    items.forEach(i -> stations.computeIfAbsent(i.step().place(), p -> new ArrayList<>()).add(i));
    Map<StepId, String> words = new HashMap<>();
    List<Place> walked = new ArrayList<>();
    stations.forEach((id, here) -> {
      Place place = places.get(id);
      if (place == null) {
        return;
      }
      walked.stream().filter(w -> mirrored(w, place)).findFirst()
          .ifPresent(first -> compare(stations.getOrDefault(first.id(), List.of()), here, first, words));
      walked.add(place);
    });
    return words;
  }

  private static boolean mirrored(Place first, Place second) {
    return Math.abs(second.x()) > 0.5 && Math.hypot(first.x() + second.x(), first.y() - second.y()) < CLOSE_M;
  }

  private static void compare(List<Item> first, List<Item> here, Place firstPlace, Map<StepId, String> words) {
    String side = firstPlace.x() < 0 ? "left" : "right";
    List<String> onlyThere = new ArrayList<>();
    for (Item f : first) {
      if (here.stream().noneMatch(h -> alike(h).equals(alike(f)))) {
        onlyThere.add(f.step().challenge());
      }
    }
    for (Item h : here) {
      Optional<Item> twin = first.stream().filter(f -> alike(f).equals(alike(h))).findFirst();
      if (twin.isEmpty()) {
        words.put(h.step().id(), "Not on the %s side.".formatted(side));
      } else if (!sideless(twin.get().step().response()).equals(sideless(h.step().response()))) {
        words.put(h.step().id(), "Differs: on the %s it was %s.".formatted(side, twin.get().step().response()));
      }
    }
    if (!onlyThere.isEmpty() && !here.isEmpty()) {
      words.merge(here.getFirst().step().id(),
          "Only on the %s side: %s.".formatted(side, String.join("; ", onlyThere)), "%s %s"::formatted);
    }
  }

  private static String alike(Item item) {
    return sideless(item.step().challenge());
  }

  private static String sideless(String words) {
    return words.toLowerCase(Locale.ROOT).replaceAll("\\b(left|right)\\b", "side");
  }
}
