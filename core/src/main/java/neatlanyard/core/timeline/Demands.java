package neatlanyard.core.timeline;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * All that a timeline must keep to.
 *
 * @param apart what may not be done at once
 * @param walks between places; where none is given nobody needs time
 * @param inOneGo activities of which each is rather begun right after the one before, such as the pieces of a flow:
 *     what is broken off is where things are missed. Wanted, not demanded
 * @param due when the departure is wanted, since the plan begins
 * @param runs what goes on from its beginning until the departure and should be short, such as the auxiliary power
 *     unit; empty where there is nothing of the kind
 */
public record Demands(
    List<Person> people, List<Activity> activities, List<Wait> waits, List<Apart> apart, List<Walk> walks,
    List<List<ActivityId>> inOneGo, Duration due, Optional<ActivityId> runs) {
  private static final Duration DAY = Duration.ofHours(24);

  public Demands {
    people = List.copyOf(people);
    activities = List.copyOf(activities);
    waits = List.copyOf(waits);
    apart = List.copyOf(apart);
    walks = List.copyOf(walks);
    inOneGo = inOneGo.stream().map(List::copyOf).toList();
  }

  /** @param where such as "activities[2]" @param what one sentence */
  public record Fault(String where, String what) {}

  public Activity activity(ActivityId id) {
    return activities.stream().filter(a -> a.id().equals(id)).findFirst().orElseThrow();
  }

  /** The same, but one of its activities begins at a time and at no other. @param at since the plan begins */
  public Demands beginning(ActivityId id, Duration at) {
    return with(a -> !a.id().equals(id) ? a
        : a.within(at, Optional.of(at.plusSeconds(a.length().plannedSeconds()))));
  }

  /** The same, but some begin no earlier than given, since the plan begins. */
  public Demands from(Map<ActivityId, Duration> least) {
    return with(a -> a.within(Optional.ofNullable(least.get(a.id())).filter(f -> f.compareTo(a.from()) > 0)
        .orElse(a.from()), a.until()));
  }

  /** The same, but some are over by then, since the plan begins. */
  public Demands until(Map<ActivityId, Duration> most) {
    return with(a -> a.within(a.from(), Stream.concat(a.until().stream(),
        Optional.ofNullable(most.get(a.id())).stream()).min(Comparator.naturalOrder())));
  }

  /** The same, but nothing says by when these are over: what is asked is how much later they may be. */
  public Demands endless(Set<ActivityId> some) {
    return with(a -> some.contains(a.id()) ? a.within(a.from(), Optional.empty()) : a);
  }

  private Demands with(UnaryOperator<Activity> other) {
    return new Demands(people, activities.stream().map(other).toList(), waits, apart, walks, inOneGo, due, runs);
  }

  public String name(PersonId id) {
    return people.stream().filter(p -> p.id().equals(id)).findFirst().orElseThrow().name();
  }

  /** How long one walks from where one activity is done to where another is. */
  public Duration walk(Activity one, Activity other) {
    if (one.place().isEmpty() || other.place().isEmpty() || one.place().equals(other.place())) {
      return Duration.ZERO;
    }
    String a = one.place().get();
    String b = other.place().get();
    return walks.stream().filter(w -> w.one().equals(a) && w.other().equals(b)
        || w.one().equals(b) && w.other().equals(a)).map(Walk::takes).findFirst().orElse(Duration.ZERO);
  }

  /** What can only begin once an activity is over, through any number of waits, and the activity itself. */
  public Set<ActivityId> waitingFor(ActivityId id) {
    Set<ActivityId> all = new HashSet<>(Set.of(id));
    boolean more = true;
    while (more) {
      more = false;
      for (Wait w : waits) {
        more |= all.contains(w.after()) && all.add(w.before());
      }
    }
    return all;
  }

  /** Every fault with its place; none where a timeline can be asked for. */
  public List<Fault> faults() {
    List<Fault> all = new ArrayList<>();
    Set<PersonId> known = new HashSet<>();
    for (int i = 0; i < people.size(); i++) {
      if (!known.add(people.get(i).id())) {
        all.add(new Fault("people[%d]".formatted(i), "%s stands twice.".formatted(people.get(i).id())));
      }
    }
    Set<ActivityId> ids = new HashSet<>();
    for (int i = 0; i < activities.size(); i++) {
      Activity a = activities.get(i);
      String where = "activities[%d]".formatted(i);
      if (!ids.add(a.id()) || a.id().equals(ActivityId.DEPARTURE)) {
        all.add(new Fault(where, "%s stands twice, or is the departure's own name.".formatted(a.id())));
      }
      a.ways().stream().flatMap(Set::stream).distinct().filter(p -> !known.contains(p)).forEach(p ->
          all.add(new Fault(where, "There is nobody called %s.".formatted(p))));
      if (a.ways().isEmpty()) {
        all.add(new Fault(where, "Nobody may do %s.".formatted(a.id())));
      }
      a.until().filter(u -> u.compareTo(a.from()) < 0).ifPresent(u ->
          all.add(new Fault(where, "Its window ends before it begins.")));
    }
    waits(ids, all);
    for (int i = 0; i < apart.size(); i++) {
      unknown("apart[%d]".formatted(i), apart.get(i).activities(), ids, all);
    }
    Set<ActivityId> pieces = new HashSet<>();
    for (int i = 0; i < inOneGo.size(); i++) {
      String where = "in-one-go[%d]".formatted(i);
      unknown(where, new HashSet<>(inOneGo.get(i)), ids, all);
      inOneGo.get(i).stream().filter(piece -> !pieces.add(piece)).forEach(piece ->
          all.add(new Fault(where, "%s is a piece of something else, or stands there twice.".formatted(piece))));
    }
    runs.ifPresent(r -> unknown("runs", Set.of(r), ids, all));
    return all;
  }

  private void waits(Set<ActivityId> ids, List<Fault> all) {
    for (int i = 0; i < waits.size(); i++) {
      Wait w = waits.get(i);
      String where = "waits[%d]".formatted(i);
      unknown(where, w.after().equals(w.before()) ? Set.of(w.after()) : Set.of(w.after(), w.before()), ids, all);
      if (w.least().isNegative() || w.least().compareTo(DAY) > 0) {
        all.add(new Fault(where, "A wait of %d min is none of a day.".formatted(w.least().toMinutes())));
      }
      w.most().filter(m -> m.compareTo(w.least()) < 0).ifPresent(m ->
          all.add(new Fault(where, "Its most is less than its least.")));
    }
    circle().ifPresent(c -> all.add(new Fault("waits", "These wait for each other: %s.".formatted(c))));
  }

  private static void unknown(String where, Set<ActivityId> named, Set<ActivityId> ids, List<Fault> all) {
    named.stream().filter(n -> !ids.contains(n)).sorted(Comparator.comparing(ActivityId::value)).forEach(n ->
        all.add(new Fault(where, "There is no activity %s.".formatted(n))));
  }

  /** What is left once everything is taken away that waits for nothing that is left. */
  private Optional<String> circle() {
    Map<ActivityId, Set<ActivityId>> after = new LinkedHashMap<>();
    waits.forEach(w -> {
      after.computeIfAbsent(w.after(), k -> new HashSet<>());
      after.computeIfAbsent(w.before(), k -> new HashSet<>()).add(w.after());
    });
    boolean taken = true;
    while (taken) {
      Set<ActivityId> free = new HashSet<>();
      after.forEach((id, waitsFor) -> {
        if (waitsFor.stream().noneMatch(after::containsKey)) {
          free.add(id);
        }
      });
      after.keySet().removeAll(free);
      taken = !free.isEmpty();
    }
    return after.isEmpty() ? Optional.empty()
        : Optional.of(String.join(", ", after.keySet().stream().map(ActivityId::value).toList()));
  }

  /** What a timeline does not keep to, a sentence each; none where it keeps to all. */
  public List<String> broken(Timeline t) {
    List<String> all = new ArrayList<>();
    Map<ActivityId, Timeline.Slot> slots = new HashMap<>(t.slots());
    for (Activity a : activities) {
      Timeline.Slot s = slots.get(a.id());
      if (s == null) {
        all.add("%s is not in it.".formatted(a.id()));
        continue;
      }
      if (!s.ends().equals(s.begins().plusSeconds(a.length().plannedSeconds()))) {
        all.add("%s does not take its time.".formatted(a.id()));
      }
      if (s.begins().compareTo(a.from()) < 0 || a.until().filter(u -> s.ends().compareTo(u) > 0).isPresent()) {
        all.add("%s is outside its window.".formatted(a.id()));
      }
      if (!a.ways().contains(s.who())) {
        all.add("%s is done by others than may do it.".formatted(a.id()));
      }
    }
    if (all.isEmpty()) {
      brokenWaits(t, all);
      brokenPairs(t, all);
    }
    return all;
  }

  private void brokenWaits(Timeline t, List<String> all) {
    for (Wait w : waits) {
      Duration waited = t.of(w.before()).begins().minus(t.of(w.after()).ends());
      if (waited.compareTo(w.least()) < 0 || w.most().filter(m -> waited.compareTo(m) > 0).isPresent()) {
        all.add("%s waits %d s after %s.".formatted(w.before(), waited.toSeconds(), w.after()));
      }
    }
    apart.forEach(a -> a.activities().forEach(x -> a.activities().forEach(y -> {
      if (x.value().compareTo(y.value()) < 0 && t.of(x).meets(t.of(y))) {
        all.add("%s and %s are done at once.".formatted(x, y));
      }
    })));
  }

  /** Nobody does two things at once, or is in two places. */
  private void brokenPairs(Timeline t, List<String> all) {
    for (int i = 0; i < activities.size(); i++) {
      for (int j = i + 1; j < activities.size(); j++) {
        Activity a = activities.get(i);
        Activity b = activities.get(j);
        Timeline.Slot one = t.of(a.id());
        Timeline.Slot other = t.of(b.id());
        boolean shares = one.who().stream().anyMatch(other.who()::contains);
        Duration walk = walk(a, b);
        if (shares && one.begins().compareTo(other.ends().plus(walk)) < 0
            && other.begins().compareTo(one.ends().plus(walk)) < 0) {
          all.add("Somebody does %s and %s at once, or has no time to walk.".formatted(a.id(), b.id()));
        }
      }
    }
  }
}
