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
import java.util.UUID;
import java.util.function.Predicate;
import neatlanyard.core.departure.Event.ControlsChecked;
import neatlanyard.core.departure.Event.Opened;
import neatlanyard.core.departure.Event.TiedOff;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Seat;
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
  private final Map<UUID, Find> finds;
  private final Map<ProcedureId, Said<Event.ChecklistStopped>> stopped;
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
      case Event.StepNotToday e -> mark(e.step(), markOf(entry, Mark.Outcome.NOT_TODAY, e.reason(), Optional.empty()));
      case Event.StepUndone e -> {
        unmark(e.step(), m -> m.by().equals(entry.by()));
        forget(e.step(), entry.number());
      }
      case Event.FindRaised e -> {
        finds.put(e.find(), new Find(e.find(), e.step(), e.note(), entry.by(), entry.at(), entry.number(), Optional.empty()));
        mark(e.step(), markOf(entry, Mark.Outcome.FIND, e.note(), Optional.of(e.find())));
      }
      case Event.VerdictTaken e ->
          finds.computeIfPresent(
              e.find(),
              (id, f) -> f.decided(new Find.Decision(e.verdict(), e.words(), entry.by(), entry.at(), entry.number())));
      case Event.ChecklistStopped e -> stopped.put(e.checklist(), new Said<>(e, entry.by(), entry.at(), entry.number()));
      case Event.ChecklistResumed e -> resume(e.checklist());
      case ControlsChecked e -> controls = Optional.of(new Said<>(e, entry.by(), entry.at(), entry.number()));
      case TiedOff e -> tiedOff = Optional.of(new Said<>(e, entry.by(), entry.at(), entry.number()));
    }
  }

  private void cut(Day day, long number) {
    Situation now = new Situation(opened.tail(), opened.flight().from(), opened.flight().to(), day, measured);
    card = Optional.of(Card.cut(pack, opened.flight().flyingSeat(), now));
    cardNumber = number;
  }

  /** A value marks its step as done, and the card is cut again: a condition may ask for it. */
  private void measured(Event.Measured e, Entry entry) {
    Optional<Measure> measure = pack.step(e.step()).flatMap(Step::measures);
    if (measure.isPresent()) {
      Quantity quantity = measure.get().quantity();
      measured.put(quantity.id(), e.value());
      mark(e.step(), markOf(entry, Mark.Outcome.DONE, quantity.unit().words(e.value()), Optional.empty()));
      card.ifPresent(c -> cut(c.day(), entry.number()));
    }
  }

  /** A value that was taken back is not there any more, for conditions too. */
  private void forget(StepId step, long number) {
    boolean gone = pack.step(step).flatMap(Step::measures).map(m -> measured.remove(m.quantity().id())).isPresent();
    if (gone) {
      card.ifPresent(c -> cut(c.day(), number));
    }
  }

  private static Mark markOf(Entry entry, Mark.Outcome outcome, String words, Optional<UUID> find) {
    return new Mark(outcome, entry.by(), entry.seat(), entry.device(), entry.at(), entry.number(), words, find);
  }

  private void mark(StepId step, Mark mark) {
    List<Mark> now = new ArrayList<>(marks.getOrDefault(step, List.of()));
    now.removeIf(mark::sameHand);
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
      case NOT_TODAY -> Status.NOT_TODAY;
      case DONE -> answered(item, said) ? Status.DONE : Status.PART;
    };
  }

  private static boolean answered(Item item, List<Mark> said) {
    Predicate<Seat> answered = s -> said.stream().anyMatch(m -> m.seat().filter(s::equals).isPresent());
    return item.any() ? item.seats().stream().anyMatch(answered) : item.seats().stream().allMatch(answered);
  }

  /** The steps that somebody did or found something at, in the order of the card. */
  List<Deed> deeds() {
    List<Deed> deeds = new ArrayList<>();
    for (Item item : items()) {
      boolean stands = said(item) == Status.DONE;
      marks(item.step().id()).stream()
          .filter(m -> m.outcome() != Mark.Outcome.NOT_TODAY)
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
    Map<StepId, Long> againSince = new HashMap<>();
    for (Tag tag : tags) {
      tag.closedBy().forEach(s -> againSince.merge(s, tag.sinceNumber(), Math::max));
    }
    Map<StepId, Status> statuses = new LinkedHashMap<>();
    for (Item item : items()) {
      StepId id = item.step().id();
      Status said = said(item);
      boolean stale = said == Status.DONE && lastWord(id) < againSince.getOrDefault(id, -1L);
      statuses.put(id, stale ? Status.AGAIN : said);
    }
    return statuses;
  }

  private long lastWord(StepId step) {
    return marks(step).stream().mapToLong(Mark::number).max().orElse(0);
  }

  /** The first step of a procedure that still asks for something. */
  public Optional<Item> next(Procedure procedure, Map<StepId, Status> statuses) {
    return part(procedure.id())
        .flatMap(p -> p.items().stream()
            .filter(i -> !statuses.getOrDefault(i.step().id(), Status.OPEN).settled())
            .findFirst());
  }

  /** Whether people said different things of a step and nobody has settled it. */
  public boolean disagreed(StepId step) {
    List<Mark> said = marks(step);
    boolean decided =
        said.stream().flatMap(m -> m.find().stream()).flatMap(f -> find(f).stream()).anyMatch(f -> f.decision().isPresent());
    return !decided && said.stream().map(Mark::outcome).distinct().count() > 1;
  }
}
