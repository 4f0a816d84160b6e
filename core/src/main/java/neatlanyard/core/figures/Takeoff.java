package neatlanyard.core.figures;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.DoublePredicate;
import neatlanyard.core.figures.TakeoffFigures.LimitedBy;
import neatlanyard.core.figures.TakeoffFigures.LimitingWeight;
import neatlanyard.core.figures.TakeoffTables.ForFlap;
import neatlanyard.core.figures.TakeoffTables.Gives;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.units.Units;

/**
 * Works a take-off out of a type's tables: straight between their points, never beyond them, rounded to the safe side.
 *
 * <p>Distances by 14 CFR 25.113, speeds by 25.107, gradients by 25.121(b) and 25.115, brakes by 25.109. What the
 * wind's half and one and a half times do (25.105(d)) is in the tables.
 */
public final class Takeoff {
  private static final String TABLES = "Take-off tables of the type";
  private static final double SCREEN_FT = 35;
  private static final double ALL_ENGINES_FACTOR = 1.15;
  private static final double VR_OVER_VMC = 1.05;
  private static final double V2_OVER_VMC = 1.10;
  private static final double V2_OVER_STALL = 1.13;
  private static final int PERCENT = 100;
  /** 14 CFR 25.105(d). */
  private static final double TAIL_FACTOR = 1.5;
  private static final int STEPS = 18;
  /** What binary fractions may make of a whole number. */
  private static final double ROUNDING = 1e-9;

  private final TakeoffType type;
  private final TakeoffCase c;
  private final ForFlap tables;
  private final Runway.Declared left;
  private final double gravel;
  /** At which the tables are read. */
  private final double tableC;

  private Takeoff(TakeoffType type, TakeoffCase of) {
    this.type = type;
    this.c = of;
    this.tables = type.tables().of(of.flap(), of.state());
    this.left = of.left();
    this.gravel = of.surface() == Runway.Surface.GRAVEL
        ? 1 + type.gravelPercent().orElse(0) / (double) PERCENT : 1;
    this.tableC = tableC();
  }

  /** What came of it. */
  public sealed interface Result {
    record Figures(TakeoffFigures figures) implements Result {}

    /** @param why there are no figures, one sentence */
    record None(TakeoffCase of, String why) implements Result {}
  }

  /** @param structureKg the most the structure allows today, for take-off and landing */
  public static Result of(TakeoffType type, TakeoffCase of, int structureKg) {
    Takeoff takeoff = new Takeoff(type, of);
    Optional<String> none = takeoff.refused();
    return none.isPresent() ? new Result.None(of, none.get())
        : new Result.Figures(takeoff.figures(structureKg));
  }

  /** The same in short. */
  static TakeoffOption.Result option(TakeoffType type, TakeoffCase of, int structureKg) {
    Takeoff takeoff = new Takeoff(type, of);
    Optional<String> none = takeoff.refused();
    return none.isPresent() ? new TakeoffOption.Result.None(of, none.get())
        : new TakeoffOption.Result.Figures(takeoff.option(structureKg));
  }

  /**
   * The highest assumed temperature with which everything still holds, whole degrees; empty where full thrust is
   * wanted.
   */
  public static OptionalInt mostAssumed(TakeoffType type, TakeoffCase of) {
    if (!type.assumes() || of.state().contaminated() && !type.reducedOnContaminated()) {
      return OptionalInt.empty();
    }
    int least = (int) Math.floor(of.air().temperatureC()) + 1;
    int most = hottest(type, of);
    if (least > most || !assumable(type, of, least)) {
      return OptionalInt.empty();
    }
    // By halving, as every degree takes thrust away.
    while (least < most) {
      int middle = (least + most + 1) >> 1;
      if (assumable(type, of, middle)) {
        least = middle;
      } else {
        most = middle - 1;
      }
    }
    return OptionalInt.of(least);
  }

  private static boolean assumable(TakeoffType type, TakeoffCase of, int celsius) {
    Takeoff takeoff = new Takeoff(type, of.with(new Thrust.Assumed(celsius)));
    return takeoff.refused().isEmpty() && takeoff.holds(of.weightKg());
  }

  private static int hottest(TakeoffType type, TakeoffCase of) {
    return type.tables().of(of.flap(), of.state()).axis(Grid.Of.TEMPERATURE).map(a -> (int) Math.floor(a.most()))
        .orElse(Integer.MIN_VALUE);
  }

  private Optional<String> refused() {
    if (c.surface() == Runway.Surface.GRAVEL && type.gravelPercent().isEmpty()) {
      return Optional.of("Runway %s is gravel, for which the type has no figures.".formatted(c.end().name()));
    }
    if (!type.tables().covers(c.state())) {
      return Optional.of("The type has no tables for a runway that is %s.".formatted(c.state().words()));
    }
    if (c.state().contaminated() && !type.reducedOnContaminated() && !(c.thrust() instanceof Thrust.Full)) {
      return Optional.of("Thrust is not reduced on a runway that is %s.".formatted(c.state().words()));
    }
    Grid.Point outside = at(c.weightKg(), outsideC());
    return missing(outside).or(this::thrustRefused).or(() -> missing(point(c.weightKg()))).or(this::tooLittle);
  }

  private Optional<String> missing(Grid.Point point) {
    return tables.missing(point, Gives.values()).map(w -> w + ".");
  }

  private Optional<String> thrustRefused() {
    return switch (c.thrust()) {
      case Thrust.Full f -> Optional.empty();
      case Thrust.Assumed a when !type.assumes() -> Optional.of("The type assumes no temperature.");
      case Thrust.Assumed a when a.celsius() < c.air().temperatureC() -> Optional.of(
          "%d °C is assumed, which is not above the %s °C outside.".formatted(
          a.celsius(), Numbers.written(c.air().temperatureC(), 0)));
      case Thrust.Assumed a -> Optional.empty();
      case Thrust.Step s when !type.steps().contains(s.percent()) -> Optional.of(
          "The type has no step of %d per cent.".formatted(s.percent()));
      case Thrust.Step s when Double.isNaN(tableC) -> Optional.of(
          "The tables do not reach down to %d per cent today.".formatted(s.percent()));
      case Thrust.Step s -> Optional.empty();
    };
  }

  private Optional<String> tooLittle() {
    double percent = thrustPercent();
    return percent < type.leastThrustPercent() - ROUNDING ? Optional.of(
        "Thrust %s would be %s %% of full, %d %% is the least.".formatted(
        c.thrust().words(), Numbers.written(percent, 1), type.leastThrustPercent())) : Optional.empty();
  }

  /** What is set, in per cent of what there is today. */
  private double thrustPercent() {
    return tables.at(Gives.POWER, point(c.weightKg()))
        / tables.at(Gives.POWER, point(c.weightKg()).temperature(outsideC())) * PERCENT;
  }

  private double outsideC() {
    return c.air().temperatureC() + (c.antiIce() ? type.antiIceC() : 0)
        + (c.airConditioning() ? type.airConditioningC() : 0);
  }

  private double tableC() {
    double outside = outsideC();
    return switch (c.thrust()) {
      case Thrust.Full f -> outside;
      case Thrust.Assumed a -> Math.max(outside, a.celsius() + outside - c.air().temperatureC());
      case Thrust.Step s -> hotEnough(outside, s.percent());
    };
  }

  /** The temperature at which full thrust is what the step sets today: below it the tables promise more. */
  private double hotEnough(double outside, int percent) {
    Grid.Point today = at(c.weightKg(), outside);
    double wanted = tables.at(Gives.POWER, today) * percent / PERCENT;
    double low = outside;
    double high = tables.axis(Grid.Of.TEMPERATURE).map(Grid.Axis::most).orElse(outside);
    if (!(tables.at(Gives.POWER, today.temperature(high)) <= wanted)) {
      return Double.NaN;
    }
    for (int i = 0; i < 2 * STEPS; i++) {
      double middle = (low + high) / 2;
      if (tables.at(Gives.POWER, today.temperature(middle)) <= wanted) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return high;
  }

  private Grid.Point point(double weightKg) {
    return at(weightKg, tableC);
  }

  private Grid.Point at(double weightKg, double temperatureC) {
    // More wind from ahead than the table knows is counted as what it knows: that is the safe side.
    double wind = Math.min(c.headKt(), tables.axis(Grid.Of.WIND).map(Grid.Axis::most).orElse(0.0));
    return new Grid.Point(
        weightKg, c.air().pressureAltitudeFt(), temperatureC, wind, c.end().slopePercent());
  }

  private TakeoffOption option(int structureKg) {
    Grid.Point p = point(c.weightKg());
    double go = Math.max(metres(Gives.ACCELERATE_GO, p, 1), metres(Gives.ALL_ENGINES, p, ALL_ENGINES_FACTOR));
    return new TakeoffOption(c, holds(c.weightKg()) && v2Kt(p) >= vrKt(p), (int) v1Kt(p), (int) vrKt(p),
        (int) v2Kt(p), left.asdaM() - (int) metres(Gives.ACCELERATE_STOP, p, 1), left.todaM() - (int) go,
        weights(structureKg).getFirst());
  }

  /** Rounded up. */
  private double metres(Gives gives, Grid.Point point, double factor) {
    return Math.ceil(tables.at(gives, point) * factor * gravel - ROUNDING);
  }

  private TakeoffFigures figures(int structureKg) {
    Grid.Point point = point(c.weightKg());
    Worked go = distance(Gives.ACCELERATE_GO, point, 1);
    Worked stop = distance(Gives.ACCELERATE_STOP, point, 1);
    Worked all = distance(Gives.ALL_ENGINES, point, ALL_ENGINES_FACTOR);
    Worked run = distance(Gives.TAKEOFF_RUN, point, 1);
    Speeds speeds = speeds(point);
    List<Limit> limits = new ArrayList<>();
    limits.add(fits("take-off distance, engine out", go, left.todaM(), "TODA"));
    limits.add(fits("take-off distance, all engines", all, left.todaM(), "TODA"));
    limits.add(fits("accelerate-stop distance", stop, left.asdaM(), "ASDA"));
    limits.add(fits("take-off run", run, left.toraM(), "TORA"));
    limits.add(climb(point));
    c.end().obstacles().forEach(o -> limits.add(over(o, point)));
    limits.add(brakes(speeds.v1.value(), point));
    limits.add(tyres(speeds.v2.value()));
    limits.addAll(relations(speeds, point));
    return new TakeoffFigures(c, speeds.v1, speeds.vr, speeds.v2, speeds.flapRetract, go, stop, all, run,
        left.asdaM() - stop.whole(), left.todaM() - Math.max(go.whole(), all.whole()), limits, weights(structureKg));
  }

  private Worked distance(Gives gives, Grid.Point point, double factor) {
    double table = tables.at(gives, point);
    List<String> lines = new ArrayList<>();
    lines.add("%s by the table for %s".formatted(Worked.m(table), words(point)));
    double metres = table * factor * gravel;
    if (factor != 1) {
      lines.add("× %s = %s".formatted(Numbers.written(factor, 2), Worked.m(table * factor)));
    }
    if (gravel != 1) {
      lines.add("× %s on gravel = %s".formatted(Numbers.written(gravel, 2), Worked.m(metres)));
    }
    double rounded = metres(gives, point, factor);
    lines.add("%s, rounded up".formatted(Worked.m(rounded)));
    return new Worked(rounded, lines, factor == 1 ? TABLES : TABLES + "; 14 CFR 25.113");
  }

  private String words(Grid.Point p) {
    return "%s, %s ft, %s °C, %s kt, slope %s %%, flap %s, %s".formatted(Worked.kg(p.weightKg()),
        Numbers.written(p.pressureAltitudeFt(), 0), Numbers.written(p.temperatureC(), 1), Numbers.written(p.windKt(), 0),
        Numbers.written(p.slopePercent(), 1), c.flap(), c.state().words());
  }

  private record Speeds(Worked v1, Worked vr, Worked v2, Worked flapRetract) {}

  /** V1 is rounded down, so that the stop holds; VR and V2 up, so that it flies; then 25.107 is held. */
  private Speeds speeds(Grid.Point point) {
    Worked v1 = atLeast(down(Gives.V1, point), type.leastV1Kt(), "the least V1 with an engine out on the ground");
    Worked vr = up(Gives.VR, point);
    vr = atLeast(vr, VR_OVER_VMC * type.vmcKt(), "1.05 VMC, 14 CFR 25.107(e)");
    vr = atLeast(vr, v1.value(), "V1, 14 CFR 25.107(e)");
    Worked v2 = up(Gives.V2, point);
    v2 = atLeast(v2, V2_OVER_STALL * tables.at(Gives.STALL, point), "1.13 of the stall speed, 14 CFR 25.107(b)");
    v2 = atLeast(v2, V2_OVER_VMC * type.vmcKt(), "1.10 VMC, 14 CFR 25.107(b)");
    return new Speeds(v1, vr, v2, up(Gives.FLAP_RETRACT, point));
  }

  /** The same V1 without its arithmetic. */
  private double v1Kt(Grid.Point point) {
    return Math.max(Math.floor(tables.at(Gives.V1, point) + ROUNDING), type.leastV1Kt());
  }

  /** The same VR without its arithmetic. */
  private double vrKt(Grid.Point point) {
    double most = Math.max(tables.at(Gives.VR, point), VR_OVER_VMC * type.vmcKt());
    return Math.max(v1Kt(point), Math.ceil(most - ROUNDING));
  }

  /** The same V2 without its arithmetic. */
  private double v2Kt(Grid.Point point) {
    double most = Math.max(tables.at(Gives.V2, point), V2_OVER_STALL * tables.at(Gives.STALL, point));
    return Math.ceil(Math.max(most, V2_OVER_VMC * type.vmcKt()) - ROUNDING);
  }

  private Worked down(Gives gives, Grid.Point point) {
    double table = tables.at(gives, point);
    return rounded(table, Math.floor(table + ROUNDING), "down", point);
  }

  private Worked up(Gives gives, Grid.Point point) {
    double table = tables.at(gives, point);
    return rounded(table, Math.ceil(table - ROUNDING), "up", point);
  }

  private Worked rounded(double table, double rounded, String which, Grid.Point point) {
    return Worked.of(rounded, TABLES, "%s kt by the table for %s".formatted(Numbers.written(table, 1), words(point)),
        "%s, rounded %s".formatted(Worked.kt(rounded), which));
  }

  private static Worked atLeast(Worked speed, double least, String why) {
    double whole = Math.ceil(least - ROUNDING);
    return speed.value() >= whole ? speed
        : speed.then(whole, "raised to %s: %s".formatted(Worked.kt(whole), why));
  }

  private List<Limit> relations(Speeds s, Grid.Point point) {
    double stall = tables.at(Gives.STALL, point);
    return List.of(
        relation("VR not below V1", s.vr.value(), s.v1.value()),
        relation("VR not below 1.05 VMC", s.vr.value(), VR_OVER_VMC * type.vmcKt()),
        relation("V2 not below 1.13 of the stall speed", s.v2.value(), V2_OVER_STALL * stall),
        relation("V2 not below VR", s.v2.value(), s.vr.value()));
  }

  private static Limit relation(String what, double speed, double least) {
    return new Limit(what, speed >= least - ROUNDING,
        "%s against %s kt.".formatted(Worked.kt(speed), Numbers.written(least, 1)), "14 CFR 25.107");
  }

  private static Limit fits(String what, Worked needed, int available, String which) {
    int over = available - needed.whole();
    return new Limit(what, over >= 0, "%s needed of %s %s, %s %s.".formatted(Worked.m(needed.value()),
        Worked.m(available), which, Worked.m(Math.abs(over)), over >= 0 ? "left" : "too short"), "14 CFR 25.113");
  }

  private Limit climb(Grid.Point point) {
    double gradient = tables.at(Gives.CLIMB, point);
    return new Limit("climb with an engine out", gradient >= type.leastClimb() - ROUNDING,
        "%s %% gross, at least %s %%.".formatted(Numbers.written(gradient, 2),
        Numbers.written(type.leastClimb(), 1)), "14 CFR 25.121(b)");
  }

  /** Net height over an obstacle, in feet above the end of the runway, counted from 35 ft with an engine out. */
  private double netFt(Runway.Obstacle o, Grid.Point point) {
    double go = tables.at(Gives.ACCELERATE_GO, point) * gravel;
    double net = (tables.at(Gives.CLIMB, point) - type.netLess()) / PERCENT * overGround(point);
    double ground = -Math.max(0, left.toraM() - go) * c.end().slopePercent() / PERCENT;
    double flown = left.toraM() + o.beyondEndM() - go;
    return SCREEN_FT + Units.ftFromMetres(ground + flown * net);
  }

  /** How steep the path is over the ground, of what it is in the air: no head wind counts, and 1.5 of a tail wind. */
  private double overGround(Grid.Point point) {
    double air = v2Kt(point) / Math.sqrt(c.air().densityRatio());
    return air / (air + TAIL_FACTOR * tailKt());
  }

  private Limit over(Runway.Obstacle o, Grid.Point point) {
    double over = netFt(o, point) - o.heightFt();
    return new Limit("obstacle", over >= SCREEN_FT - ROUNDING, "%s, %d ft at %s beyond the end: cleared by %s ft net, "
        .formatted(o.name(), o.heightFt(), Worked.m(o.beyondEndM()), Numbers.written(Math.floor(over), 0))
        + "at least %s.".formatted(Numbers.written(SCREEN_FT, 0)), "14 CFR 25.115, 121.189");
  }

  private double tailKt() {
    return Math.max(0, -c.headKt());
  }

  private Limit brakes(double v1, Grid.Point point) {
    double most = tables.at(Gives.BRAKE_ENERGY, point);
    return new Limit("brake energy", brakesHold(v1, point), "V1 %s%s, at most %s.".formatted(Worked.kt(v1),
        tailKt() > 0 ? " and a tail wind of " + Worked.kt(tailKt()) : "", Worked.kt(Math.floor(most))),
        "14 CFR 25.109");
  }

  private boolean brakesHold(double v1, Grid.Point point) {
    return v1 + tailKt() <= tables.at(Gives.BRAKE_ENERGY, point) + ROUNDING;
  }

  private boolean tyresHold(double v2) {
    return Math.ceil(groundKt(v2) - ROUNDING) <= type.tyreKt();
  }

  private double groundKt(double v2) {
    return v2 / Math.sqrt(c.air().densityRatio()) + tailKt();
  }

  private Limit tyres(double v2) {
    double ground = Math.ceil(groundKt(v2) - ROUNDING);
    return new Limit("tyre speed", tyresHold(v2), "V2 is %s over the ground, at most %s.".formatted(
        Worked.kt(ground), Worked.kt(type.tyreKt())), "Limit of the type");
  }

  private boolean holds(double kg) {
    return Arrays.stream(LimitedBy.values()).filter(b -> b != LimitedBy.STRUCTURE).allMatch(b -> holds(b, kg));
  }

  /** Whether a weight is within one limit, everything else as it is; false where the tables say nothing. */
  private boolean holds(LimitedBy by, double kg) {
    Grid.Point p = point(kg);
    return switch (by) {
      case GO_DISTANCE -> tables.at(Gives.ACCELERATE_GO, p) * gravel <= left.todaM();
      case STOP_DISTANCE -> tables.at(Gives.ACCELERATE_STOP, p) * gravel <= left.asdaM();
      case ALL_ENGINES_DISTANCE -> tables.at(Gives.ALL_ENGINES, p) * ALL_ENGINES_FACTOR * gravel <= left.todaM();
      case TAKEOFF_RUN -> tables.at(Gives.TAKEOFF_RUN, p) * gravel <= left.toraM();
      case CLIMB -> tables.at(Gives.CLIMB, p) >= type.leastClimb();
      case OBSTACLE -> c.end().obstacles().stream().allMatch(o -> netFt(o, p) - o.heightFt() >= SCREEN_FT);
      case BRAKE_ENERGY -> brakesHold(v1Kt(p), p);
      case TYRE -> tyresHold(v2Kt(p));
      case STRUCTURE -> true;
    };
  }

  private List<LimitingWeight> weights(int structureKg) {
    List<LimitingWeight> all = new ArrayList<>();
    Grid.Axis axis = tables.axis(Grid.Of.WEIGHT).orElseThrow();
    for (LimitedBy by : LimitedBy.values()) {
      boolean obstacles = by != LimitedBy.OBSTACLE || !c.end().obstacles().isEmpty();
      if (by != LimitedBy.STRUCTURE && obstacles) {
        all.add(heaviest(by, axis, kg -> holds(by, kg)));
      }
    }
    all.add(new LimitingWeight(LimitedBy.STRUCTURE, structureKg, true));
    all.sort(Comparator.comparingInt(LimitingWeight::kg));
    return all;
  }

  /** By halving, as every limit is met the sooner the heavier it is. */
  private static LimitingWeight heaviest(LimitedBy by, Grid.Axis axis, DoublePredicate holds) {
    double low = axis.least();
    double high = axis.most();
    if (holds.test(high)) {
      return new LimitingWeight(by, (int) high, false);
    }
    if (!holds.test(low)) {
      return new LimitingWeight(by, 0, true);
    }
    for (int i = 0; i < STEPS; i++) {
      double middle = (low + high) / 2;
      if (holds.test(middle)) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return new LimitingWeight(by, (int) Math.floor(low), true);
  }
}
