package neatlanyard.core.figures;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.DoublePredicate;
import neatlanyard.core.figures.TakeoffFigures.LimitedBy;
import neatlanyard.core.figures.TakeoffFigures.LimitingWeight;
import neatlanyard.core.figures.TakeoffRules.Fit;
import neatlanyard.core.figures.TakeoffTables.ForFlap;
import neatlanyard.core.figures.TakeoffTables.Gives;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.units.Units;

/**
 * One way to take off, read out of a type's tables in bare numbers: straight between their points, never beyond them,
 * rounded to the safe side. {@link Takeoff} puts it into words.
 *
 * <p>Distances by 14 CFR 25.113, speeds by 25.107, gradients by 25.121(b) and 25.115, brakes by 25.109; with one
 * engine see {@link TakeoffRules#ONE_ENGINE}. What the wind's half and one and a half times do (25.105(d)) is in the
 * tables.
 */
final class TakeoffReading {
  static final double SCREEN_FT = 35;
  static final double VR_OVER_VMC = 1.05;
  private static final double V2_OVER_VMC = 1.10;
  private static final int PERCENT = 100;
  /** 14 CFR 25.105(d). */
  private static final double TAIL_FACTOR = 1.5;
  private static final int STEPS = 18;
  /** What binary fractions may make of a whole number. */
  static final double ROUNDING = 1e-9;

  private final TakeoffType type;
  private final TakeoffCase c;
  final ForFlap tables;
  private final TakeoffRules rules;
  final Runway.Declared left;
  final List<Fit> fits;
  final double gravel;
  /** At which the tables are read. */
  private final double tableC;

  TakeoffReading(TakeoffType type, TakeoffCase of) {
    this.type = type;
    this.c = of;
    this.tables = type.tables().of(of.flap(), of.state());
    this.rules = type.rules();
    this.left = of.left();
    this.fits = rules.fits(left);
    this.gravel = of.surface() == Runway.Surface.GRAVEL
        ? 1 + type.gravelPercent().orElse(0) / (double) PERCENT : 1;
    this.tableC = tableC();
  }

  /**
   * The highest assumed temperature with which everything still holds, whole degrees; empty where full thrust is
   * wanted.
   */
  static OptionalInt mostAssumed(TakeoffType type, TakeoffCase of) {
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
    TakeoffReading reading = new TakeoffReading(type, of.with(new Thrust.Assumed(celsius)));
    return reading.refused().isEmpty() && reading.holds(of.weightKg());
  }

  private static int hottest(TakeoffType type, TakeoffCase of) {
    return type.tables().of(of.flap(), of.state()).axis(Grid.Of.TEMPERATURE).map(a -> (int) Math.floor(a.most()))
        .orElse(Integer.MIN_VALUE);
  }

  Optional<String> refused() {
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
    return tables.missing(rules.asked(), point).map(w -> w + ".");
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
        "Thrust %s would be %s of full, %s is the least.".formatted(
        c.thrust().words(), Worked.percent(percent, 1), Worked.percent(type.leastThrustPercent(), 0)))
        : Optional.empty();
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

  Grid.Point point(double weightKg) {
    return at(weightKg, tableC);
  }

  private Grid.Point at(double weightKg, double temperatureC) {
    // More wind from ahead than the table knows is counted as what it knows: that is the safe side.
    double wind = Math.min(c.headKt(), tables.axis(Grid.Of.WIND).map(Grid.Axis::most).orElse(0.0));
    return new Grid.Point(
        weightKg, c.air().pressureAltitudeFt(), temperatureC, wind, c.end().slopePercent());
  }

  TakeoffOption option(int structureKg) {
    Grid.Point p = point(c.weightKg());
    double vr = kt(Gives.VR, p);
    double v2 = kt(Gives.V2, p);
    OptionalInt v1 = hasV1() ? OptionalInt.of((int) kt(Gives.V1, p)) : OptionalInt.empty();
    int least = Integer.MAX_VALUE;
    String tightest = "";
    for (Fit fit : fits) {
      int left = fit.availableM() - (int) metres(fit, p);
      if (left < least) {
        least = left;
        tightest = fit.what();
      }
    }
    return new TakeoffOption(c, holds(c.weightKg()) && v2 >= vr, v1, (int) vr, (int) v2, least, tightest,
        weights(structureKg).getFirst());
  }

  boolean hasV1() {
    return rules == TakeoffRules.ENGINE_OUT;
  }

  /** Rounded up. */
  double metres(Fit fit, Grid.Point point) {
    return Math.ceil(tables.at(fit.table(), point) * fit.factor() * gravel - ROUNDING);
  }

  /** What a speed is raised to, and why. */
  record Floor(double kt, String why) {}

  /** 14 CFR 25.107; VR rests on V1. With one engine 14 CFR 23.51 before amendment 23-64, from memory. */
  List<Floor> floors(Gives speed, Grid.Point point) {
    if (!hasV1()) {
      return speed == Gives.VR ? List.of(new Floor(tables.at(Gives.STALL, point), "the stall speed, 14 CFR 23.51(a)"))
          : speed == Gives.V2 ? List.of(new Floor(leastV2(point), "1.2 of the stall speed, 14 CFR 23.51(c)"))
          : List.of();
    }
    return switch (speed) {
      case V1 -> List.of(new Floor(type.leastV1Kt(), "the least V1 with an engine out on the ground"));
      case VR -> List.of(new Floor(VR_OVER_VMC * type.vmcKt(), "1.05 VMC, 14 CFR 25.107(e)"),
          new Floor(kt(Gives.V1, point), "V1, 14 CFR 25.107(e)"));
      case V2 -> List.of(
          new Floor(leastV2(point), "1.13 of the stall speed, 14 CFR 25.107(b)"),
          new Floor(V2_OVER_VMC * type.vmcKt(), "1.10 VMC, 14 CFR 25.107(b)"));
      default -> List.of();
    };
  }

  double leastV2(Grid.Point point) {
    return rules.v2OverStall() * tables.at(Gives.STALL, point);
  }

  /** V1 is rounded down, so that the stop holds; the others up, so that it flies. */
  static double rounded(Gives speed, double table) {
    return speed == Gives.V1 ? Math.floor(table + ROUNDING) : Math.ceil(table - ROUNDING);
  }

  /** A speed in whole knots. */
  double kt(Gives speed, Grid.Point point) {
    double kt = rounded(speed, tables.at(speed, point));
    for (Floor floor : floors(speed, point)) {
      kt = Math.max(kt, Math.ceil(floor.kt - ROUNDING));
    }
    return kt;
  }

  /** Net height over an obstacle, in feet above the end of the runway, counted from 35 ft with an engine out. */
  double netFt(Runway.Obstacle o, Grid.Point point) {
    double go = tables.at(Gives.ACCELERATE_GO, point) * gravel;
    double net = (tables.at(Gives.CLIMB, point) - type.netLess()) / PERCENT * overGround(point);
    double ground = -Math.max(0, left.toraM() - go) * c.end().slopePercent() / PERCENT;
    double flown = left.toraM() + o.beyondEndM() - go;
    return SCREEN_FT + Units.ftFromMetres(ground + flown * net);
  }

  /** How steep the path is over the ground, of what it is in the air: no head wind counts, and 1.5 of a tail wind. */
  private double overGround(Grid.Point point) {
    double air = kt(Gives.V2, point) / Math.sqrt(c.air().densityRatio());
    return air / (air + TAIL_FACTOR * tailKt());
  }

  boolean clears(Runway.Obstacle o, Grid.Point point) {
    return netFt(o, point) - o.heightFt() >= SCREEN_FT;
  }

  double tailKt() {
    return Math.max(0, -c.headKt());
  }

  double groundKt(double v2) {
    return v2 / Math.sqrt(c.air().densityRatio()) + tailKt();
  }

  private boolean holds(double kg) {
    for (LimitedBy by : rules.limits()) {
      if (!holds(by, kg)) {
        return false;
      }
    }
    return true;
  }

  /** Whether a weight is within one limit, everything else as it is; false where the tables say nothing. */
  boolean holds(LimitedBy by, double kg) {
    Grid.Point p = point(kg);
    return switch (by) {
      case GO_DISTANCE, STOP_DISTANCE, ALL_ENGINES_DISTANCE, TAKEOFF_RUN, TAKEOFF_DISTANCE -> fits(by, p);
      case CLIMB -> tables.at(Gives.CLIMB, p) >= type.leastClimb();
      case OBSTACLE -> c.end().obstacles().stream().allMatch(o -> clears(o, p));
      case BRAKE_ENERGY -> kt(Gives.V1, p) + tailKt() <= tables.at(Gives.BRAKE_ENERGY, p) + ROUNDING;
      case TYRE -> Math.ceil(groundKt(kt(Gives.V2, p)) - ROUNDING) <= type.tyreKt();
      case STRUCTURE -> true;
    };
  }

  private boolean fits(LimitedBy by, Grid.Point point) {
    for (Fit fit : fits) {
      if (fit.by() == by && !(tables.at(fit.table(), point) * fit.factor() * gravel <= fit.availableM())) {
        return false;
      }
    }
    return true;
  }

  List<LimitingWeight> weights(int structureKg) {
    List<LimitingWeight> all = new ArrayList<>();
    Grid.Axis axis = tables.axis(Grid.Of.WEIGHT).orElseThrow();
    for (LimitedBy by : rules.limits()) {
      boolean any = switch (by) {
        case OBSTACLE -> !c.end().obstacles().isEmpty();
        case TAKEOFF_DISTANCE, STOP_DISTANCE -> fits.stream().anyMatch(f -> f.by() == by);
        default -> true;
      };
      if (any) {
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
