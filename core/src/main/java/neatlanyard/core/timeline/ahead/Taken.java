package neatlanyard.core.timeline.ahead;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Mark;
import neatlanyard.core.timeline.learned.Took;
import neatlanyard.core.walkaround.WalkTime;

/**
 * What a crew took for each procedure of a departure: from one word of somebody to their next in it, where no more
 * than two minutes lie between, beside what was estimated for the steps those words were of. Steps said at once count
 * together. The briefing is said in one and is not in it.
 */
public final class Taken {
  private static final Duration BROKEN_OFF = Duration.ofMinutes(2);
  private static final int ENOUGH = 3;

  private Taken() {}

  /** One of a procedure at most; none of what was said in too few words to tell. */
  public static List<Took> of(Departure departure) {
    DepartureState d = departure.state();
    List<Took> all = new ArrayList<>();
    d.card().ifPresent(card -> card.parts().stream()
        .filter(p -> p.procedure().kind() != Procedure.Kind.BRIEFING)
        .forEach(p -> of(d, card, p).ifPresent(all::add)));
    return all;
  }

  private static Optional<Took> of(DepartureState d, Card card, Card.Part part) {
    Map<CrewId, TreeMap<Instant, List<Item>>> said = new HashMap<>();
    for (Item item : part.items()) {
      d.marks(item.step().id()).stream().filter(m -> m.outcome() == Mark.Outcome.DONE).forEach(m -> said
          .computeIfAbsent(m.by(), w -> new TreeMap<>()).computeIfAbsent(m.at(), a -> new ArrayList<>()).add(item));
    }
    int words = 0;
    Duration took = Duration.ZERO;
    double seconds = 0;
    for (TreeMap<Instant, List<Item>> theirs : said.values()) {
      Map.Entry<Instant, List<Item>> before = theirs.firstEntry();
      for (Map.Entry<Instant, List<Item>> now : theirs.tailMap(before.getKey(), false).entrySet()) {
        Duration between = Duration.between(before.getKey(), now.getKey());
        if (between.compareTo(BROKEN_OFF) <= 0) {
          took = took.plus(between);
          seconds += now.getValue().stream().mapToDouble(Takes::seconds).sum()
              + way(card, before.getValue().getLast(), now.getValue().getLast());
          words++;
        }
        before = now;
      }
    }
    Duration estimated = Duration.ofMillis(Math.round(seconds * 1_000));
    return words < ENOUGH ? Optional.empty() : Optional.of(new Took(d.opened().tail().type(), part.procedure().id(),
        d.opened().flight().departs(), card.day().dark(), Takes.cold(card.day()), estimated, took));
  }

  /** Between two stations, at a slow walk. */
  private static double way(Card card, Item one, Item next) {
    Optional<Place> from = card.pack().place(one.step().place()).filter(Place::station);
    Optional<Place> to = card.pack().place(next.step().place()).filter(Place::station);
    return from.isEmpty() || to.isEmpty() ? 0 : from.get().distance(to.get()) / WalkTime.METRES_A_SECOND;
  }
}
