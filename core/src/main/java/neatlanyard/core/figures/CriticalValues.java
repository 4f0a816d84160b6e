package neatlanyard.core.figures;

import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.figures.entry.EntryContext;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.weather.Bearing;

/** The critical figures of a departure as they were worked out, each as a pilot would enter it. */
public final class CriticalValues {
  private static final int ROWS = 12;

  private final DepartureFigures f;
  private final Map<CriticalFigure, Value> all = new EnumMap<>(CriticalFigure.class);

  /**
   * @param entered as it is typed: a plain number in the figure's unit, a runway's name, a flap
   * @param worked how it came about
   */
  public record Value(String entered, Worked worked) {}

  private CriticalValues(DepartureFigures figures) {
    this.f = figures;
  }

  /** Those that can be worked out. What is not there has no value today, such as an assumed temperature. */
  public static Map<CriticalFigure, Value> of(DepartureFigures figures) {
    CriticalValues values = new CriticalValues(figures);
    values.weights();
    figures.chosen().ifPresent(r -> {
      if (r instanceof Takeoff.Result.Figures t) {
        values.takeoff(t.figures());
      }
    });
    return Collections.unmodifiableMap(values.all);
  }

  private void weights() {
    Balance b = f.balance();
    number(CriticalFigure.ZERO_FUEL_WEIGHT, b.zeroFuelKg(), 0);
    number(CriticalFigure.FUEL, Worked.of(f.asked().sheet().allFuelKg(), "The load sheet",
        "All tanks together: %s".formatted(Worked.kg(f.asked().sheet().allFuelKg()))), 0);
    number(CriticalFigure.GROSS_WEIGHT, b.grossKg(), 0);
    number(CriticalFigure.TAKEOFF_WEIGHT, b.takeoffKg(), 0);
    number(CriticalFigure.CENTRE, b.takeoffPercent(), 1);
    b.trim().ifPresent(t -> number(CriticalFigure.TRIM, Worked.of(t.setting(), "Trim table of the type",
        "%s at take-off: %s, green band %s to %s".formatted(Worked.percent(t.percent(), 1),
        Numbers.written(t.setting(), 1), Numbers.written(t.least(), 1), Numbers.written(t.most(), 1))), 1));
    f.asked().report().qnhHpa().ifPresent(hpa -> number(CriticalFigure.PRESSURE_SETTING, Worked.of(
        Math.floor(hpa), "Report of " + f.asked().report().station(),
        "%s hPa, rounded down".formatted(Numbers.written(hpa, 1))), 0));
  }

  private void takeoff(TakeoffFigures t) {
    Runway.End end = t.of().end();
    String why = f.proposed().filter(p -> p.of().end().equals(end)).map(DepartureFigures.Proposal::why)
        .orElse("As the crew chose.");
    text(CriticalFigure.RUNWAY, end.name().value(), why);
    text(CriticalFigure.INTERSECTION, t.of().from().map(Runway.Intersection::name).orElse(CriticalFigure.WHOLE_RUNWAY),
        "%s from there: TORA %s, ASDA %s".formatted(end.name(), Worked.m(t.of().left().toraM()),
        Worked.m(t.of().left().asdaM())));
    text(CriticalFigure.FLAP, t.of().flap(), "The flap that carries most on %s, or as the crew chose.".formatted(
        end.name()));
    double variation = f.asked().from().variationDeg();
    double magnetic = Bearing.magnetic(end.bearingTrueDeg(), variation);
    put(CriticalFigure.RUNWAY_HEADING, Bearing.words(magnetic).replace("°", ""), Worked.of(magnetic,
        "The fleet's airfields", "%s true, variation %s° %s: %s magnetic".formatted(
        Bearing.words(end.bearingTrueDeg()), Numbers.written(Math.abs(variation), 1),
        variation < 0 ? "west" : "east", Bearing.words(magnetic))));
    if (t.of().thrust() instanceof Thrust.Assumed assumed) {
      number(CriticalFigure.ASSUMED_TEMPERATURE, Worked.of(assumed.celsius(), "Take-off tables of the type",
          "%d °C is the highest with which all holds, or as the crew chose".formatted(assumed.celsius())), 0);
    }
    t.v1().ifPresent(v1 -> number(CriticalFigure.V1, v1, 0));
    number(CriticalFigure.VR, t.vr(), 0);
    number(CriticalFigure.V2, t.v2(), 0);
  }

  private void number(CriticalFigure figure, Worked worked, int decimals) {
    put(figure, Numbers.plain(worked.value(), decimals), worked);
  }

  private void text(CriticalFigure figure, String value, String why) {
    put(figure, value, Worked.of(0, "Take-off tables of the type", why));
  }

  private void put(CriticalFigure figure, String value, Worked worked) {
    all.put(figure, new Value(value, worked));
  }

  /** What stands near a figure and may be taken for it. @param lastFlight the same figure of the tail's last flight */
  public static EntryContext context(DepartureFigures figures, CriticalFigure figure, Optional<String> lastFlight) {
    Map<CriticalFigure, String> others = new EnumMap<>(CriticalFigure.class);
    of(figures).forEach((k, v) -> {
      if (k != figure) {
        others.put(k, v.entered);
      }
    });
    return new EntryContext(others, lastFlight, rows(figures, figure));
  }

  private static OptionalInt speed(TakeoffOption o, CriticalFigure figure) {
    return figure == CriticalFigure.V1 ? o.v1() : OptionalInt.of(figure == CriticalFigure.VR ? o.vr() : o.v2());
  }

  /** The same speed for other flaps and thrusts on the runway that is used. */
  private static List<EntryContext.Row> rows(DepartureFigures figures, CriticalFigure figure) {
    Optional<TakeoffCase> used = figures.chosen().flatMap(r -> r instanceof Takeoff.Result.Figures t
        ? Optional.of(t.figures().of()) : Optional.empty());
    if (used.isEmpty() || !figure.speed()) {
      return List.of();
    }
    return figures.options().stream().flatMap(r -> r.good().stream())
        .filter(o -> o.of().end().equals(used.get().end()) && o.of().from().equals(used.get().from()))
        .filter(o -> !o.of().flap().equals(used.get().flap()) || !o.of().thrust().equals(used.get().thrust()))
        .flatMap(o -> speed(o, figure).stream().mapToObj(kt -> new EntryContext.Row(
        "flap %s, thrust %s".formatted(o.of().flap(), o.of().thrust().words()), Integer.toString(kt))))
        .limit(ROWS).toList();
  }
}
