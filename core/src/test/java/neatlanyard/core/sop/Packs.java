package neatlanyard.core.sop;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import neatlanyard.core.controls.ControlSpecs;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Equipment;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.fleet.Seating;
import neatlanyard.core.fleet.SubType;
import neatlanyard.core.fleet.SubTypeId;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.weather.Phenomenon;
import neatlanyard.core.weather.StationReport;

/** Small packs to play with: two tails that differ, an overhead, two sides, four stations, a few controls. */
public final class Packs {
  public static final Equipment APU = new Equipment("apu");
  public static final SubTypeId LONG = new SubTypeId("long");
  public static final TailId ONE = new TailId("TL-ONE");
  public static final TailId TWO = new TailId("TL-TWO");
  private static final Planform.Aerofoil WING = new Planform.Aerofoil(1, 0, 1, 0, 1);

  private Packs() {}

  public static Pack of(Procedure... procedures) {
    return of(Policy.DEFAULT, List.of(), procedures);
  }

  public static Pack of(Policy policy, List<Waiver> waivers, Procedure... procedures) {
    return new Pack(
        new PackId("pack"), "1", "Pack", new TypeId("type"), policy, List.of(APU),
        List.of(new SubType(LONG, "Long", Set.of(APU))),
        List.of(new Pack.PackTail(ONE, Optional.of(LONG), Set.of()),
        new Pack.PackTail(TWO, Optional.empty(), Set.of())),
        List.of(), Map.of(), new Planform(1, 1, WING, WING, List.of(), List.of(), List.of(), List.of(),
        Seating.ABREAST, Optional.empty()),
        List.of(
            station("door", -2, 3), station("nose", 0, 0), station("right", 5, 10), station("tail", 0, 20),
            station("left-rear", -5, 15), station("left", -5, 10),
            panel("overhead", 2, 0, Seat.LEFT), panel("own-left", 0, 4, Seat.LEFT),
            panel("own-right", 4, 4, Seat.RIGHT)),
        List.of(control("pump", "overhead"), control("flaps", "own-left"), control("brake", "own-right"),
            new Point(new PointId("pin"), "Pin", new PlaceId("nose"), false, List.of("in", "out"))),
        List.of(new TagKind(new TagId("pump-on"), "Pump on", TagKind.Trigger.STEP, Stage.FLOWS, true)),
        List.of(procedures), List.of(),
        ControlSpecs.NONE, waivers, List.of(), List.of());
  }

  private static Place station(String id, double x, double y) {
    return new Place(new PlaceId(id), id, x, y, 0, 0, x < 0 ? Seat.LEFT : Seat.RIGHT, false);
  }

  private static Place panel(String id, double x, double y, Seat half) {
    return new Place(new PlaceId(id), id, x, y, 2, 2, half, false);
  }

  private static Point control(String id, String place) {
    return new Point(new PointId(id), id, new PlaceId(place), true, List.of("off", "on"));
  }

  public static State state(String point, String value) {
    return new State(new PointId(point), value);
  }

  public static Step.Hook hook(String tag) {
    return new Step.Hook(new TagId(tag), List.of());
  }

  public static Procedure procedure(String id, Stage stage, Procedure.Kind kind, Step... steps) {
    return new Procedure(new ProcedureId(id), id, stage, kind, List.of(), List.of(steps));
  }

  public static Procedure flow(Step... steps) {
    return procedure("flow", Stage.FLOWS, Procedure.Kind.FLOW, steps);
  }

  public static Procedure list(Step... steps) {
    return procedure("list", Stage.BEFORE_TAKEOFF, Procedure.Kind.CHECKLIST, steps);
  }

  /** A step of the flow that each seat and each panel must have for nothing to be found there. */
  public static Procedure scanned() {
    return procedure("scanned", Stage.FLOWS, Procedure.Kind.FLOW,
        Step.of("s-overhead", "overhead", "Overhead", "looked at", Owner.OVERHEAD).build(),
        Step.of("s-left", "own-left", "Own side, left", "looked at", Owner.LEFT).build(),
        Step.of("s-right", "own-right", "Own side, right", "looked at", Owner.RIGHT).build());
  }

  /** A day at a temperature, dark or light, with snow or nothing, and what the crew says of it. */
  public static Situation day(Pack pack, TailId tail, int celsius, boolean dark, boolean snow, Circumstance... so) {
    Phenomenon falling = new Phenomenon(Phenomenon.Intensity.LIGHT, false, Phenomenon.Descriptor.NONE,
        List.of(Phenomenon.Kind.SN));
    StationReport report = new StationReport(
        "", "QTRN", Instant.EPOCH, Optional.empty(), OptionalInt.of(9_000), snow ? List.of(falling) : List.of(),
        List.of(),
        OptionalInt.of(celsius), OptionalInt.empty(), OptionalDouble.empty());
    return new Situation(
        pack.tail(tail).orElseThrow(), new AirfieldId("QTRN"), new AirfieldId("QVSK"), Optional.empty(),
        new Day(report, false, dark, Set.of(so)), Map.of());
  }
}
