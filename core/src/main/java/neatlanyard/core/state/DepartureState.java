package neatlanyard.core.state;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.log.EarlierReadings;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.Facts;
import neatlanyard.core.log.TechState;
import neatlanyard.core.sop.Card;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.Handovers;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.sop.Situation;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import org.jspecify.annotations.Nullable;
import org.pcollections.HashTreePMap;
import org.pcollections.PMap;
import org.pcollections.PVector;
import org.pcollections.TreePVector;

/**
 * How a departure stands after one entry of its log. Never changes: what makes another of it shares all that is the
 * same, so that an entry costs its own effect, however long the card and the log.
 */
public final class DepartureState {
  private final Pack pack;
  private final Event.Opened opened;
  private long lastNumber = 1;
  private Optional<Card> card = Optional.empty();
  private long cardNumber;
  private Map<Seat, CrewId> seats = Map.of();
  private PMap<StepId, List<Mark>> marks = HashTreePMap.empty();
  private PMap<StepId, StepNotes> notes = HashTreePMap.empty();
  private PMap<QuantityId, Double> measured = HashTreePMap.empty();
  private PMap<ProcedureId, Recorded<Event.ChecklistStopped>> stopped = HashTreePMap.empty();
  private PVector<Recorded<Event.AircraftRead>> aircraft = TreePVector.empty();
  private List<Find> finds = List.of();
  private List<Recorded<Event.TagHung>> hung = List.of();
  private List<Interruption> interruptions = List.of();
  private Handovers handovers = Handovers.NONE;
  private TechState tech = TechState.NONE;
  private EarlierReadings earlier = EarlierReadings.NONE;
  private Facts facts = Facts.NONE;
  private FiguresGiven given = FiguresGiven.NONE;
  private FigureEntries entries = FigureEntries.NONE;
  private long figuresNumber;
  private BriefingNotes briefing = BriefingNotes.NONE;
  private TaxiNotes taxi = TaxiNotes.NONE;
  private Optional<Recorded<Event.LogTailRead>> log = Optional.empty();
  private Optional<Recorded<Event.ControlsChecked>> controls = Optional.empty();
  private Optional<Recorded<Event.ControlsUpset>> controlsUpset = Optional.empty();
  private Optional<Recorded<Event.TiedOff>> tiedOff = Optional.empty();
  /** What was worked out of it already, by the order of the card; not part of what it is. */
  private @Nullable Status @Nullable [] statuses;

  /**
   * A departure of which only the first entry is known.
   *
   * @param pack in the revision that {@code opened} names
   */
  public DepartureState(Pack pack, Event.Opened opened) {
    this.pack = pack;
    this.opened = opened;
  }

  private DepartureState(DepartureState before) {
    this.pack = before.pack;
    this.opened = before.opened;
    this.lastNumber = before.lastNumber;
    this.card = before.card;
    this.cardNumber = before.cardNumber;
    this.seats = before.seats;
    this.marks = before.marks;
    this.notes = before.notes;
    this.measured = before.measured;
    this.stopped = before.stopped;
    this.aircraft = before.aircraft;
    this.finds = before.finds;
    this.hung = before.hung;
    this.interruptions = before.interruptions;
    this.handovers = before.handovers;
    this.tech = before.tech;
    this.earlier = before.earlier;
    this.facts = before.facts;
    this.given = before.given;
    this.entries = before.entries;
    this.figuresNumber = before.figuresNumber;
    this.briefing = before.briefing;
    this.taxi = before.taxi;
    this.log = before.log;
    this.controls = before.controls;
    this.controlsUpset = before.controlsUpset;
    this.tiedOff = before.tiedOff;
  }

  private DepartureState with(Consumer<DepartureState> change) {
    DepartureState next = new DepartureState(this);
    change.accept(next);
    return next;
  }

  private DepartureState noting(StepId step, UnaryOperator<StepNotes> change) {
    return with(s -> s.notes = s.notes.plus(step, change.apply(notes(step))));
  }

  private static <T> List<T> plus(List<T> all, T one) {
    List<T> more = new ArrayList<>(all);
    more.add(one);
    return List.copyOf(more);
  }

  public DepartureState numbered(long number) {
    return with(s -> s.lastNumber = number);
  }

  /** @param number of the entry that the card was cut by */
  public DepartureState cut(Card now, long number) {
    return with(s -> {
      s.card = Optional.of(now);
      s.cardNumber = number;
    });
  }

  public DepartureState seated(Seat seat, CrewId who) {
    return with(s -> {
      Map<Seat, CrewId> all = new EnumMap<>(Seat.class);
      all.putAll(seats);
      all.put(seat, who);
      s.seats = Map.copyOf(all);
    });
  }

  /** One more word of a step: it replaces the same hand's earlier one, and whatever put the step aside. */
  public DepartureState marked(StepId step, Mark mark) {
    List<Mark> now = new ArrayList<>(marks(step));
    now.removeIf(m -> mark.sameHand(m) || m.outcome() == Mark.Outcome.LATER);
    now.add(mark);
    return with(s -> s.marks = s.marks.plus(step, List.copyOf(now)));
  }

  public DepartureState unmarked(StepId step, Predicate<Mark> whose) {
    return marks(step).isEmpty() ? this
        : with(s -> s.marks = s.marks.plus(step, marks(step).stream().filter(whose.negate()).toList()));
  }

  public DepartureState measured(QuantityId quantity, double value) {
    return with(s -> s.measured = s.measured.plus(quantity, value));
  }

  public DepartureState notMeasured(QuantityId quantity) {
    return with(s -> s.measured = s.measured.minus(quantity));
  }

  public DepartureState found(Find find) {
    return with(s -> s.finds = plus(finds, find));
  }

  public DepartureState decided(UUID find, Find.Decision decision) {
    return with(s -> s.finds = finds.stream().map(f -> f.id().equals(find) ? f.decided(decision) : f).toList());
  }

  /** A find that only a reading made goes with that reading, unless it was decided. */
  public DepartureState withoutMeasuredFinds(StepId step) {
    return with(s -> s.finds = finds.stream()
        .filter(f -> !(f.measured() && f.step().equals(step) && f.decision().isEmpty())).toList());
  }

  public DepartureState overridden(Event.Overridden e, Entry entry) {
    return noting(e.step(), n -> n.overridden(Recorded.happened(e, entry)));
  }

  public DepartureState valueSaid(Event.ValueSaid e, Entry entry) {
    return noting(e.step(), n -> n.said(Recorded.happened(e, entry)));
  }

  public DepartureState waitSeen(StepId step, long number) {
    return noting(step, n -> n.seen(number));
  }

  public DepartureState takenBack(StepId step, long number) {
    return noting(step, n -> n.takenBack(number));
  }

  /** A new card has made an answer untrue. */
  public DepartureState changed(StepId step, StepNotes.Change change) {
    return noting(step, n -> n.changed(change));
  }

  public DepartureState aircraftRead(Event.AircraftRead e, Entry entry) {
    return with(s -> s.aircraft = aircraft.plus(Recorded.happened(e, entry)));
  }

  public DepartureState tagHung(Event.TagHung e, Entry entry) {
    return with(s -> s.hung = plus(hung, Recorded.happened(e, entry)));
  }

  public DepartureState tagTaken(UUID tag) {
    return with(s -> s.hung = hung.stream().filter(h -> !h.event().tag().equals(tag)).toList());
  }

  public DepartureState calledAway(Entry entry) {
    return with(s -> s.interruptions = plus(interruptions, new Interruption(
        entry.by(), entry.seat(), entry.happened(), Optional.empty(), entry.number())));
  }

  public DepartureState wentOn(Entry entry) {
    return with(s -> s.interruptions = interruptions.stream().map(i ->
        i.by().equals(entry.by()) && i.to().isEmpty() ? i.until(entry.happened()) : i).toList());
  }

  public DepartureState handedOver(PlaceId panel, Seat from, Seat to) {
    return with(s -> s.handovers = handovers.with(panel, from, to));
  }

  public DepartureState stopped(Event.ChecklistStopped e, Entry entry) {
    return with(s -> s.stopped = stopped.plus(e.checklist(), Recorded.received(e, entry)));
  }

  public DepartureState resumed(ProcedureId checklist) {
    return with(s -> s.stopped = stopped.minus(checklist));
  }

  public DepartureState tech(TechState now) {
    return with(s -> s.tech = now);
  }

  public DepartureState earlier(EarlierReadings readings) {
    return with(s -> s.earlier = readings);
  }

  public DepartureState facts(Facts now) {
    return with(s -> s.facts = now);
  }

  public DepartureState given(UnaryOperator<FiguresGiven> change) {
    return with(s -> {
      s.given = change.apply(given);
      s.figuresNumber = lastNumber;
    });
  }

  /** With something else to be shown beside the figures; what they come to stays. */
  public DepartureState figuresShownAnew() {
    return with(s -> s.figuresNumber = lastNumber);
  }

  public DepartureState entries(UnaryOperator<FigureEntries> change) {
    return with(s -> {
      s.entries = change.apply(entries);
      s.figuresNumber = lastNumber;
    });
  }

  public DepartureState logRead(Event.LogTailRead e, Entry entry) {
    return with(s -> s.log = Optional.of(Recorded.happened(e, entry)));
  }

  public DepartureState controlsChecked(Event.ControlsChecked e, Entry entry) {
    return with(s -> s.controls = Optional.of(Recorded.received(e, entry)));
  }

  public DepartureState controlsUpset(Event.ControlsUpset e, Entry entry) {
    return with(s -> s.controlsUpset = Optional.of(Recorded.happened(e, entry)));
  }

  public DepartureState tiedOff(Event.TiedOff e, Entry entry) {
    return with(s -> s.tiedOff = Optional.of(Recorded.received(e, entry)));
  }

  public Pack pack() {
    return pack;
  }

  public Event.Opened opened() {
    return opened;
  }

  /** Number of the last entry. */
  public long lastNumber() {
    return lastNumber;
  }

  /** Empty before the day is set. */
  public Optional<Card> card() {
    return card;
  }

  /** Number of the entry that the card was cut by; 0 before there is one. */
  public long cardNumber() {
    return cardNumber;
  }

  /** Every step of the card, in its order; none before there is one. */
  public List<Item> items() {
    return card.map(Card::items).orElse(List.of());
  }

  /** A step of the card. */
  public Optional<Item> item(StepId step) {
    return card.flatMap(c -> c.item(step));
  }

  /** The steps of the card at which two enter figures; none before there is one. */
  public List<Item> entering() {
    return card.map(Card::entering).orElse(List.of());
  }

  /** The step of the card at which a figure is entered. */
  public Optional<Item> entersAt(CriticalFigure figure) {
    return card.flatMap(c -> c.entersAt(figure));
  }

  /** The parts of the card, in their order; none before there is one. */
  public List<Card.Part> parts() {
    return card.map(Card::parts).orElse(List.of());
  }

  public Optional<Card.Part> part(ProcedureId procedure) {
    return card.flatMap(c -> c.part(procedure));
  }

  /** A step, whether or not it is on today's card; one that a deferral adds is on the card alone. */
  public Optional<Step> step(StepId step) {
    return item(step).map(Item::step).or(() -> pack.step(step));
  }

  /** The seats that are taken. */
  public Map<Seat, CrewId> seats() {
    return seats;
  }

  public Optional<Seat> seatOf(CrewId who) {
    return seats.entrySet().stream().filter(e -> e.getValue().equals(who)).map(Map.Entry::getKey).findFirst();
  }

  public boolean commands(CrewId who) {
    return opened.flight().commander().filter(c -> c.who().equals(who)).isPresent();
  }

  /** Who is there to work the card. */
  public Card.Crewing crewing() {
    Set<Seat> manned = opened.flight().crew().stream().map(Rostered::seat).collect(Collectors.toSet());
    return new Card.Crewing(opened.flight().flyingSeat(), manned, handovers);
  }

  /** What people say of a step, each hand's last word. */
  public List<Mark> marks(StepId step) {
    // One look where nothing is said, which is most often so: getOrDefault takes two.
    List<Mark> said = marks.get(step);
    return said == null ? List.of() : said;
  }

  /** Number of the entry by which somebody said something of a step last; 0 where nobody has. */
  public long lastWord(StepId step) {
    return marks(step).stream().mapToLong(Mark::number).max().orElse(0);
  }

  /** Number of the entry since which the answer to a step stands: where all must answer, the first of them. */
  public long standsSince(Item item) {
    boolean all = item.seats().size() > 1 && !item.any();
    return all ? marks(item.step().id()).stream().mapToLong(Mark::number).min().orElse(0) : lastWord(item.step().id());
  }

  /** What is kept of a step besides its marks. */
  public StepNotes notes(StepId step) {
    StepNotes kept = notes.get(step);
    return kept == null ? StepNotes.NONE : kept;
  }

  /** The same for every step of which anything is. */
  public Map<StepId, StepNotes> notes() {
    return notes;
  }

  /**
   * How a step of the card stands by its marks alone: whatever is said of others, and whatever hangs. Worked out once
   * a state; two threads that ask at once come to the same.
   */
  public Status marked(Item item) {
    if (statuses == null) {
      statuses = new Status[items().size()];
    }
    Status known = statuses[item.order()];
    if (known == null) {
      known = byMarks(item);
      statuses[item.order()] = known;
    }
    return known;
  }

  private Status byMarks(Item item) {
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
    if (item.procedure().kind().byPanel() && item.seats().size() == 1 && handovers.any(item.step().place())) {
      // Whoever worked the panel then has answered.
      return !said.isEmpty();
    }
    Predicate<Seat> answered = s -> said.stream().anyMatch(m -> m.seat().filter(s::equals).isPresent());
    return item.any() ? item.seats().stream().anyMatch(answered) : item.seats().stream().allMatch(answered);
  }

  /** Whether people said different things of a step and nobody has settled it. */
  public boolean disagreed(StepId step) {
    List<Mark> said = marks(step);
    return said.size() > 1
        && said.stream().map(Mark::outcome).filter(o -> o != Mark.Outcome.LATER).distinct().count() > 1
        && said.stream().flatMap(m -> m.find().stream()).flatMap(f -> find(f).stream())
        .noneMatch(f -> f.decision().isPresent());
  }

  /** All that was read, each in its quantity's unit. */
  public Map<QuantityId, Double> measured() {
    return measured;
  }

  /** In the order in which they were raised. */
  public List<Find> finds() {
    return finds;
  }

  public Optional<Find> find(UUID id) {
    return finds.stream().filter(f -> f.id().equals(id)).findFirst();
  }

  /** Where a checklist is stopped; empty while it is not. */
  public Optional<Recorded<Event.ChecklistStopped>> stop(ProcedureId checklist) {
    return Optional.ofNullable(stopped.get(checklist));
  }

  /** What the aircraft's own data said, the first first. */
  public List<Recorded<Event.AircraftRead>> aircraft() {
    return aircraft;
  }

  /** The tags that were hung by hand and hang still. */
  public List<Recorded<Event.TagHung>> hung() {
    return hung;
  }

  /** Number of the last entry that says something of the figures; 0 before. */
  public long figuresNumber() {
    return figuresNumber;
  }

  /** What the crew has given for the figures. */
  public FiguresGiven given() {
    return given;
  }

  /** What two pilots entered of the critical figures, and what was worked out. */
  public FigureEntries entries() {
    return entries;
  }

  /** What the crew has written and read of its briefing. */
  public BriefingNotes briefing() {
    return briefing;
  }

  public DepartureState briefing(UnaryOperator<BriefingNotes> change) {
    return with(s -> s.briefing = change.apply(briefing));
  }

  /** What the crew has said of taxiing. */
  public TaxiNotes taxi() {
    return taxi;
  }

  public DepartureState taxiCleared(Event.TaxiCleared e, Entry entry) {
    return entry.seat().map(seat -> with(s -> s.taxi = taxi.heard(seat, Recorded.happened(e, entry)))).orElse(this);
  }

  public DepartureState brakesRead(Event.BrakesRead e, Entry entry) {
    return with(s -> s.taxi = taxi.read(Recorded.happened(e, entry)));
  }

  /** Every interruption, the first first. */
  public List<Interruption> interruptions() {
    return interruptions;
  }

  /** When a stage should be done, where the pack says so. */
  public Optional<Instant> due(Stage stage) {
    return Optional.ofNullable(pack.due().get(stage)).map(opened.flight().departs()::minus);
  }

  /** Who was called away and has not gone on. */
  public Optional<Interruption> interrupted(CrewId who) {
    return interruptions.stream().filter(i -> i.by().equals(who) && i.to().isEmpty()).findFirst();
  }

  /** Who works what of which panel now. */
  public Handovers handovers() {
    return handovers;
  }

  /** How the tail's technical log stands. */
  public TechState tech() {
    return tech;
  }

  /** What was read on this tail before. */
  public EarlierReadings earlier() {
    return earlier;
  }

  /** What the fleet's files give for this flight. */
  public Facts facts() {
    return facts;
  }

  /** The registration that was read off the technical log last. */
  public Optional<Recorded<Event.LogTailRead>> log() {
    return log;
  }

  public Optional<Recorded<Event.ControlsChecked>> controls() {
    return controls;
  }

  /** What was done last after which a control check no longer stands, if anything. */
  public Optional<Recorded<Event.ControlsUpset>> controlsUpset() {
    return controlsUpset;
  }

  public Optional<Recorded<Event.TiedOff>> tiedOff() {
    return tiedOff;
  }

  /** What conditions may ask of this departure now; empty before the day is set. */
  public Optional<Situation> situation() {
    return card.map(c -> situation(c.day()));
  }

  /** The same on some day. */
  public Situation situation(Day day) {
    return new Situation(
        opened.tail(), opened.flight().from(), opened.flight().to(), facts.latitudeDeg(), day, measured);
  }
}
