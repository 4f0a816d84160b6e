package neatlanyard.core.departure;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import neatlanyard.core.departure.Event.ControlsChecked;
import neatlanyard.core.departure.Event.Opened;
import neatlanyard.core.departure.Event.TiedOff;
import neatlanyard.core.dispatch.Severity;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.gauge.Judged;
import neatlanyard.core.gauge.Missing;
import neatlanyard.core.lanyard.Cord;
import neatlanyard.core.lanyard.Deed;
import neatlanyard.core.lanyard.Tag;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.Measure;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.Quantity;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.sop.Situation;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;

/**
 * A departure as it stands: the fold over its log so far. Never changes; {@link #apply} gives the next one.
 *
 * <p>The fold is deterministic: the same entries give the same state, whatever the clock says.
 */
public final class Departure {
  /** An entry kept with what it said. */
  public record Said<E extends Event>(E event, CrewId by, Instant at, long number) {}

  private final Pack pack;
  private final Opened opened;
  private long lastNumber;
  private Optional<Card> card = Optional.empty();
  private long cardNumber;
  private final Map<Seat, CrewId> seats;
  private final Map<StepId, List<Mark>> marks;
  private final Map<QuantityId, Double> measured;
  private TechState tech = TechState.NONE;
  private Past past = Past.NONE;
  private Facts facts = Facts.NONE;
  private Optional<Said<Event.LogTailRead>> log = Optional.empty();
  private final Map<UUID, Find> finds;
  private final Map<ProcedureId, Said<Event.ChecklistStopped>> stopped;
  private final Beside beside;
  private Optional<Said<ControlsChecked>> controls = Optional.empty();
  private Optional<Said<TiedOff>> tiedOff = Optional.empty();

  private Departure(Pack pack, Opened opened) {
    this.pack = pack;
    this.opened = opened;
    this.lastNumber = 1;
    this.seats = new EnumMap<>(Seat.class);
    this.marks = new HashMap<>();
    this.measured = new HashMap<>();
    this.finds = new LinkedHashMap<>();
    this.stopped = new LinkedHashMap<>();
    this.beside = new Beside();
  }

  private Departure(Departure before) {
    this.pack = before.pack;
    this.opened = before.opened;
    this.lastNumber = before.lastNumber;
    this.card = before.card;
    this.cardNumber = before.cardNumber;
    this.seats = new EnumMap<>(before.seats);
    this.marks = new HashMap<>(before.marks);
    this.measured = new HashMap<>(before.measured);
    this.finds = new LinkedHashMap<>(before.finds);
    this.stopped = new LinkedHashMap<>(before.stopped);
    this.beside = new Beside(before.beside);
    this.tech = before.tech;
    this.past = before.past;
    this.facts = before.facts;
    this.log = before.log;
    this.controls = before.controls;
    this.tiedOff = before.tiedOff;
  }

  /**
   * A departure of which only the first entry is known.
   *
   * @param pack the pack in the revision that {@code opened} names
   */
  public static Departure open(Pack pack, Opened opened) {
    return new Departure(pack, opened);
  }

  /** The whole fold. The first entry must be {@link Opened}. */
  public static Departure fold(Pack pack, List<Entry> log) {
    if (log.isEmpty() || !(log.getFirst().event() instanceof Opened opened)) {
      throw new IllegalArgumentException("A departure's log begins with its opening");
    }
    Departure state = open(pack, opened);
    for (Entry entry : log.subList(1, log.size())) {
      state = state.apply(entry);
    }
    return state;
  }

  /** The state after one more entry, which must carry the next number. */
  public Departure apply(Entry entry) {
    if (entry.number() != lastNumber + 1) {
      throw new IllegalArgumentException("Entry %d does not follow entry %d".formatted(entry.number(), lastNumber));
    }
    Departure next = new Departure(this);
    next.lastNumber = entry.number();
    next.take(entry);
    return next;
  }

  private void take(Entry entry) {
    switch (entry.event()) {
      case Opened again -> throw new IllegalArgumentException("Opened twice: " + again.flight().number());
      case Event.SeatTaken e -> seats.put(e.seat(), entry.by());
      case Event.DaySet e -> {
        cut(e.day(), entry.number());
      }
      case Event.Measured e -> measured(e, entry);
      case Event.DoesNotFit e -> { }
      case Event.StepDone e -> mark(e.step(), markOf(entry, Mark.Outcome.DONE, "", Optional.empty()));
      case Event.FoundSo e -> mark(e.step(), markOf(entry, Mark.Outcome.DONE, "found so", Optional.empty()));
      case Event.ValueSaid e -> {
        beside.valueSaid(e, entry);
        mark(e.step(), markOf(entry, Mark.Outcome.DONE, e.value(), Optional.empty()));
      }
      case Event.AircraftRead e -> beside.aircraftRead(e, entry);
      case Event.Overridden e -> beside.overridden(e, entry);
      case Event.WaitSeen e -> beside.waitSeen(e, entry);
      case Event.TagHung e -> beside.hung(e, entry);
      case Event.TagTaken e -> beside.taken(e);
      case Event.Interrupted e -> beside.calledAway(entry);
      case Event.WentOn e -> beside.wentOn(entry);
      case Event.PanelHandedOver e -> {
        beside.handedOver(e, entry);
        card.ifPresent(c -> cut(c.day(), entry.number()));
      }
      case Event.StepNotToday e -> mark(e.step(), markOf(entry, Mark.Outcome.NOT_TODAY, e.reason(), Optional.empty()));
      case Event.StepLater e -> mark(e.step(), markOf(entry, Mark.Outcome.LATER, e.reason(), Optional.empty()));
      case Event.LogTailRead e -> log = Optional.of(new Said<>(e, entry.by(), entry.happened(), entry.number()));
      case Event.TechStatus e -> {
        tech = e.state();
        card.ifPresent(c -> cut(c.day(), entry.number()));
      }
      case Event.ReadBefore e -> past = e.past();
      case Event.FlightFacts e -> facts = e.facts();
      case Event.StepUndone e -> {
        dropMeasured(e.step());
        beside.takenBack(e.step(), entry.number());
        unmark(e.step(), m -> m.by().equals(entry.by()));
        forget(e.step(), entry.number());
      }
      case Event.FindRaised e -> {
        finds.put(e.find(), new Find(
            e.find(), e.step(), e.note(), e.what(), false, entry.by(), entry.happened(), entry.number(),
            Optional.empty()));
        mark(e.step(), markOf(entry, Mark.Outcome.FIND, e.note(), Optional.of(e.find())));
      }
      case Event.VerdictTaken e ->
          finds.computeIfPresent(
              e.find(),
              (id, f) -> f.decided(
              new Find.Decision(e.verdict(), e.words(), e.proposed(), entry.by(), entry.happened(), entry.number())));
      case Event.ChecklistStopped e ->
          stopped.put(e.checklist(), new Said<>(e, entry.by(), entry.at(), entry.number()));
      case Event.ChecklistResumed e -> resume(e.checklist());
      case ControlsChecked e -> controls = Optional.of(new Said<>(e, entry.by(), entry.at(), entry.number()));
      case TiedOff e -> tiedOff = Optional.of(new Said<>(e, entry.by(), entry.at(), entry.number()));
    }
  }

  private void cut(Day day, long number) {
    Departure before = new Departure(this);
    List<Card.Extra> extras = tech.deferrals().stream().flatMap(d -> d.adds().stream().map(x -> new Card.Extra(
        x.id(), x.in(), x.at(), x.challenge(), x.response(),
        "deferred: %s, until the end of %s".formatted(d.words(), d.lastDay())))).toList();
    card = Optional.of(Card.cut(pack, crewing(), situation(day), extras));
    cardNumber = number;
    beside.changed(Again.changes(before, this), number);
  }

  private Card.Crewing crewing() {
    Set<Seat> manned = opened.flight().crew().stream().map(Rostered::seat).collect(Collectors.toSet());
    return new Card.Crewing(opened.flight().flyingSeat(), manned, beside.handovers());
  }

  private Situation situation(Day day) {
    return new Situation(opened.tail(), opened.flight().from(), opened.flight().to(), day, measured);
  }

  /** What rules may ask of this departure now; empty before the day is set. */
  public Optional<Situation> situation() {
    return card.map(c -> situation(c.day()));
  }

  /**
   * A value marks its step as done, or as a find when it is out of limits; the card is cut again, a condition may ask
   * for it.
   */
  private void measured(Event.Measured e, Entry entry) {
    Optional<Measure> measure = pack.step(e.step()).flatMap(Step::measures);
    if (measure.isPresent()) {
      Quantity quantity = measure.get().quantity();
      dropMeasured(e.step());
      measured.put(quantity.id(), e.value());
      Judged judged = Reading.judged(this, measure.get(), e.value());
      if (judged.level().find()) {
        int count = quantity.gauge().filter(g -> g instanceof Missing).isPresent()
            ? (int) Math.max(1, Math.round(e.value())) : 1;
        Find.What what = new Find.What(Severity.DEFECT, count, Optional.empty(), Optional.empty(), List.of());
        String note = "%s: %s".formatted(quantity.name(), judged.words());
        finds.put(entry.id(), new Find(
            entry.id(), e.step(), note, what, true, entry.by(), entry.happened(), entry.number(), Optional.empty()));
        mark(e.step(), markOf(entry, Mark.Outcome.FIND, note, Optional.of(entry.id())));
      } else {
        mark(e.step(), markOf(entry, Mark.Outcome.DONE, quantity.unit().words(e.value()), Optional.empty()));
      }
      card.ifPresent(c -> cut(c.day(), entry.number()));
    }
  }

  /** A find that only a reading made goes with that reading, unless it was decided. */
  private void dropMeasured(StepId step) {
    finds.values().removeIf(f -> f.measured() && f.step().equals(step) && f.decision().isEmpty());
  }

  /** All that was read, each with its quantity. */
  public Map<QuantityId, Double> measured() {
    return Map.copyOf(measured);
  }

  /** A value that was taken back is not there any more, for conditions too. */
  private void forget(StepId step, long number) {
    boolean gone = pack.step(step).flatMap(Step::measures).map(m -> measured.remove(m.quantity().id())).isPresent();
    if (gone) {
      card.ifPresent(c -> cut(c.day(), number));
    }
  }

  private static Mark markOf(Entry entry, Mark.Outcome outcome, String words, Optional<UUID> find) {
    return new Mark(outcome, entry.by(), entry.seat(), entry.device(), entry.happened(), entry.number(), words, find);
  }

  private void mark(StepId step, Mark mark) {
    List<Mark> now = new ArrayList<>(marks.getOrDefault(step, List.of()));
    now.removeIf(m -> mark.sameHand(m) || m.outcome() == Mark.Outcome.LATER);
    now.add(mark);
    marks.put(step, List.copyOf(now));
  }

  private void unmark(StepId step, Predicate<Mark> whose) {
    marks.computeIfPresent(step, (s, now) -> now.stream().filter(whose.negate()).toList());
  }

  /** Goes on by the fleet's school: one item back, as both may have lost the place, or where it stopped, or anew. */
  private void resume(ProcedureId checklist) {
    stopped.remove(checklist);
    List<Item> done = part(checklist).stream()
        .flatMap(p -> p.items().stream()).filter(i -> said(i) == Status.DONE).toList();
    List<Item> again = switch (pack.policy().of(Matter.RESUMING)) {
      case GO_ON -> List.of();
      case START_AGAIN -> done;
      default -> done.subList(Math.max(0, done.size() - 1), done.size());
    };
    again.forEach(i -> unmark(i.step().id(), m -> true));
  }

  public Pack pack() {
    return pack;
  }

  public Opened opened() {
    return opened;
  }

  public long lastNumber() {
    return lastNumber;
  }

  public Optional<Card> card() {
    return card;
  }

  /** Number of the entry that the card was cut by; 0 before there is one. */
  public long cardNumber() {
    return cardNumber;
  }

  public Map<Seat, CrewId> seats() {
    return Map.copyOf(seats);
  }

  public Optional<Seat> seatOf(CrewId who) {
    return seats.entrySet().stream().filter(e -> e.getValue().equals(who)).map(Map.Entry::getKey).findFirst();
  }

  public boolean commands(CrewId who) {
    return opened.flight().commander().filter(c -> c.who().equals(who)).isPresent();
  }

  public List<Mark> marks(StepId step) {
    return marks.getOrDefault(step, List.of());
  }

  public Collection<Find> finds() {
    return List.copyOf(finds.values());
  }

  public Optional<Find> find(UUID id) {
    return Optional.ofNullable(finds.get(id));
  }

  public Optional<Said<Event.ChecklistStopped>> stop(ProcedureId checklist) {
    return Optional.ofNullable(stopped.get(checklist));
  }

  /** What was said beside the steps: gates passed, times seen over, tags by hand, people away, panels handed over. */
  public Beside beside() {
    return beside;
  }

  /** The waits that steps have begun and that nobody has seen over, in the order of the card. */
  public List<Waiting> waits() {
    return items().stream().flatMap(i -> Gates.wait(this, i).stream()).filter(w -> !w.seen() && !used(w)).toList();
  }

  /** Whether all that waited for it was done since, without an override. */
  private boolean used(Waiting w) {
    List<Item> after = after(w);
    return !after.isEmpty() && after.stream().allMatch(i ->
        said(i).settled() && lastWord(i.step().id()) > w.number() && beside.override(i.step().id()).isEmpty());
  }

  /** The steps of the card that a wait is for. */
  List<Item> after(Waiting w) {
    return items().stream().filter(i -> i.step().afterWait().contains(w.item().step().id())).toList();
  }

  /** What was read on this tail before. */
  Past past() {
    return past;
  }

  /** What the fleet's files give for this flight. */
  public Facts facts() {
    return facts;
  }

  public TechState tech() {
    return tech;
  }

  /** The technical log that was read last. */
  public Optional<Said<Event.LogTailRead>> log() {
    return log;
  }

  public Optional<Said<ControlsChecked>> controls() {
    return controls;
  }

  public Optional<Said<TiedOff>> tiedOff() {
    return tiedOff;
  }

  Optional<Card.Part> part(ProcedureId id) {
    return card.flatMap(c -> c.part(id));
  }

  /** How a step stands by what was said of it alone. */
  Status said(Item item) {
    List<Mark> said = marks(item.step().id());
    Optional<Mark> worst = said.stream().max(Comparator.comparing(Mark::outcome));
    if (worst.isEmpty()) {
      return Status.OPEN;
    }
    return switch (worst.get().outcome()) {
      case FIND -> Status.FIND;
      case LATER -> Status.LATER;
      case NOT_TODAY -> Status.NOT_TODAY;
      case DONE -> answered(item, said) ? Status.DONE : Status.PART;
    };
  }

  private boolean answered(Item item, List<Mark> said) {
    if (item.procedure().kind().byPanel() && item.seats().size() == 1 && beside.handovers().any(item.step().place())) {
      // Whoever worked the panel then has answered.
      return !said.isEmpty();
    }
    Predicate<Seat> answered = s -> said.stream().anyMatch(m -> m.seat().filter(s::equals).isPresent());
    return item.any() ? item.seats().stream().anyMatch(answered) : item.seats().stream().allMatch(answered);
  }

  /** The steps that somebody did or found something at, in the order of the card. */
  List<Deed> deeds() {
    List<Deed> deeds = new ArrayList<>();
    for (Item item : items()) {
      boolean stands = said(item) == Status.DONE;
      marks(item.step().id()).stream()
          .filter(m -> m.outcome() != Mark.Outcome.NOT_TODAY && m.outcome() != Mark.Outcome.LATER)
          .max(Comparator.comparing(Mark::number))
          .ifPresent(m -> deeds.add(new Deed(item.step().id(), m.by(), m.at(), m.number(), stands)));
    }
    return deeds;
  }

  List<Item> items() {
    return card.map(Card::items).orElse(List.of());
  }

  /** The tags that hang now. */
  public List<Tag> tags() {
    return card.map(c -> Cord.tags(c, deeds(), LooseEnds.of(this))).orElse(List.of());
  }

  /** What stands between this departure and being tied off: the tags, and procedures with steps still open. */
  public List<Tag> inTheWay() {
    if (card.isEmpty()) {
      return List.of();
    }
    return Cord.tags(card.get(), deeds(), LooseEnds.withUnfinished(this, statuses(tags())));
  }

  /** How every step of the card stands, given the tags that hang. */
  public Map<StepId, Status> statuses(List<Tag> tags) {
    return new Standing(this, tags).statuses();
  }

  /** Number of the entry since which the answer to a step stands: where both must answer, the first of the two. */
  long stands(Item item) {
    boolean all = item.seats().size() > 1 && !item.any();
    return all ? marks(item.step().id()).stream().mapToLong(Mark::number).min().orElse(0) : lastWord(item.step().id());
  }

  private long lastWord(StepId step) {
    return marks(step).stream().mapToLong(Mark::number).max().orElse(0);
  }

  /**
   * The first step of a procedure that still asks for something. What was put aside comes last; in a checklist it
   * comes before the line and before its last item, so that neither is said while something is held.
   */
  public Optional<Item> next(Procedure procedure, Map<StepId, Status> statuses) {
    List<Item> open = part(procedure.id()).stream().flatMap(p -> p.items().stream())
        .filter(i -> !statuses.getOrDefault(i.step().id(), Status.OPEN).settled()).toList();
    Predicate<Item> held = i -> statuses.get(i.step().id()) == Status.LATER;
    Optional<Item> next = open.stream().filter(held.negate()).findFirst();
    if (procedure.kind() == Procedure.Kind.CHECKLIST && next.isPresent()) {
      boolean end = open.getLast().equals(next.get());
      return open.stream().filter(held).filter(h -> end || next.get().step().belowLine() && !h.step().belowLine())
          .findFirst().or(() -> next);
    }
    return next.or(() -> open.stream().findFirst());
  }

  /** Whether people said different things of a step and nobody has settled it. */
  public boolean disagreed(StepId step) {
    List<Mark> said = marks(step);
    boolean decided =
        said.stream().flatMap(m -> m.find().stream()).flatMap(f -> find(f).stream())
        .anyMatch(f -> f.decision().isPresent());
    return !decided && said.stream().map(Mark::outcome).filter(o -> o != Mark.Outcome.LATER).distinct().count() > 1;
  }
}
