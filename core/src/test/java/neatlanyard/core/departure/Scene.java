package neatlanyard.core.departure;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import neatlanyard.core.controls.ControlSpecs;
import neatlanyard.core.dispatch.Verdict;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.fleet.Refusal;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Seating;
import neatlanyard.core.fleet.Tail;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.gauge.Missing;
import neatlanyard.core.gauge.Uplift;
import neatlanyard.core.gauge.WearPin;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;
import neatlanyard.core.log.FindDetail;
import neatlanyard.core.log.Proposal;
import neatlanyard.core.sop.Alternation;
import neatlanyard.core.sop.Circumstance;
import neatlanyard.core.sop.Condition;
import neatlanyard.core.sop.Day;
import neatlanyard.core.sop.DayFigure;
import neatlanyard.core.sop.DayValue;
import neatlanyard.core.sop.Measure;
import neatlanyard.core.sop.Owner;
import neatlanyard.core.sop.Pack;
import neatlanyard.core.sop.PackId;
import neatlanyard.core.sop.PlaceId;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.sop.Point;
import neatlanyard.core.sop.PointId;
import neatlanyard.core.sop.Policy;
import neatlanyard.core.sop.Procedure;
import neatlanyard.core.sop.ProcedureId;
import neatlanyard.core.sop.Quantity;
import neatlanyard.core.sop.QuantityId;
import neatlanyard.core.sop.Stage;
import neatlanyard.core.sop.State;
import neatlanyard.core.sop.Step;
import neatlanyard.core.sop.StepId;
import neatlanyard.core.sop.TagId;
import neatlanyard.core.sop.TagKind;
import neatlanyard.core.sop.Wait;
import neatlanyard.core.state.Status;
import neatlanyard.core.units.Unit;
import neatlanyard.core.weather.StationReport;

/** A small departure to play with: a captain at the left, a first officer at the right, a few steps of every kind. */
final class Scene {
  static final CrewId CAPTAIN = new CrewId("captain");
  static final CrewId OFFICER = new CrewId("officer");
  static final CrewId ENGINEER = new CrewId("engineer");
  static final CrewId STRANGER = new CrewId("stranger");
  static final ProcedureId LIST = new ProcedureId("list");

  /** The time by every clock. */
  Instant at = Instant.EPOCH;
  Departure now;
  final List<Entry> log;

  Scene(Pack pack) {
    this(pack, FLIGHT);
  }

  private Scene(Pack pack, Flight flight) {
    now = Departure.open(pack, new Event.Opened(flight, TAIL, pack.id(), "1", "", List.of()));
    log = new ArrayList<>(List.of(entry(1, OFFICER, "d1", now.state().opened(), Optional.empty())));
  }

  private static final Planform.Aerofoil WING = new Planform.Aerofoil(1, 0, 1, 0, 1);
  private static final Tail TAIL = new Tail(new TailId("TL-XXX"), new TypeId("type"), Optional.empty(), Set.of());
  private static final Flight FLIGHT = new Flight(
      new FlightId("f1"), "Flight 1", TAIL.id(), new AirfieldId("QTRN"), new AirfieldId("QVSK"), Instant.EPOCH,
      Optional.of(170),
      List.of(new Rostered(CAPTAIN, Seat.LEFT, true, true), new Rostered(OFFICER, Seat.RIGHT, false, false)));

  static final Measure OXYGEN = new Measure(
      new Quantity(new QuantityId("oxygen"), "Oxygen", Unit.PSI), OptionalDouble.of(1_000), OptionalDouble.empty());
  static final Measure WICKS = new Measure(
      new Quantity(new QuantityId("wicks"), "Wicks missing", Unit.COUNT, Optional.of(new Missing(1))),
      OptionalDouble.empty(), OptionalDouble.empty());
  static final Measure PIN = new Measure(
      new Quantity(new QuantityId("pin"), "Pin", Unit.MM, Optional.of(new WearPin(0, 120, 5))),
      OptionalDouble.empty(), OptionalDouble.empty());
  static final Pack PACK = new Pack(
      new PackId("pack"), "1", "Pack", TAIL.type(), Policy.DEFAULT, List.of(), List.of(),
      List.of(new Pack.PackTail(TAIL.id(), Optional.empty(), Set.of())), List.of(OXYGEN.quantity()), Map.of(),
      new Planform(1, 1, WING, WING, List.of(), List.of(), List.of(), List.of(),
        Seating.ABREAST, Optional.empty()), List.of(), List.of(),
      List.of(
          new TagKind(new TagId("covers"), "{open} of {all} covers on", TagKind.Trigger.STEP, Stage.WALKAROUND, true),
          new TagKind(new TagId("pumps"), "Pumps on", TagKind.Trigger.STEP, Stage.FLOWS, true)),
      List.of(
          new Procedure(new ProcedureId("walk"), "Walk", Stage.WALKAROUND, Procedure.Kind.WALKAROUND, List.of(),
          List.of(
              step("count", Owner.RIGHT, List.of(), List.of(hook("covers", "a", "b")), List.of()),
              step("cover-a", Owner.RIGHT, List.of(), List.of(), List.of(hook("covers", "a"))),
              step("cover-b", Owner.RIGHT, List.of(), List.of(), List.of(hook("covers", "b"))))),
          new Procedure(new ProcedureId("flow"), "Flow", Stage.FLOWS, Procedure.Kind.FLOW, List.of(), List.of(
              step("clear", Owner.LEFT, List.of(), List.of(), List.of()),
              step("pumps-on", Owner.LEFT, List.of(new StepId("clear")), List.of(hook("pumps")), List.of()),
              step("pumps-off", Owner.MONITORING, List.of(), List.of(), List.of(hook("pumps"))),
              Step.of("oxygen", "place", "oxygen", "read", Owner.LEFT).measures(OXYGEN).build(),
              Step.of("wicks", "place", "wicks", "counted", Owner.LEFT).measures(WICKS).build(),
              Step.of("pin", "place", "pin", "read", Owner.LEFT).measures(PIN).build(),
              Step.of("oxygen-low", "place", "oxygen-low", "said", Owner.LEFT)
                  .when(new Condition.MeasuredBelow(OXYGEN.quantity(), 1_300)).build())),
          new Procedure(LIST, "List", Stage.BEFORE_TAKEOFF, Procedure.Kind.CHECKLIST, List.of(), List.of(
              step("flaps", Owner.BOTH, List.of(), List.of(), List.of()),
              step("trim", Owner.FLYING, List.of(), List.of(), List.of()),
              step("radio", Owner.MONITORING, List.of(), List.of(), List.of())))),
      List.of(),
      ControlSpecs.NONE,
      List.of(),
      List.of(),
      List.of());

  /** Power made on one panel of the right seat, with a wait before what the left seat does with it. */
  static final Pack POWER = with(List.of(point("apu", "off", "running"), point("heater", "off", "on")), List.of(),
      List.of(
      new Procedure(new ProcedureId("power"), "Power", Stage.POWER_UP, Procedure.Kind.POWER_UP, List.of(), List.of(
          Step.of("fire", "overhead", "fire", "proven", Owner.RIGHT).build(),
          Step.of("apu", "overhead", "apu", "started", Owner.RIGHT).needs(new StepId("fire"))
          .sets(new State(new PointId("apu"), "running"))
              .waits(new Wait(Duration.ofMinutes(3), "before bleed air is taken")).build(),
          Step.of("heater", "overhead", "heater", "off", Owner.RIGHT).sets(new State(new PointId("heater"), "off"))
          .build())),
      new Procedure(new ProcedureId("air"), "Air", Stage.FLOWS, Procedure.Kind.FLOW, List.of(), List.of(
          Step.of("bleed", "air", "bleed", "on", Owner.LEFT).afterWait(new StepId("apu")).build()))));

  private static final State FLAPS = new State(new PointId("flaps"), "15");

  /** Values of today, a checklist that asks for what is seen, and a take-off configuration. */
  static final Pack TODAY = with(List.of(point("flaps", "0", "15"), point("igniter", "left", "right")),
      List.of(FLAPS), List.of(
      new Procedure(new ProcedureId("set"), "Set", Stage.FLOWS, Procedure.Kind.FLOW, List.of(), List.of(
          Step.of("level", "overhead", "level", "set", Owner.ENGINEER).value(figure(DayFigure.CRUISING_LEVEL, 0))
          .build(),
          Step.of("landing", "overhead", "landing", "set", Owner.RIGHT)
          .value(figure(DayFigure.LANDING_ELEVATION, -200)).build(),
          Step.of("window", "overhead", "window", "set", Owner.RIGHT).needs(new StepId("level"))
          .value(figure(DayFigure.LANDING_ELEVATION, 0)).build(),
          Step.of("igniter", "overhead", "igniter", "on", Owner.RIGHT)
          .alternates(new Alternation(List.of("left", "right"), "igniter"))
              .value(new DayValue(new DayValue.Source.Turn(), true)).build(),
          Step.of("set-flaps", "overhead", "flaps", "15", Owner.RIGHT).sets(FLAPS).build())),
      new Procedure(LIST, "List", Stage.BEFORE_TAKEOFF, Procedure.Kind.CHECKLIST, List.of(), List.of(
          Step.of("flaps", "place", "flaps", "15", Owner.BOTH).verifies(FLAPS)
              .value(new DayValue(new DayValue.Source.Position(FLAPS.point()), true)).build(),
          Step.of("altimeters", "place", "altimeters", "set", Owner.LEFT).value(figure(DayFigure.PRESSURE_SETTING, 0))
          .build(),
          Step.of("cabin", "place", "cabin", "ready", Owner.RIGHT).belowLine().build(),
          Step.of("complete", "place", "list", "complete", Owner.RIGHT).belowLine().build())),
      new Procedure(new ProcedureId("runway"), "Runway", Stage.LINE_UP, Procedure.Kind.LINE_UP, List.of(), List.of(
          Step.of("strobes", "overhead", "strobes", "on", Owner.RIGHT).build(),
          Step.of("radar", "overhead", "radar", "on", Owner.RIGHT).needs(new StepId("level")).build(),
          Step.of("heading", "overhead", "heading", "agrees", Owner.RIGHT).build()))));

  /** Weights and speeds that two enter, a speed that is asked back, and a look at the wings that ends a holdover. */
  static final Pack FIGURES = with(List.of(), List.of(), List.of(
      new Procedure(new ProcedureId("figures"), "Figures", Stage.FIGURES, Procedure.Kind.FIGURES, List.of(), List.of(
          Step.of("weights", "overhead", "weights", "compared", Owner.BOTH).enters(CriticalFigure.ZERO_FUEL_WEIGHT)
          .build(),
          Step.of("speeds", "overhead", "speeds", "compared", Owner.BOTH)
          .enters(CriticalFigure.ASSUMED_TEMPERATURE, CriticalFigure.V1, CriticalFigure.VR).build())),
      new Procedure(LIST, "List", Stage.BEFORE_TAKEOFF, Procedure.Kind.CHECKLIST, List.of(), List.of(
          Step.of("wings", "place", "wings", "clean", Owner.RIGHT).closes(hook("holdover", "holdover")).build(),
          Step.of("v1", "place", "V1", "read", Owner.LEFT)
          .value(new DayValue(new DayValue.Source.Agreed(List.of(CriticalFigure.V1)), true)).build()))));

  private static final Quantity BEFORE = new Quantity(new QuantityId("before"), "Fuel before", Unit.KG);
  private static final Quantity LITRES = new Quantity(new QuantityId("litres"), "Fuel pumped", Unit.LITRE);
  private static final Quantity DENSITY = new Quantity(new QuantityId("density"), "Fuel density", Unit.KG_PER_LITRE);
  private static final Quantity GAUGES = new Quantity(new QuantityId("gauges"), "Fuel on the gauges", Unit.KG,
      Optional.of(new Uplift("before", "litres", "density", "ordered", 60)));

  /** What is read of the fuel, one reading after the other, and a step that measures something else. */
  static final Pack FUELLED = new Pack(
      PACK.id(), PACK.revision(), PACK.title(), PACK.type(), PACK.policy(), PACK.equipment(), PACK.subTypes(),
      PACK.tails(), List.of(BEFORE, LITRES, DENSITY, GAUGES), PACK.due(), PACK.planform(), PACK.places(), List.of(),
      PACK.tags(), List.of(new Procedure(new ProcedureId("flow"), "Flow", Stage.FLOWS, Procedure.Kind.FLOW, List.of(),
      Stream.of(BEFORE, LITRES, DENSITY, GAUGES).map(q -> Step.of(q.id().value(), "overhead", q.name(), "read",
          Owner.RIGHT).measures(new Measure(q, OptionalDouble.empty(), OptionalDouble.empty())).build()).toList())),
      List.of(), PACK.flightControls(), PACK.waivers(), List.of(), List.of());

  private static final State FLAPS_AGREED = new State(new PointId("flaps"), State.AGREED);

  /** A flap and speeds that two enter, a lever that is set by the one, and a list that reads both. */
  static final Pack BY_FIGURES = byFigures();

  /** The same where nothing but full flap will do today. */
  static final Pack FULL_FLAP = byFigures(
      new Step.Only(CriticalFigure.FLAP, new Condition.Always(), List.of("full"), "it sinks with less"));

  private static Pack byFigures(Step.Only... only) {
    return with(
      List.of(new Point(new PointId("flaps"), "Flaps", new PlaceId("overhead"), true, true,
          Optional.of(CriticalFigure.FLAP), List.of("0", "15", "27", "full"))),
      List.of(new State(new PointId("flaps"), "15")), List.of(
      new Procedure(new ProcedureId("figures"), "Figures", Stage.FIGURES, Procedure.Kind.FIGURES, List.of(), List.of(
          Step.of("enter", "overhead", "flap", "compared", Owner.BOTH)
          .enters(CriticalFigure.FLAP, CriticalFigure.V1, CriticalFigure.VR).only(only).build())),
      new Procedure(new ProcedureId("after-start"), "After start", Stage.START, Procedure.Kind.FLOW, List.of(),
      List.of(
          Step.of("set-flaps", "overhead", "flaps", "as agreed", Owner.RIGHT).sets(FLAPS_AGREED).build())),
      new Procedure(LIST, "List", Stage.BEFORE_TAKEOFF, Procedure.Kind.CHECKLIST, List.of(), List.of(
          Step.of("flaps", "place", "flaps", "as agreed", Owner.RIGHT).verifies(FLAPS_AGREED)
              .value(new DayValue(new DayValue.Source.Position(FLAPS_AGREED.point()), true)).build(),
          Step.of("speeds", "place", "speeds", "read", Owner.LEFT).value(new DayValue(
              new DayValue.Source.Agreed(List.of(CriticalFigure.V1, CriticalFigure.VR)), false)).build()))));
  }

  /** A trim that is set between two control checks, and a flap that must be full where it leaves from. */
  static final Pack TRIMMED = with(List.of(), List.of(), List.of(
      new Procedure(new ProcedureId("trim"), "Trim", Stage.CONTROLS, Procedure.Kind.FLOW, List.of(), List.of(
          Step.of("trim", "overhead", "Stabilator", "set", Owner.RIGHT).changesTrim().build())),
      new Procedure(new ProcedureId("figures"), "Figures", Stage.FIGURES, Procedure.Kind.FIGURES, List.of(), List.of(
          Step.of("enter", "overhead", "flap", "compared", Owner.BOTH).enters(CriticalFigure.FLAP)
          .only(new Step.Only(CriticalFigure.FLAP, new Condition.Always(), List.of("full"), "it sinks with less"))
          .build()))));

  /** Nothing but the run, and what is said of its half. */
  static final Pack SHORT = with(List.of(), List.of(), List.of(
      new Procedure(new ProcedureId("figures"), "Figures", Stage.FIGURES, Procedure.Kind.FIGURES, List.of(), List.of(
          Step.of("run", "overhead", "run", "compared", Owner.BOTH)
          .enters(CriticalFigure.RUNWAY, CriticalFigure.INTERSECTION, CriticalFigure.VR).build())),
      new Procedure(new ProcedureId("briefing"), "Briefing", Stage.BRIEFING, Procedure.Kind.BRIEFING, List.of(),
      List.of(Step.of("short", "place", "Short strip", "said", Owner.BOTH).says("{half-way}.").build()))));

  /** A runway and a speed that two enter, and a briefing that speaks of them. */
  static final Pack BRIEFED = with(List.of(), List.of(), List.of(
      new Procedure(new ProcedureId("figures"), "Figures", Stage.FIGURES, Procedure.Kind.FIGURES, List.of(), List.of(
          Step.of("speeds", "overhead", "speeds", "compared", Owner.BOTH)
          .enters(CriticalFigure.RUNWAY, CriticalFigure.V1).build())),
      new Procedure(new ProcedureId("briefing"), "Briefing", Stage.BRIEFING, Procedure.Kind.BRIEFING, List.of(),
      List.of(
          Step.of("who", "place", "Who", "said", Owner.BOTH).build(),
          Step.of("stop", "place", "Stop", "said", Owner.BOTH).says("Up to V1, {v1}, for fire.").build(),
          Step.of("up", "place", "Up", "said", Owner.BOTH)
          .says("{wind}, then {engine-out}, level at {acceleration 400}, not below {minimum}.").build(),
          Step.of("set", "place", "Set", "said", Owner.BOTH).says("Thrust {thrust}.").build(),
          Step.of("back", "place", "Back", "said", Owner.BOTH).says("After that {return}.").build(),
          Step.of("today", "place", "Today", "said", Owner.BOTH).says("Deferred: {deferred}.").build()))));

  private static DayValue figure(DayFigure figure, int plus) {
    return new DayValue(new DayValue.Source.Figure(figure, plus), true);
  }

  private static Pack with(List<Point> points, List<State> takeoff, List<Procedure> procedures) {
    return new Pack(
        PACK.id(), PACK.revision(), PACK.title(), PACK.type(), PACK.policy(), PACK.equipment(), PACK.subTypes(),
        PACK.tails(), PACK.quantities(),
        PACK.due(), PACK.planform(), PACK.places(), points, PACK.tags(), procedures, takeoff, PACK.flightControls(),
        PACK.waivers(), List.of(), List.of());
  }

  /** The pack in another shape. */
  static Pack shaped(Planform shape) {
    return new Pack(PACK.id(), PACK.revision(), PACK.title(), PACK.type(), PACK.policy(), PACK.equipment(),
        PACK.subTypes(), PACK.tails(), PACK.quantities(), PACK.due(), shape, PACK.places(), PACK.points(), PACK.tags(),
        PACK.procedures(), PACK.takeoff(), PACK.flightControls(), PACK.waivers(), List.of(), List.of());
  }

  private static Point point(String id, String... states) {
    return new Point(new PointId(id), id, new PlaceId("overhead"), true, List.of(states));
  }

  private static Step.Hook hook(String tag, String... items) {
    return new Step.Hook(new TagId(tag), List.of(items));
  }

  private static Step step(String id, Owner owner, List<StepId> needs, List<Step.Hook> opens, List<Step.Hook> closes) {
    return Step.of(id, "place", id, "as wanted", owner)
        .needs(needs.toArray(StepId[]::new)).opens(opens.toArray(Step.Hook[]::new))
        .closes(closes.toArray(Step.Hook[]::new)).build();
  }

  /** Both in their seats, the card cut. */
  static Scene ready() {
    return ready(PACK);
  }

  static Scene ready(Pack pack) {
    Scene scene = new Scene(pack);
    scene.says(CAPTAIN, new Event.SeatTaken(Seat.LEFT));
    scene.says(OFFICER, new Event.SeatTaken(Seat.RIGHT));
    scene.says(OFFICER, day(OptionalDouble.empty()));
    return scene;
  }

  /** With an engineer between and behind the two. */
  static Scene three(Pack pack) {
    List<Rostered> crew = new ArrayList<>(FLIGHT.crew());
    crew.add(new Rostered(ENGINEER, Seat.ENGINEER, false, false));
    Scene scene = new Scene(pack, new Flight(
        FLIGHT.id(), FLIGHT.number(), FLIGHT.tail(), FLIGHT.from(), FLIGHT.to(), FLIGHT.departs(), FLIGHT.level(),
        crew));
    scene.says(CAPTAIN, new Event.SeatTaken(Seat.LEFT));
    scene.says(OFFICER, new Event.SeatTaken(Seat.RIGHT));
    scene.says(ENGINEER, new Event.SeatTaken(Seat.ENGINEER));
    scene.says(OFFICER, day(OptionalDouble.of(1_003)));
    return scene;
  }

  /** The first flight of a mild day. */
  static Event day(OptionalDouble qnhHpa) {
    StationReport report = new StationReport(
        "", "QTRN", Instant.EPOCH, Optional.empty(), OptionalInt.empty(), List.of(), List.of(), OptionalInt.of(5),
        OptionalInt.empty(), qnhHpa);
    return new Event.DaySet(new Day(report, false, false, Set.of(Circumstance.FIRST_FLIGHT)));
  }

  private Entry entry(long number, CrewId by, String device, Event event, Optional<Seat> seat) {
    return new Entry(number, UUID.randomUUID(), at.plusSeconds(number), at, by, seat, device, event);
  }

  /** @return the code of the refusal; empty when it was taken */
  String tries(CrewId by, String device, Event event) {
    Optional<Refusal> refusal =
        Admission.refusal(now, new Proposal(UUID.randomUUID(), at, by, device, event), at);
    if (refusal.isPresent()) {
      return refusal.get().code().written();
    }
    Entry entry = entry(now.state().lastNumber() + 1, by, device, event, now.state().seatOf(by));
    now = now.apply(entry);
    log.add(entry);
    return "";
  }

  static Event.FindRaised find(UUID id, StepId step, String note) {
    return new Event.FindRaised(id, step, note, FindDetail.DEFECT);
  }

  static Event.VerdictTaken verdict(UUID find, Verdict verdict, String words) {
    return new Event.VerdictTaken(find, verdict, words, Optional.empty());
  }

  /** What the server writes by itself, which no person may. */
  void server(Event event) {
    Entry entry = entry(now.state().lastNumber() + 1, STRANGER, "server", event, Optional.empty());
    now = now.apply(entry);
    log.add(entry);
  }

  String tries(CrewId by, Event event) {
    return tries(by, "device-" + by, event);
  }

  void says(CrewId by, Event event) {
    String refused = tries(by, event);
    if (!refused.isEmpty()) {
      throw new AssertionError(event + " was refused: " + refused);
    }
  }

  void done(CrewId by, String... steps) {
    for (String step : steps) {
      says(by, new Event.StepDone(new StepId(step)));
    }
  }

  Status status(String step) {
    return now.picture().standing().of(new StepId(step));
  }

  List<String> tags() {
    return now.picture().tags().stream().map(t -> t.title()).toList();
  }
}
