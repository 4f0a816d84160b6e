package neatlanyard.solver;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Apart;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Length;
import neatlanyard.core.timeline.Person;
import neatlanyard.core.timeline.PersonId;
import neatlanyard.core.timeline.Wait;
import neatlanyard.core.timeline.Walk;

/** Demands made up at random. */
final class Instances {
  private static final List<String> PLACES = List.of("cockpit", "outside", "gate");

  private Instances() {}

  static ActivityId id(int n) {
    return new ActivityId("a" + n);
  }

  /**
   * Of all kinds of demand.
   *
   * @param unit seconds in which lengths, waits, walks and windows are counted
   * @param windows whether there are ends of windows and longest waits, which may clash
   */
  static Demands random(Random random, int activities, int people, int unit, boolean windows) {
    List<Person> who = new ArrayList<>();
    for (int p = 0; p < people; p++) {
      who.add(new Person(new PersonId("p" + p), "Person " + p));
    }
    // Where everything is in one of two places, and what is outside has one owner, ways out are planned as trips.
    boolean trips = random.nextInt(3) == 0;
    List<Activity> all = new ArrayList<>();
    for (int i = 0; i < activities; i++) {
      PersonId one = who.get(random.nextInt(people)).id();
      PersonId other = who.get(random.nextInt(people)).id();
      List<Set<PersonId>> ways = switch (random.nextInt(6)) {
        case 0 -> one.equals(other) ? List.of(Set.of(one)) : List.of(Set.of(one), Set.of(other));
        case 1 -> one.equals(other) ? List.of(Set.of(one)) : List.of(Set.of(one, other));
        case 2 -> List.of(Set.of());
        default -> List.of(Set.of(one));
      };
      int length = unit * random.nextInt(4);
      int from = random.nextInt(4) == 0 ? unit * random.nextInt(4) : 0;
      Optional<Duration> until = windows && random.nextInt(4) == 0
          ? Optional.of(Duration.ofSeconds(from + (long) unit * random.nextInt(8))) : Optional.empty();
      boolean anywhere = random.nextInt(3) == 0;
      String place = PLACES.get(random.nextInt(trips ? 2 : PLACES.size()));
      all.add(new Activity(id(i), "Activity " + i, trips && place.equals("outside") ? List.of(Set.of(one)) : ways,
          new Length(Duration.ofSeconds(length), 0.2), anywhere && !trips ? Optional.empty() : Optional.of(place),
          Duration.ofSeconds(from), until));
    }
    List<Wait> waits = new ArrayList<>();
    if (trips) {
      List<ActivityId> outside = all.stream().filter(a -> a.place().equals(Optional.of("outside")))
          .map(Activity::id).toList();
      for (int i = 1; i < outside.size(); i++) {
        waits.add(new Wait(outside.get(i - 1), outside.get(i), Duration.ZERO, Optional.empty(), ""));
      }
    }
    for (int i = 0; i < activities; i++) {
      int after = random.nextInt(activities);
      int before = random.nextInt(activities);
      if (after < before && random.nextInt(2) == 0) {
        Duration least = Duration.ofSeconds((long) unit * random.nextInt(3));
        waits.add(new Wait(id(after), id(before), least, windows && random.nextInt(3) == 0
            ? Optional.of(least.plusSeconds((long) unit * random.nextInt(2))) : Optional.empty(), ""));
      }
    }
    List<Apart> apart = random.nextBoolean() || activities < 3 ? List.of()
        : List.of(new Apart(Set.of(id(0), id(activities - 1)), "they are"));
    List<Walk> walks = List.of(new Walk("cockpit", "outside", Duration.ofSeconds(unit)),
        new Walk("cockpit", "gate", Duration.ofSeconds(2L * unit)));
    return new Demands(who, all, waits, apart, walks, List.of(), Duration.ofSeconds((long) unit * random.nextInt(6)),
        random.nextInt(3) == 0 ? Optional.of(id(random.nextInt(activities))) : Optional.empty());
  }
}
