package neatlanyard.core.timeline.ahead;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import neatlanyard.core.departure.Departure;
import neatlanyard.core.figures.WorkedOut;
import neatlanyard.core.fleet.Code;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.flow.Waits;
import neatlanyard.core.lanyard.ControlsAgain;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.Place;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.sop.School;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Mark;
import neatlanyard.core.timeline.Activity;
import neatlanyard.core.timeline.ActivityId;
import neatlanyard.core.timeline.Apart;
import neatlanyard.core.timeline.Demands;
import neatlanyard.core.timeline.Length;
import neatlanyard.core.timeline.Load;
import neatlanyard.core.timeline.Person;
import neatlanyard.core.timeline.PersonId;
import neatlanyard.core.timeline.Walk;
import neatlanyard.core.timeline.learned.Learned;

/** Puts together what a departure has ahead of it. */
final class Work {
  private static final ActivityId END = new ActivityId("end");
  private static final ActivityId CONTROLS = new ActivityId("control-check");
  private static final String OUTSIDE = "outside";
  private static final String FLIGHT_DECK = "flight-deck";
  /** Somebody called away is counted with so much more. */
  private static final Duration AWAY = Duration.ofMinutes(3);
  /** What others say of their times is right within about a fifth: an estimate of ours. */
  private static final double OUTSIDE_SPREAD = 0.2;
  /** Of when something comes, less: the same. */
  private static final double MOMENT_SPREAD = 0.1;
  /** As near as this one is in reach of what moves: an estimate of ours. */
  private static final double NEAR_M = 1;
  /** Outside of these a cabin is warmed or cooled in good time: an estimate of ours. */
  private static final int COLD_C = 5;
  private static final int HOT_C = 25;
  private static final Duration MOMENT_OFF = Duration.ofMinutes(2);

  private final Departure departure;
  private final DepartureState d;
  private final Card card;
  private final List<GroundEvent> ground;
  private final Learned learned;
  private final Instant now;
  private final Stage last;
  private final List<Task> tasks;
  private final Map<StepId, Task> taskOf = new HashMap<>();
  private final List<Activity> activities = new ArrayList<>();
  private final Map<ActivityId, GroundEvent> expected = new HashMap<>();
  private final Net net = new Net();

  Work(Departure departure, Card card, List<GroundEvent> ground, Learned learned, Instant now) {
    this.learned = learned;
    this.ground = List.copyOf(ground);
    this.departure = departure;
    this.d = departure.state();
    this.card = card;
    this.now = now;
    this.last = Ahead.last(d);
    this.tasks = Tasks.of(card, departure.picture().standing(), last);
    tasks.forEach(t -> t.items().forEach(i -> taskOf.put(i.step().id(), t)));
  }

  Ahead ahead() {
    tasks.stream().filter(t -> !t.over()).forEach(this::activity);
    boolean check = !controlsOver();
    if (check) {
      activities.add(new Activity(CONTROLS, "Flight control check", List.of(people(Seat.pilots())),
          Takes.controlCheck(card.day(), learned), Optional.of(FLIGHT_DECK), Duration.ZERO, Optional.empty()));
    }
    presence();
    tasks.forEach(this::needs);
    Sequence sequence = new Sequence(card, tasks, net);
    List<List<ActivityId>> inOneGo = sequence.chains();
    sequence.stages(check ? Optional.of(CONTROLS) : Optional.empty());
    ground();
    end();
    activities.stream().filter(a -> !a.id().equals(END)).forEach(a -> net.wait(a.id(), END, Duration.ZERO, ""));
    Duration due = d.pack().due().getOrDefault(last, Duration.ZERO);
    Instant wanted = d.opened().flight().departs().minus(due);
    Duration left = Duration.between(now, wanted);
    List<Walk> walks = List.of(new Walk(FLIGHT_DECK, OUTSIDE, Takes.wayOut(d.pack().planform())));
    Demands asked = new Demands(crew(), activities, net.waits(), apart(), walks, inOneGo,
        left.isNegative() ? Duration.ZERO : left, Optional.empty());
    List<Monitoring> monitoring = monitoring();
    List<Demands> wished = wished(asked, monitoring);
    boolean byClock = tasks.stream().filter(t -> !t.over())
        .noneMatch(t -> d.due(t.stage()).filter(now::isAfter).isPresent());
    return new Ahead(now, wanted, due, tasks, expected, learned.count(), byClock, wished.getFirst(),
        wished.subList(1, wished.size()), monitoring);
  }

  /** With everything that is wished for, then with one wish less each, and last what is demanded alone. */
  private List<Demands> wished(Demands asked, List<Monitoring> monitoring) {
    List<Demands> all = new ArrayList<>(List.of(asked));
    Map<ActivityId, Duration> held = held();
    Demands saving = asked.from(held);
    if (!held.isEmpty()) {
      all.addFirst(saving);
    }
    Map<ActivityId, Duration> early = new HashMap<>();
    monitoring.forEach(m -> m.tasks().forEach(id -> early.put(id, since(m.wanted()))));
    Demands monitored = saving.until(early);
    if (!early.isEmpty() && can(monitored)) {
      all.addFirst(monitored);
    }
    return all;
  }

  /** Whether it cannot be seen without search that somebody has no time for something. */
  private static boolean can(Demands demands) {
    Load load = new Load(demands);
    return demands.activities().stream().allMatch(a -> a.until().filter(u ->
        load.before(a) + a.length().plannedSeconds() > u.toSeconds()).isEmpty());
  }

  private List<Monitoring> monitoring() {
    Seat seat = d.opened().flight().flyingSeat().other();
    return card.parts().stream().map(Card.Part::procedure).flatMap(p -> p.monitoringDone().stream()
        .map(before -> new Monitoring(p.title(), tasks.stream().filter(t -> !t.over() && t.procedure().equals(p)
        && t.seats().equals(Set.of(seat))).map(Task::id).collect(Collectors.toSet()),
        d.opened().flight().departs().minus(before)))).filter(m -> !m.tasks().isEmpty()).toList();
  }

  /** What others do that is not over; what comes of it is waited for. */
  private void ground() {
    for (GroundEvent e : ground) {
      boolean came = e.kind() == GroundEvent.Kind.LOAD_SHEET && d.given().sheet().isPresent();
      if (e.kind() == GroundEvent.Kind.SLOT || came || !e.ends().isAfter(now)) {
        continue;
      }
      Duration from = since(e.begins());
      Duration takes = since(e.ends()).minus(from);
      ActivityId id = new ActivityId("ground.%s".formatted(Code.written(e.kind().name())));
      Length length = e.moment() ? coming(from) : new Length(takes, OUTSIDE_SPREAD);
      Duration begins = e.moment() ? Duration.ZERO : from;
      // What others do is not the crew's to move.
      activities.add(new Activity(id, e.kind().words(), List.of(Set.of()), length, Optional.empty(), begins,
          Optional.of(begins.plusSeconds(length.plannedSeconds() + 1L))));
      expected.put(id, e);
      tasks.stream().filter(t -> !t.over() && waits(t, e.kind())).forEach(t ->
          net.wait(id, t.id(), Duration.ZERO, ""));
    }
  }

  private static boolean waits(Task task, GroundEvent.Kind kind) {
    return switch (kind) {
      case CREW_BUS -> true;
      case LOAD_SHEET -> task.stage() == Stage.FIGURES;
      case FUELLING, LOADING, BOARDING, CLEARANCE, DE_ICING, SLOT -> task.stage() == Stage.START;
    };
  }

  /** What is far off is no more uncertain for that. */
  private static Length coming(Duration in) {
    return new Length(in, Math.min(MOMENT_SPREAD, (double) MOMENT_OFF.toMillis() / Math.max(1, in.toMillis())));
  }

  /** The departure: within its slot, where it has one, and so that the fluid on the wings holds until the take-off. */
  private void end() {
    Optional<GroundEvent> slot = ground.stream().filter(e -> e.kind() == GroundEvent.Kind.SLOT).findFirst();
    Duration due = d.pack().due().getOrDefault(last, Duration.ZERO);
    Duration out = due.minus(d.pack().due().getOrDefault(Stage.LINE_UP, due));
    Optional<Instant> slotEnds = slot.map(e -> e.ends().minus(due));
    Optional<Instant> fluid = d.entries().worked().protection().flatMap(WorkedOut.Protection::least)
        .filter(now::isBefore).map(l -> l.minus(out));
    boolean fluidFirst = fluid.filter(f -> slotEnds.filter(s -> s.isBefore(f)).isEmpty()).isPresent();
    String what = fluidFirst ? "Departure while the fluid holds" : slot.isPresent() ? "Departure within its slot"
        : "Departure";
    activities.add(new Activity(END, what, List.of(Set.of()), Length.always(Duration.ZERO), Optional.empty(),
        slot.map(e -> since(e.begins().minus(due))).orElse(Duration.ZERO),
        (fluidFirst ? fluid : slotEnds).map(this::since)));
  }

  /** From now on; nothing where it is past. */
  private Duration since(Instant at) {
    return at.isAfter(now) ? Duration.between(now, at) : Duration.ZERO;
  }

  private boolean controlsOver() {
    return last.compareTo(Stage.CONTROLS) < 0
        || d.controls().filter(c -> c.event().judgement().passed()).isPresent() && ControlsAgain.of(d).isEmpty();
  }

  private List<Person> crew() {
    return d.opened().flight().crew().stream().sorted(Comparator.comparing(Rostered::seat))
        .map(r -> new Person(Ahead.person(r.seat()), name(r.seat()))).toList();
  }

  private static String name(Seat seat) {
    return switch (seat) {
      case LEFT -> "Left seat";
      case RIGHT -> "Right seat";
      case ENGINEER -> "Engineer";
    };
  }

  /** Those of them who fly today. */
  private Set<PersonId> people(Set<Seat> seats) {
    Set<PersonId> all = new HashSet<>();
    d.opened().flight().crew().stream().map(Rostered::seat).filter(seats::contains).map(Ahead::person)
        .forEach(all::add);
    return all;
  }

  private void activity(Task task) {
    Set<PersonId> who = people(task.seats());
    List<Set<PersonId>> ways = task.any() && !who.isEmpty() ? who.stream().map(Set::of)
        .sorted(Comparator.comparing(Set::toString)).toList() : List.of(who);
    activities.add(new Activity(task.id(), task.what(), ways, Takes.of(task, card, departure.picture(), learned),
        Optional.of(task.outside() ? OUTSIDE : FLIGHT_DECK), from(task), Optional.empty()));
  }

  /**
   * What is begun no earlier than its pack wants, since now. In a cabin that is cold or hot nothing is held back: air
   * comes from what burns fuel; nor where the fleet starts it early for air.
   */
  private Map<ActivityId, Duration> held() {
    Map<ActivityId, Duration> all = new HashMap<>();
    if (d.pack().policy().of(Matter.APU) == School.APU_EARLY) {
      return all;
    }
    card.day().report().temperatureC().stream().filter(c -> c > COLD_C && c < HOT_C).forEach(c ->
        tasks.stream().filter(t -> !t.over()).forEach(t -> t.open().stream()
        .flatMap(i -> Tasks.most(card, i).stream()).min(Comparator.naturalOrder())
        .map(m -> since(d.opened().flight().departs().minus(m))).filter(Duration::isPositive)
        .ifPresent(from -> all.put(t.id(), from))));
    return all;
  }

  /** When the last of the times that run for its open steps is over. */
  private Duration from(Task task) {
    Duration from = Duration.ZERO;
    for (Item item : task.open()) {
      for (StepId n : item.step().afterWait()) {
        Duration left = d.item(n).flatMap(i -> Waits.of(d, i)).filter(w -> !w.seen())
            .map(w -> Duration.between(now, w.until())).orElse(Duration.ZERO);
        from = left.compareTo(from) > 0 ? left : from;
      }
    }
    return from;
  }

  /** What may not be done at once, though nothing waits for the other. */
  private List<Apart> apart() {
    List<Apart> all = new ArrayList<>(nearHazards());
    expected.forEach((id, e) -> {
      if (e.kind() == GroundEvent.Kind.FUELLING) {
        tasks.forEach(t -> t.open().stream().filter(i -> i.step().notWhileFuelling()).findFirst().ifPresent(i ->
            apart(all, id, t.id(), "%s: never while fuelling".formatted(i.step().challenge()))));
      }
    });
    List<Task> turning = tasks.stream().filter(t -> !t.over() && t.stage().compareTo(Stage.START) >= 0
        && t.procedure().kind().byPanel() && t.seats().size() == 1).toList();
    for (int i = 0; i < turning.size(); i++) {
      for (Task other : turning.subList(i + 1, turning.size())) {
        if (!turning.get(i).seats().equals(other.seats())) {
          apart(all, turning.get(i).id(), other.id(), "with engines running one of you looks out");
        }
      }
    }
    return all;
  }

  private void apart(List<Apart> all, ActivityId one, ActivityId other, String because) {
    if (net.free(one, other)) {
      all.add(new Apart(Set.of(one, other), because));
    }
  }

  /**
   * What hurts somebody who stands there is not begun while anybody is: a step that hangs a tag, such as that of
   * running pumps, and the pieces of the way round through what is dangerous while it hangs.
   */
  private List<Apart> nearHazards() {
    List<Apart> all = new ArrayList<>();
    for (Planform.Hazard h : d.pack().planform().hazards()) {
      List<Task> begins = h.during().map(tag -> tasks.stream().filter(t -> t.open().stream().anyMatch(i ->
          i.step().opens().stream().anyMatch(o -> o.tag().equals(tag)))).toList()).orElse(List.of());
      tasks.stream().filter(t -> t.outside() && t.open().stream().anyMatch(i -> within(h, i))).forEach(t ->
          begins.stream().filter(b -> !b.id().equals(t.id())).forEach(b -> apart(all, b.id(), t.id(),
          "%s: nobody near %s".formatted(b.what(), h.name().toLowerCase(Locale.ROOT)))));
    }
    return all;
  }

  private boolean within(Planform.Hazard h, Item item) {
    return d.pack().place(item.step().place()).filter(Place::station).filter(p ->
        Math.abs(p.x() - h.x()) <= h.widthM() / 2 + NEAR_M && Math.abs(p.y() - h.y()) <= h.lengthM() / 2 + NEAR_M)
        .isPresent();
  }

  /** Where everybody is now, and who was called away. */
  private void presence() {
    for (Rostered r : d.opened().flight().crew()) {
      PersonId who = Ahead.person(r.seat());
      d.interrupted(r.who()).ifPresent(i -> activities.add(new Activity(
          new ActivityId("away.%s".formatted(who)), "Called away", List.of(Set.of(who)),
          Length.always(AWAY), Optional.of(lastPlace(r)), Duration.ZERO, Optional.of(AWAY))));
      ActivityId here = new ActivityId("here.%s".formatted(who));
      activities.add(new Activity(here, "Is here", List.of(Set.of(who)),
          Length.always(Duration.ZERO), Optional.of(lastPlace(r)), Duration.ZERO, Optional.of(Duration.ZERO)));
      tasks.stream().filter(t -> !t.over() && !t.any() && t.seats().contains(r.seat())).forEach(t ->
          net.wait(here, t.id(), Duration.ZERO, ""));
    }
  }

  /** Where somebody did the last thing they said; before that, inside. */
  private String lastPlace(Rostered who) {
    Map<Long, Task> said = new HashMap<>();
    tasks.forEach(t -> t.items().forEach(i -> d.marks(i.step().id()).stream()
        .filter(m -> m.by().equals(who.who())).map(Mark::number).forEach(n -> said.put(n, t))));
    return said.keySet().stream().max(Comparator.naturalOrder())
        .map(n -> said.get(n)).filter(Task::outside).map(t -> OUTSIDE).orElse(FLIGHT_DECK);
  }

  /** What its open steps wait for, as the card has it. */
  private void needs(Task task) {
    for (Item item : task.items()) {
      boolean open = task.open().contains(item);
      item.step().needs().stream().filter(n -> open).forEach(n -> after(n, task.id(), Duration.ZERO, ""));
      item.step().afterWait().stream().filter(n -> open).forEach(n -> d.item(n).ifPresent(i -> i.step().waits()
          .ifPresent(w -> after(n, task.id(), w.time(), words(i)))));
    }
    later(task);
  }

  private static String words(Item item) {
    return "%s: %s".formatted(item.step().challenge(), item.step().waits().orElseThrow().words());
  }

  /** A wait for something that comes after the departure begins early enough to be over by then. */
  private void later(Task task) {
    for (Item item : task.open()) {
      item.step().waits().ifPresent(w -> card.waitingFor(item.step().id()).stream()
          .map(i -> i.procedure().stage()).filter(s -> s.compareTo(last) > 0).min(Comparator.naturalOrder())
          .ifPresent(s -> {
            Duration least = w.time().minus(until(s));
            net.wait(task.id(), END, least.isNegative() ? Duration.ZERO : least, words(item));
          }));
    }
  }

  /** From the end of the plan until a later stage begins, by the minutes of the pack. */
  private Duration until(Stage later) {
    Map<Stage, Duration> due = d.pack().due();
    Duration before = due.entrySet().stream().filter(e -> e.getKey().compareTo(later) < 0)
        .max(Map.Entry.comparingByKey()).map(Map.Entry::getValue).orElse(Duration.ZERO);
    Duration gap = due.getOrDefault(last, Duration.ZERO).minus(before);
    return gap.isNegative() ? Duration.ZERO : gap;
  }

  private void after(StepId earlier, ActivityId later, Duration least, String because) {
    Optional.ofNullable(taskOf.get(earlier))
        .filter(t -> !t.id().equals(later) && t.open().stream().anyMatch(i -> i.step().id().equals(earlier)))
        .ifPresent(t -> net.wait(t.id(), later, least, because));
  }
}
