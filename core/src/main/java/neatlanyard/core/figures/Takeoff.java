package neatlanyard.core.figures;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import neatlanyard.core.figures.TakeoffFigures.Distance;
import neatlanyard.core.figures.TakeoffFigures.LimitedBy;
import neatlanyard.core.figures.TakeoffRules.Fit;
import neatlanyard.core.figures.TakeoffTables.ForFlap;
import neatlanyard.core.figures.TakeoffTables.Gives;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.units.Numbers;

/** Works a take-off out of a type's tables, each figure with its arithmetic and each limit in words. */
public final class Takeoff {
  private static final String TABLES = "Take-off tables of the type";

  private final TakeoffType type;
  private final TakeoffCase c;
  private final TakeoffReading reading;
  private final ForFlap tables;

  private Takeoff(TakeoffType type, TakeoffCase of, TakeoffReading reading) {
    this.type = type;
    this.c = of;
    this.reading = reading;
    this.tables = reading.tables;
  }

  /** What came of it. */
  public sealed interface Result {
    record Figures(TakeoffFigures figures) implements Result {}

    /** @param why there are no figures, one sentence */
    record None(TakeoffCase of, String why) implements Result {}
  }

  /** @param structureKg the most the structure allows today, for take-off and landing */
  public static Result of(TakeoffType type, TakeoffCase of, int structureKg) {
    TakeoffReading reading = new TakeoffReading(type, of);
    Optional<String> none = reading.refused();
    return none.isPresent() ? new Result.None(of, none.get())
        : new Result.Figures(new Takeoff(type, of, reading).figures(structureKg));
  }

  /** The same in short. */
  static TakeoffOption.Result option(TakeoffType type, TakeoffCase of, int structureKg) {
    TakeoffReading reading = new TakeoffReading(type, of);
    Optional<String> none = reading.refused();
    return none.isPresent() ? new TakeoffOption.Result.None(of, none.get())
        : new TakeoffOption.Result.Figures(reading.option(structureKg));
  }

  /**
   * The highest assumed temperature with which everything still holds, whole degrees; empty where full thrust is
   * wanted.
   */
  public static OptionalInt mostAssumed(TakeoffType type, TakeoffCase of) {
    return TakeoffReading.mostAssumed(type, of);
  }

  private TakeoffFigures figures(int structureKg) {
    Grid.Point point = reading.point(c.weightKg());
    List<Distance> distances = reading.fits.stream().map(f -> distance(f, point)).toList();
    Optional<Worked> v1 = reading.hasV1() ? Optional.of(speed(Gives.V1, point)) : Optional.empty();
    Worked vr = speed(Gives.VR, point);
    Worked v2 = speed(Gives.V2, point);
    List<Limit> limits = new ArrayList<>();
    for (int i = 0; i < distances.size(); i++) {
      limits.add(fits(distances.get(i), reading.fits.get(i).source()));
    }
    v1.ifPresent(v -> {
      limits.add(climb(point));
      c.end().obstacles().forEach(o -> limits.add(over(o, point)));
      limits.add(brakes(v.value(), point));
    });
    limits.add(tyres(v2.value()));
    limits.addAll(v1.isPresent() ? relations(v1.get().value(), vr.value(), v2.value(), point)
        : relations(vr.value(), v2.value(), point));
    return new TakeoffFigures(c, v1, vr, v2, speed(Gives.FLAP_RETRACT, point),
        tables.at(Gives.ALL_ENGINES, point) * reading.gravel, distances, limits, reading.weights(structureKg));
  }

  private Distance distance(Fit fit, Grid.Point point) {
    return new Distance(fit.by(), fit.what(), needed(fit, point), fit.availableM(), fit.which());
  }

  private Worked needed(Fit fit, Grid.Point point) {
    double factor = fit.factor();
    double table = tables.at(fit.table(), point);
    List<String> lines = new ArrayList<>();
    lines.add("%s by the table for %s".formatted(Worked.m(table), words(point)));
    double metres = table * factor * reading.gravel;
    if (factor != 1) {
      lines.add("× %s = %s".formatted(Numbers.written(factor, 2), Worked.m(table * factor)));
    }
    if (reading.gravel != 1) {
      lines.add("× %s on gravel = %s".formatted(Numbers.written(reading.gravel, 2), Worked.m(metres)));
    }
    double rounded = reading.metres(fit, point);
    lines.add("%s, rounded up".formatted(Worked.m(rounded)));
    return new Worked(rounded, lines, factor == 1 ? TABLES : "%s; %s".formatted(TABLES, fit.source()));
  }

  private String words(Grid.Point p) {
    return "%s, %s ft, %s °C, %s kt, slope %s, flap %s, %s".formatted(Worked.kg(p.weightKg()),
        Numbers.written(p.pressureAltitudeFt(), 0), Numbers.written(p.temperatureC(), 1),
        Numbers.written(p.windKt(), 0), Worked.percent(p.slopePercent(), 1), c.flap(), c.state().words());
  }

  /** The same with its arithmetic. */
  private Worked speed(Gives speed, Grid.Point point) {
    double table = tables.at(speed, point);
    double rounded = TakeoffReading.rounded(speed, table);
    Worked worked = Worked.of(rounded, TABLES, "%s kt by the table for %s".formatted(
        Numbers.written(table, 1), words(point)),
        "%s, rounded %s".formatted(Worked.kt(rounded), speed == Gives.V1 ? "down" : "up"));
    for (TakeoffReading.Floor floor : reading.floors(speed, point)) {
      worked = atLeast(worked, floor.kt(), floor.why());
    }
    return worked;
  }

  private static Worked atLeast(Worked speed, double least, String why) {
    double whole = Math.ceil(least - TakeoffReading.ROUNDING);
    return speed.value() >= whole ? speed
        : speed.then(whole, "raised to %s: %s".formatted(Worked.kt(whole), why));
  }

  private List<Limit> relations(double v1, double vr, double v2, Grid.Point point) {
    return List.of(
        relation("VR not below V1", vr, v1),
        relation("VR not below 1.05 VMC", vr, TakeoffReading.VR_OVER_VMC * type.vmcKt()),
        relation("V2 not below 1.13 of the stall speed", v2, reading.leastV2(point)),
        relation("V2 not below VR", v2, vr));
  }

  private List<Limit> relations(double vr, double v2, Grid.Point point) {
    return List.of(
        relation("VR not below the stall speed", vr, tables.at(Gives.STALL, point)),
        relation("V2 not below 1.2 of the stall speed", v2, reading.leastV2(point)),
        relation("V2 not below VR", v2, vr));
  }

  private Limit relation(String what, double speed, double least) {
    return new Limit(what, speed >= least - TakeoffReading.ROUNDING,
        "%s against %s kt.".formatted(Worked.kt(speed), Numbers.written(least, 1)),
        reading.hasV1() ? "14 CFR 25.107" : "14 CFR 23.51");
  }

  private Limit fits(Distance d, String source) {
    return limit(d.by(), "%s needed of %s %s, %s.".formatted(Worked.m(d.needed().value()), Worked.m(d.availableM()),
        d.which(), d.leftM() >= 0 ? Worked.m(d.leftM()) + " left" : Worked.m(-d.leftM()) + " too short"), source);
  }

  private Limit limit(LimitedBy by, String words, String source) {
    return new Limit(by.words(), reading.holds(by, c.weightKg()), words, source);
  }

  private Limit climb(Grid.Point point) {
    return limit(LimitedBy.CLIMB, "%s gross, at least %s.".formatted(
        Worked.percent(tables.at(Gives.CLIMB, point), 2), Worked.percent(type.leastClimb(), 1)),
        "14 CFR 25.121(b)");
  }

  private Limit over(Runway.Obstacle o, Grid.Point point) {
    double over = reading.netFt(o, point) - o.heightFt();
    return new Limit(LimitedBy.OBSTACLE.words(), reading.clears(o, point),
        "%s, %d ft at %s beyond the end: cleared by %s ft net, at least %s.".formatted(o.name(), o.heightFt(),
        Worked.m(o.beyondEndM()), Numbers.written(Math.floor(over), 0),
        Numbers.written(TakeoffReading.SCREEN_FT, 0)), "14 CFR 25.115, 121.189");
  }

  private Limit brakes(double v1, Grid.Point point) {
    double most = tables.at(Gives.BRAKE_ENERGY, point);
    return limit(LimitedBy.BRAKE_ENERGY, "V1 %s%s, at most %s.".formatted(Worked.kt(v1),
        reading.tailKt() > 0 ? " and a tail wind of " + Worked.kt(reading.tailKt()) : "", Worked.kt(Math.floor(most))),
        "14 CFR 25.109");
  }

  private Limit tyres(double v2) {
    double ground = Math.ceil(reading.groundKt(v2) - TakeoffReading.ROUNDING);
    return limit(LimitedBy.TYRE, "V2 is %s over the ground, at most %s.".formatted(
        Worked.kt(ground), Worked.kt(type.tyreKt())), "Limit of the type");
  }
}
