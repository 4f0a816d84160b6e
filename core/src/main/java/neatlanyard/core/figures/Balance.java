package neatlanyard.core.figures;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import neatlanyard.core.figures.Loading.Place;
import neatlanyard.core.figures.Loading.Trim;
import neatlanyard.core.figures.Loading.Weighing;
import neatlanyard.core.units.Numbers;

/**
 * Weights and centre of gravity, worked out from a load sheet by moments (FAA-H-8083-1B).
 *
 * <p>Where the sheet says what is where, the zero-fuel weight is worked out from that, and what the sheet states is
 * held against it; else what it states is taken.
 *
 * @param zeroFuelKg and the others in kilograms
 * @param zeroFuelPercent of the mean chord
 * @param trim for the take-off; empty where the type's table does not reach
 */
public record Balance(
    Worked zeroFuelKg, Worked zeroFuelPercent, Worked grossKg, Worked takeoffKg, Worked takeoffPercent,
    Worked landingKg, Optional<Trim> trim, List<Limit> limits) {
  /** How a limit ends that holds what a sheet states against what is on it. */
  public static final String AS_STATED = " as stated";

  private static final String SHEET = "The load sheet";
  private static final String MOMENTS = "Moments, FAA-H-8083-1B; arms of the type";
  /** A sheet counts in whole kilograms and tenths of a per cent. */
  private static final double AGREES_KG = 20;
  private static final double AGREES_PERCENT = 0.3;

  public Balance {
    limits = List.copyOf(limits);
  }

  private record Moment(double kg, double kgM) {
    Moment and(double more, double armM) {
      return new Moment(kg + more, kgM + more * armM);
    }

    double armM() {
      return kgM / kg;
    }
  }

  /**
   * @param aircraftKg gross weight by the aircraft's own system; empty where nobody has read it
   * @param agreesWithinKg how far that may lie from the sheet's
   */
  public static Balance of(LoadSheet sheet, Loading type, OptionalDouble aircraftKg, double agreesWithinKg) {
    Worked[] zero = changed(sheet, type, sheet.load().isPresent() && type.weighings().containsKey(sheet.tail())
        ? byMoments(sheet, sheet.load().get(), type) : stated(sheet));
    Moment empty = new Moment(zero[0].value(), zero[0].value() * type.chord().armM(zero[1].value()));
    Moment full = empty;
    for (Place tank : type.tanks()) {
      full = full.and(sheet.fuelKg().getOrDefault(tank.id(), 0.0), tank.armM());
    }
    double fuel = sheet.allFuelKg();
    Worked gross = Worked.of(full.kg, SHEET, "%s zero fuel + %s fuel = %s".formatted(
        Worked.kg(empty.kg), Worked.kg(fuel), Worked.kg(full.kg)));
    // What taxiing burns comes from the tanks in proportion.
    double share = fuel == 0 ? 0 : Math.min(1, sheet.taxiFuelKg() / fuel);
    Moment takeoff = new Moment(full.kg - fuel * share, full.kgM - (full.kgM - empty.kgM) * share);
    Worked takeoffKg = Worked.of(takeoff.kg, SHEET, "%s gross − %s taxi fuel = %s".formatted(
        Worked.kg(full.kg), Worked.kg(fuel * share), Worked.kg(takeoff.kg)));
    double percent = type.chord().percent(takeoff.armM());
    Worked takeoffPercent = Worked.of(percent, MOMENTS, "Zero fuel %s kg·m + fuel %s kg·m = %s kg·m at take-off"
        .formatted(Numbers.written(empty.kgM, 0), Numbers.written(takeoff.kgM - empty.kgM, 0),
        Numbers.written(takeoff.kgM, 0)), chord(type, takeoff.armM(), percent));
    Worked landing = Worked.of(takeoff.kg - sheet.tripFuelKg(), SHEET, "%s take-off − %s trip fuel = %s".formatted(
        Worked.kg(takeoff.kg), Worked.kg(sheet.tripFuelKg()), Worked.kg(takeoff.kg - sheet.tripFuelKg())));
    Balance balance = new Balance(
        zero[0], zero[1], gross, takeoffKg, takeoffPercent, landing, type.trim(percent), List.of());
    return balance.with(balance.limits(sheet, type, aircraftKg, agreesWithinKg));
  }

  private Balance with(List<Limit> all) {
    return new Balance(zeroFuelKg, zeroFuelPercent, grossKg, takeoffKg, takeoffPercent, landingKg, trim, all);
  }

  /** With what came or went since the sheet was made. */
  private static Worked[] changed(LoadSheet sheet, Loading type, Worked[] zero) {
    if (sheet.change().none()) {
      return zero;
    }
    Moment sum = new Moment(zero[0].value(), zero[0].value() * type.chord().armM(zero[1].value()));
    List<String> lines = new ArrayList<>(zero[0].arithmetic());
    for (Map.Entry<Place, Double> at : sheet.change().kgAt(type).entrySet()) {
      sum = sum.and(at.getValue(), at.getKey().armM());
      lines.add("Last minute, %s: %s%s at %s m".formatted(at.getKey().name(), at.getValue() < 0 ? "\u2212" : "+",
          Worked.kg(Math.abs(at.getValue())), Numbers.written(at.getKey().armM(), 3)));
    }
    double percent = type.chord().percent(sum.armM());
    return new Worked[] {
        new Worked(sum.kg, lines, zero[0].source()).then(sum.kg, "Zero-fuel weight " + Worked.kg(sum.kg)),
        Worked.of(percent, MOMENTS, "%s kg\u00b7m / %s".formatted(Numbers.written(sum.kgM, 0), Worked.kg(sum.kg)),
            chord(type, sum.armM(), percent))};
  }

  private static Worked[] stated(LoadSheet sheet) {
    return new Worked[] {
        Worked.of(sheet.stated().zeroFuelKg(), SHEET, "Stated: " + Worked.kg(sheet.stated().zeroFuelKg())),
        Worked.of(sheet.stated().zeroFuelPercent(), SHEET,
            "Stated: " + Worked.percent(sheet.stated().zeroFuelPercent(), 1))};
  }

  private static String chord(Loading type, double armM, double percent) {
    return "Arm %s m; (%s − %s) / %s m × 100 = %s".formatted(Numbers.written(armM, 3), Numbers.written(armM, 3),
        Numbers.written(type.chord().leadingEdgeM(), 3), Numbers.written(type.chord().lengthM(), 3),
        Worked.percent(percent, 1));
  }

  private static Worked[] byMoments(LoadSheet sheet, LoadSheet.Load load, Loading type) {
    Weighing weighing = java.util.Objects.requireNonNull(type.weighings().get(sheet.tail()));
    Moment sum = new Moment(weighing.kg(), weighing.kg() * weighing.armM());
    List<String> lines = new ArrayList<>();
    lines.add("%s as weighed: %s at %s m".formatted(sheet.tail(), Worked.kg(weighing.kg()),
        Numbers.written(weighing.armM(), 3)));
    for (Place cabin : type.cabins()) {
      int heads = load.passengers().getOrDefault(cabin.id(), 0);
      if (heads > 0) {
        sum = sum.and(heads * (double) type.passengerKg(), cabin.armM());
        lines.add("%s: %d × %s at %s m".formatted(cabin.name(), heads, Worked.kg(type.passengerKg()),
            Numbers.written(cabin.armM(), 3)));
      }
    }
    for (Place hold : type.holds()) {
      double kg = load.holdsKg().getOrDefault(hold.id(), 0.0);
      if (kg > 0) {
        sum = sum.and(kg, hold.armM());
        lines.add("%s: %s at %s m".formatted(hold.name(), Worked.kg(kg), Numbers.written(hold.armM(), 3)));
      }
    }
    double percent = type.chord().percent(sum.armM());
    Worked kg = new Worked(sum.kg, lines, MOMENTS).then(sum.kg, "Zero-fuel weight " + Worked.kg(sum.kg));
    Worked centre = Worked.of(percent, MOMENTS, "%s kg·m / %s".formatted(
        Numbers.written(sum.kgM, 0), Worked.kg(sum.kg)), chord(type, sum.armM(), percent));
    return new Worked[] {kg, centre};
  }

  private List<Limit> limits(LoadSheet sheet, Loading type, OptionalDouble aircraftKg, double agreesWithinKg) {
    List<Limit> all = new ArrayList<>();
    all.add(most("zero-fuel weight", zeroFuelKg.value(), type.most().zeroFuelKg()));
    all.add(most("taxi weight", grossKg.value(), type.most().taxiKg()));
    all.add(most("take-off weight", takeoffKg.value(), type.most().takeoffKg()));
    all.add(most("landing weight", landingKg.value(), type.most().landingKg()));
    all.add(within(type, "zero fuel", zeroFuelPercent.value(), zeroFuelKg.value()));
    all.add(within(type, "take-off", takeoffPercent.value(), takeoffKg.value()));
    places(type.holds(), sheet.holdsKg()).forEach(all::add);
    places(type.tanks(), sheet.fuelKg()).forEach(all::add);
    if (sheet.change().none()) {
      stated(sheet.stated(), all);
    } else {
      // What it states is of before the change.
      Balance received = of(sheet.with(LastMinuteChange.NONE), type, OptionalDouble.empty(), agreesWithinKg);
      received.stated(sheet.stated(), all);
      all.add(sheet.change().limit(type));
    }
    aircraftKg.ifPresent(v -> all.add(aircraft(v, agreesWithinKg)));
    return all;
  }

  private void stated(LoadSheet.Stated stated, List<Limit> all) {
    all.add(agrees("zero-fuel weight", stated.zeroFuelKg(), zeroFuelKg, AGREES_KG, "kg"));
    all.add(agrees("zero-fuel centre", stated.zeroFuelPercent(), zeroFuelPercent, AGREES_PERCENT, "%"));
    stated.grossKg().ifPresent(v -> all.add(agrees("gross weight", v, grossKg, AGREES_KG, "kg")));
    stated.takeoffKg().ifPresent(v -> all.add(agrees("take-off weight", v, takeoffKg, AGREES_KG, "kg")));
    stated.landingKg().ifPresent(v -> all.add(agrees("landing weight", v, landingKg, AGREES_KG, "kg")));
  }

  private static Limit most(String what, double kg, int most) {
    return new Limit(what, kg <= most, kg <= most
        ? "%s of at most %s.".formatted(Worked.kg(kg), Worked.kg(most))
        : "%s is %s over the most, %s.".formatted(Worked.kg(kg), Worked.kg(Math.ceil(kg - most)), Worked.kg(most)),
        "Structural limit of the type");
  }

  private static Limit within(Loading type, String when, double percent, double kg) {
    boolean held = type.within(percent, kg);
    return new Limit("centre of gravity, " + when, held, "%s at %s is %s the envelope.".formatted(
        Worked.percent(percent, 1), Worked.kg(kg), held ? "within" : "outside"), "Envelope of the type");
  }

  private static List<Limit> places(List<Place> places, Map<String, Double> kg) {
    Map<String, Double> unknown = new TreeMap<>(kg);
    List<Limit> all = new ArrayList<>();
    for (Place place : places) {
      double there = kg.getOrDefault(place.id(), 0.0);
      unknown.remove(place.id());
      if (there > place.mostKg()) {
        all.add(new Limit(place.name(), false, "%s holds %s, at most %s.".formatted(
            place.name(), Worked.kg(there), Worked.kg(place.mostKg())), "Limits of the type"));
      }
    }
    unknown.forEach((id, v) -> all.add(new Limit(id, false,
        "The type has no '%s', where %s are said to be.".formatted(id, Worked.kg(v)), "Limits of the type")));
    return all;
  }

  private static Limit agrees(String what, double stated, Worked own, double within, String unit) {
    double apart = stated - own.value();
    int decimals = unit.equals("%") ? 1 : 0;
    boolean held = Math.abs(apart) <= within;
    return new Limit(what + AS_STATED, held, held
        ? "The sheet's %s %s agrees.".formatted(Numbers.written(stated, decimals), unit)
        : "The sheet states %s %s; what is on it comes to %s %s: %s %s apart.".formatted(
        Numbers.written(stated, decimals), unit, Numbers.written(own.value(), decimals), unit,
        Numbers.written(Math.abs(apart), decimals), unit), SHEET);
  }

  private Limit aircraft(double aircraftKg, double within) {
    double apart = Math.abs(aircraftKg - grossKg.value());
    boolean held = apart <= within;
    return new Limit("gross weight by the aircraft", held,
        "The aircraft weighs itself at %s, the sheet comes to %s: %s apart, at most %s.".formatted(
        Worked.kg(aircraftKg), Worked.kg(grossKg.value()), Worked.kg(apart), Worked.kg(within)),
        "Tolerance of the operator (common practice, no source)");
  }
}
