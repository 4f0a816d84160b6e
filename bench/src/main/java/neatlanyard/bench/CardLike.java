package neatlanyard.bench;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Length;
import neatlanyard.core.timeline.Person;
import neatlanyard.core.timeline.PersonId;
import neatlanyard.core.timeline.Wait;
import neatlanyard.core.timeline.Walk;

/** Demands as a card makes them, of any size: flows in pieces, a walkaround, waits between them, lists at the end. */
final class CardLike {
  private static final int WAITS = 12;
  private static final int PIECES = 6;
  private static final int LISTS = 5;
  private static final List<PersonId> SEATS =
      List.of(new PersonId("left"), new PersonId("right"), new PersonId("engineer"));

  private final Random random;
  private final List<Activity> all = new ArrayList<>();
  private final List<Wait> waits = new ArrayList<>();
  private final List<List<ActivityId>> inOneGo = new ArrayList<>();

  private CardLike(Random random) {
    this.random = random;
  }

  /** @param count of activities */
  static Demands demands(int count, Random random) {
    return new CardLike(random).made(count);
  }

  private Demands made(int count) {
    int flows = count - LISTS;
    flow(SEATS.getFirst(), 1, "flight-deck");
    flow(SEATS.get(1), PIECES, "outside");
    while (all.size() < flows) {
      flow(SEATS.get(random.nextInt(SEATS.size())), Math.min(1 + random.nextInt(PIECES), flows - all.size()),
          "flight-deck");
    }
    for (int i = 0; i < WAITS; i++) {
      int before = random.nextInt(flows / 2);
      int after = before + 1 + random.nextInt(flows / 2);
      waits.add(wait(before, after, 60 * (1 + random.nextInt(5))));
    }
    for (int list = 0; list < LISTS; list++) {
      all.add(activity(Set.copyOf(SEATS), 40 + random.nextInt(60), "flight-deck"));
      int last = all.size() - 1;
      for (int i = list == 0 ? 0 : last - 1; i < last; i++) {
        waits.add(wait(i, last, 0));
      }
    }
    return new Demands(SEATS.stream().map(p -> new Person(p, p.value())).toList(), all, waits, List.of(),
        List.of(new Walk("flight-deck", "outside", Duration.ofSeconds(40))), inOneGo, Duration.ofSeconds(60),
        Optional.empty());
  }

  /** Pieces that follow each other. */
  private void flow(PersonId who, int pieces, String place) {
    List<ActivityId> ids = new ArrayList<>();
    for (int i = 0; i < pieces; i++) {
      all.add(activity(Set.of(who), 10 + random.nextInt(110), place));
      ids.add(all.getLast().id());
      if (i > 0) {
        waits.add(wait(all.size() - 2, all.size() - 1, 0));
      }
    }
    if (ids.size() > 1) {
      inOneGo.add(ids);
    }
  }

  private Activity activity(Set<PersonId> who, int seconds, String place) {
    return new Activity(new ActivityId("a" + all.size()), "Activity " + all.size(), List.of(who),
        new Length(Duration.ofSeconds(seconds), 0.25), Optional.of(place), Duration.ZERO, Optional.empty());
  }

  private static Wait wait(int after, int before, int seconds) {
    return new Wait(new ActivityId("a" + after), new ActivityId("a" + before), Duration.ofSeconds(seconds),
        Optional.empty(), seconds == 0 ? "" : "it takes that long");
  }
}
