package neatlanyard.core.figures;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.units.Words;
import neatlanyard.core.weather.Air;

/**
 * What a wrong figure would have done to the take-off: what the aircraft would have been told with it, flown at the
 * weight and on the runway that are.
 */
public final class Consequence {
  private final DepartureFigures f;
  private final TakeoffFigures right;

  private Consequence(DepartureFigures figures, TakeoffFigures right) {
    this.f = figures;
    this.right = right;
  }

  /**
   * In one or two sentences; empty where nothing of the take-off hangs on it, or there are no figures.
   *
   * @param figure the one that was entered wrong
   * @param entered as a plain number in the figure's unit, or as its code
   */
  public static Optional<String> of(DepartureFigures figures, CriticalFigure figure, String entered) {
    return figures.chosen().flatMap(c -> c instanceof Takeoff.Result.Figures t
        ? new Consequence(figures, t.figures()).of(figure, entered) : Optional.empty());
  }

  private Optional<String> of(CriticalFigure figure, String entered) {
    OptionalDouble number = entered.matches("-?\\d{1,7}(\\.\\d{1,4})?")
        ? OptionalDouble.of(Double.parseDouble(entered)) : OptionalDouble.empty();
    return switch (figure) {
      case ZERO_FUEL_WEIGHT -> number.isEmpty() ? Optional.empty()
          : weight(number.getAsDouble() + right.of().weightKg() - f.balance().zeroFuelKg().value());
      case GROSS_WEIGHT -> number.isEmpty() ? Optional.empty()
          : weight(number.getAsDouble() + right.of().weightKg() - f.balance().grossKg().value());
      case TAKEOFF_WEIGHT -> number.isEmpty() ? Optional.empty() : weight(number.getAsDouble());
      case V1 -> number.isEmpty() ? Optional.empty() : v1(number.getAsDouble());
      case VR -> number.isEmpty() ? Optional.empty() : early("Rotated", number.getAsDouble() - right.vr().value());
      case V2 -> number.isEmpty() ? Optional.empty() : early("Climbing away", number.getAsDouble()
          - right.v2().value());
      case ASSUMED_TEMPERATURE -> number.isEmpty() ? Optional.empty()
          : flown(right.of().with(new Thrust.Assumed((int) Math.round(number.getAsDouble()))), "With that thrust");
      case FLAP -> told(right.of().withFlap(entered), right.of().withFlap(entered));
      case RUNWAY -> runway(entered);
      case INTERSECTION -> intersection(entered);
      case PRESSURE_SETTING -> number.isEmpty() ? Optional.empty() : pressure(number.getAsDouble());
      default -> Optional.empty();
    };
  }

  private Optional<String> weight(double kg) {
    TakeoffCase wrong = right.of().withWeight(kg);
    return told(wrong, right.of());
  }

  /** @param wrong what the figures would be made for @param real how it would be flown, but for the thrust */
  private Optional<String> told(TakeoffCase wrong, TakeoffCase real) {
    TakeoffCase reduced = wrong.with(thrust(wrong));
    return switch (Takeoff.of(f.type().takeoff(), reduced, Integer.MAX_VALUE)) {
      case Takeoff.Result.None none -> Optional.of("No figures would come of it: " + none.why());
      case Takeoff.Result.Figures w -> {
        List<String> parts = new ArrayList<>();
        speeds(w.figures()).ifPresent(parts::add);
        flown(real.with(reduced.thrust()), "Thrust " + reduced.thrust().words()).ifPresent(parts::add);
        yield parts.isEmpty() ? Optional.empty() : Optional.of(String.join(" ", parts));
      }
    };
  }

  /** Unless the crew wants a thrust, as much would be taken off as the figures allow. */
  private Thrust thrust(TakeoffCase of) {
    if (f.asked().choice().thrust().isPresent() || !f.type().takeoff().assumes()) {
      return of.thrust();
    }
    OptionalInt most = Takeoff.mostAssumed(f.type().takeoff(), of.with(Thrust.FULL));
    return most.isPresent() ? new Thrust.Assumed(most.getAsInt()) : Thrust.FULL;
  }

  private Optional<String> speeds(TakeoffFigures wrong) {
    double most = wrong.vr().value() - right.vr().value();
    Optional<String> v1 = wrong.v1().flatMap(w -> right.v1().map(r -> "V1 %s for %s, ".formatted(whole(w), whole(r))));
    return most == 0 && v1(wrong) == v1(right) && wrong.v2().value() == right.v2().value()
        ? Optional.empty() : Optional.of("%sVR %s for %s, V2 %s for %s: %s.".formatted(
        v1.orElse(""), whole(wrong.vr()), whole(right.vr()), whole(wrong.v2()),
        Worked.kt(right.v2().value()), most == 0 ? "the same rotation" : "rotated %s too %s".formatted(
        Worked.kt(Math.abs(most)), most < 0 ? "early" : "late")));
  }

  private static double v1(TakeoffFigures t) {
    return t.v1().map(Worked::value).orElse(0.0);
  }

  private static String whole(Worked worked) {
    return Integer.toString(worked.whole());
  }

  /** What no longer holds when it is flown so. */
  private Optional<String> flown(TakeoffCase real, String with) {
    return switch (Takeoff.of(f.type().takeoff(), real, Integer.MAX_VALUE)) {
      case Takeoff.Result.None none -> Optional.of(none.why());
      case Takeoff.Result.Figures t -> {
        List<String> broken = t.figures().limits().stream().filter(l -> !l.held()).map(l ->
            "%s: %s".formatted(Words.first(l.what()), l.words()))
            .toList();
        yield broken.isEmpty() ? Optional.empty()
            : Optional.of("%s does not do. %s".formatted(with, String.join(" ", broken)));
      }
    };
  }

  private Optional<String> v1(double kt) {
    Optional<TakeoffFigures.Distance> stop = right.distance(TakeoffFigures.LimitedBy.STOP_DISTANCE);
    if (right.v1().isEmpty() || stop.isEmpty()) {
      return Optional.empty();
    }
    double over = kt - v1(right);
    if (kt > right.vr().value()) {
      return Optional.of("V1 would be above VR, %s.".formatted(Worked.kt(right.vr().value())));
    }
    return over == 0 ? Optional.empty() : Optional.of(over > 0
        ? "A stop would begin up to %s too late; %s are left to stop in.".formatted(
        Worked.kt(over), Worked.m(stop.get().leftM()))
        : "A take-off would go on with an engine out from %s too little.".formatted(Worked.kt(-over)));
  }

  private static Optional<String> early(String what, double over) {
    return over == 0 ? Optional.empty()
        : Optional.of("%s %s too %s.".formatted(what, Worked.kt(Math.abs(over)), over < 0 ? "slow" : "fast"));
  }

  private Optional<String> runway(String entered) {
    Optional<Runway.End> end = f.asked().from().ends().filter(e -> e.name().value().equals(entered)).findFirst();
    if (end.isEmpty()) {
      return Optional.of("%s has no runway %s.".formatted(f.asked().from().name(), entered));
    }
    RunwayName name = end.get().name();
    int head = f.ends().stream().filter(e -> e.wind().runway().equals(name)).findFirst().orElseThrow().wind().headKt();
    Runway.Surface surface = f.asked().from().runway(name).orElseThrow().surface();
    return told(right.of().at(end.get(), surface, Optional.empty(), head), right.of());
  }

  private Optional<String> intersection(String entered) {
    TakeoffCase r = right.of();
    Optional<Runway.Intersection> from = r.end().intersections().stream().filter(i -> i.name().equals(entered))
        .findFirst();
    return told(r.at(r.end(), r.surface(), from, r.headKt()), r);
  }

  private Optional<String> pressure(double hpa) {
    double over = Air.altitudeFt(f.asked().report().qnhHpa().orElseThrow()) - Air.altitudeFt(hpa);
    return Math.abs(over) < 1 || !Double.isFinite(over) ? Optional.empty()
        : Optional.of("Altimeters would read %s ft too %s.".formatted(
        Numbers.written(Math.abs(over), 0), over > 0 ? "high" : "low"));
  }
}
