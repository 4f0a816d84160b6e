package neatlanyard.core.sop;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Seat;

/** What the pack says for this tail, these seats and this day, with the reason for each step put in or left out. */
public final class Card {
  /** One procedure of the card. */
  public record Part(Procedure procedure, List<Item> items) {
    public Part {
      items = List.copyOf(items);
    }
  }

  /**
   * One step of the card.
   *
   * @param seats who must answer; never empty
   * @param any whether one of the seats is enough
   * @param added why it is on today's card; empty for a step that always is
   * @param order where it stands among all of the card, from 0
   */
  public record Item(Step step, Procedure procedure, Set<Seat> seats, boolean any, String added, int order) {
    public Item {
      seats = Set.copyOf(seats);
    }
  }

  /**
   * A step that the pack does not have and this tail needs, such as one of an open deferral.
   *
   * @param in the procedure it joins, after the other steps of its place
   * @param why it is there
   */
  public record Extra(StepId id, ProcedureId in, PlaceId at, String challenge, String response, String why) {}

  /** A step that is not on today's card, and why. */
  public record LeftOut(Step step, Procedure procedure, String why) {}

  private final Pack pack;
  private final Day day;
  private final List<Part> parts;
  private final List<LeftOut> leftOut;
  private final List<Item> items;
  private final Map<StepId, Item> byStep = new HashMap<>();
  private final Map<ProcedureId, Part> byProcedure = new HashMap<>();
  private final Map<Stage, List<Item>> byStage = new EnumMap<>(Stage.class);
  private final Map<StepId, List<Item>> waiting = new HashMap<>();
  private final Map<CriticalFigure, Item> entered = new EnumMap<>(CriticalFigure.class);
  private final List<Item> entering = new ArrayList<>();
  private final List<Item> byFigures = new ArrayList<>();
  private final Map<TagId, Map<String, List<StepId>>> closers = new HashMap<>();
  private final Map<State, List<Item>> makers = new HashMap<>();

  private Card(Pack pack, Day day, List<Part> parts, List<LeftOut> leftOut) {
    this.pack = pack;
    this.day = day;
    this.parts = List.copyOf(parts);
    this.leftOut = List.copyOf(leftOut);
    this.items = parts.stream().flatMap(p -> p.items().stream()).toList();
    parts.forEach(p -> byProcedure.putIfAbsent(p.procedure().id(), p));
    for (Item item : items) {
      byStep.put(item.step().id(), item);
      byStage.computeIfAbsent(item.procedure().stage(), s -> new ArrayList<>()).add(item);
      if (!item.step().enters().isEmpty()) {
        entering.add(item);
        item.step().enters().forEach(f -> entered.put(f, item));
      }
      if (item.step().states().anyMatch(State::byFigure)
          || item.step().value().filter(v -> v.source() instanceof DayValue.Source.Agreed).isPresent()) {
        byFigures.add(item);
      }
      item.step().closes().forEach(hook -> hook.items().forEach(what ->
          closers.computeIfAbsent(hook.tag(), t -> new HashMap<>())
          .computeIfAbsent(what, w -> new ArrayList<>()).add(item.step().id())));
      if (item.procedure().kind() != Procedure.Kind.CHECKLIST) {
        Stream.concat(item.step().sets().stream(), item.step().expects().stream()).distinct()
            .forEach(s -> makers.computeIfAbsent(s, x -> new ArrayList<>()).add(item));
      }
      item.step().afterWait().forEach(w -> waiting.computeIfAbsent(w, x -> new ArrayList<>()).add(item));
    }
  }

  /** Cuts the card. A procedure of which nothing is left is not on it. */
  public static Card cut(Pack pack, Seat flying, Situation now) {
    return cut(pack, new Crewing(flying, Seat.pilots(), Handovers.NONE), now, List.of());
  }

  /** Who is there to work it. */
  public record Crewing(Seat flying, Set<Seat> manned, Handovers handovers) {
    public Crewing {
      manned = Set.copyOf(manned);
    }

    /** What is the engineer's falls to the pilot monitoring where there is none. */
    private Owner.Answering answering(Owner owner, Policy policy, Place place) {
      Owner who = owner == Owner.ENGINEER && !manned.contains(Seat.ENGINEER) ? Owner.MONITORING : owner;
      return who.answering(flying, policy, place);
    }

    private Set<Seat> seats(Procedure procedure, Owner.Answering who, PlaceId place) {
      boolean mayBeGiven = procedure.kind().byPanel() && who.seats().size() == 1;
      return mayBeGiven ? Set.of(handovers.now(place, who.seats().iterator().next())) : who.seats();
    }
  }

  /** The same for a whole crew, with what this tail needs besides. */
  public static Card cut(Pack pack, Crewing crew, Situation now, List<Extra> extras) {
    List<Part> parts = new ArrayList<>();
    List<LeftOut> leftOut = new ArrayList<>();
    Map<PlaceId, Place> places = new HashMap<>();
    pack.places().forEach(p -> places.put(p.id(), p));
    int order = 0;
    Place nowhere = new Place(new PlaceId("x"), "", 0, 0, 0, 0, Seat.LEFT, false);
    for (Procedure procedure : pack.procedures()) {
      List<Item> items = new ArrayList<>();
      Map<StepId, String> why = new HashMap<>();
      List<Step> written = with(procedure, extras, why);
      List<Step> steps = procedure.kind() == Procedure.Kind.WALKAROUND ? Route.walked(pack, written) : written;
      for (Step step : steps) {
        Condition.Answer answer = ask(pack.policy(), procedure, step, now);
        if (answer.holds()) {
          Owner.Answering who = crew.answering(step.owner(), pack.policy(),
              places.getOrDefault(step.place(), nowhere));
          Set<Seat> seats = crew.seats(procedure, who, step.place());
          items.add(new Item(step.at(now.latitudeDeg()), procedure, seats, who.any(),
              why.getOrDefault(step.id(), answer.words()), order++));
        } else {
          leftOut.add(new LeftOut(step, procedure, answer.words()));
        }
      }
      if (!items.isEmpty()) {
        parts.add(new Part(procedure, items));
      }
    }
    return new Card(pack, now.day(), parts, leftOut);
  }

  private static List<Step> with(Procedure procedure, List<Extra> extras, Map<StepId, String> why) {
    List<Step> steps = new ArrayList<>(procedure.steps());
    for (Extra extra : extras) {
      if (!extra.in().equals(procedure.id()) || steps.isEmpty() || why.put(extra.id(), extra.why()) != null) {
        continue;
      }
      int at = steps.size() - 1;
      for (int i = steps.size() - 1; i >= 0; i--) {
        if (steps.get(i).place().equals(extra.at())) {
          at = i;
          break;
        }
      }
      Step beside = steps.get(at);
      steps.add(at + 1, Step.of(extra.id().value(), extra.at().value(), extra.challenge(), extra.response(),
          beside.owner()).build());
    }
    return steps;
  }

  /** The step's own condition; for tests, also the fleet's school of when they are made. */
  private static Condition.Answer ask(Policy policy, Procedure procedure, Step step, Situation now) {
    Condition.Answer own = step.when().ask(policy, now);
    if (procedure.kind() != Procedure.Kind.TEST || step.critical()) {
      return own;
    }
    return switch (policy.of(Matter.TESTS)) {
      case EVERY_TIME -> own.holds() || !step.when().ask(policy, first(now)).holds()
          ? own
          : new Condition.Answer(true, List.of("every test is made each time"));
      case FIRST_FLIGHT_ONLY -> own.holds() && !now.day().is(Circumstance.FIRST_FLIGHT)
          ? new Condition.Answer(false, List.of("tests are made on the first flight of the day"))
          : own;
      case UNALERTED_ONLY -> own.holds() && step.alerted()
          ? new Condition.Answer(false, List.of("alerting would show it"))
          : own;
      default -> own;
    };
  }

  private static Situation first(Situation now) {
    Set<Circumstance> more = new HashSet<>(now.day().circumstances());
    more.add(Circumstance.FIRST_FLIGHT);
    more.add(Circumstance.CREW_CHANGE);
    Day day = new Day(now.day().report(), now.day().simulatedReport(), now.day().dark(), more);
    return new Situation(now.tail(), now.from(), now.to(), now.latitudeDeg(), day, now.measured());
  }

  public Pack pack() {
    return pack;
  }

  public Day day() {
    return day;
  }

  public List<Part> parts() {
    return parts;
  }

  public List<LeftOut> leftOut() {
    return leftOut;
  }

  /** The steps at which two enter figures, in the order of the card. */
  public List<Item> entering() {
    return Collections.unmodifiableList(entering);
  }

  /** The steps that are done by figures both pilots agreed on, in the order of the card. */
  public List<Item> byFigures() {
    return Collections.unmodifiableList(byFigures);
  }

  /** The step at which a figure is entered; empty where nobody is asked for it today. */
  public Optional<Item> entersAt(CriticalFigure figure) {
    return Optional.ofNullable(entered.get(figure));
  }

  public Optional<Item> item(StepId id) {
    return Optional.ofNullable(byStep.get(id));
  }

  /** Why a step is left out; empty when it is on the card or not in the pack. */
  public String whyLeftOut(StepId id) {
    return leftOut.stream().filter(l -> l.step().id().equals(id)).map(LeftOut::why).findFirst().orElse("");
  }

  /** Every step of it, in order. */
  public List<Item> items() {
    return items;
  }

  /** The steps of one stage, in order. */
  public List<Item> items(Stage stage) {
    return byStage.getOrDefault(stage, List.of());
  }

  /** The steps that come after the wait which a step begins. */
  public List<Item> waitingFor(StepId id) {
    return waiting.getOrDefault(id, List.of());
  }

  /** The steps, other than answers of checklists, that make a state so or look whether it is. */
  public List<Item> makers(State state) {
    return makers.getOrDefault(state, List.of());
  }

  /** The steps that take a tag's single thing off. */
  public List<StepId> closers(TagId tag, String what) {
    return closers.getOrDefault(tag, Map.of()).getOrDefault(what, List.of());
  }

  public Optional<Part> part(ProcedureId id) {
    return Optional.ofNullable(byProcedure.get(id));
  }
}
