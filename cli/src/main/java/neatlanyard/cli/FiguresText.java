package neatlanyard.cli;

import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.Limit;
import neatlanyard.core.figures.Takeoff;
import neatlanyard.core.figures.TakeoffFigures;
import neatlanyard.core.figures.Worked;
import neatlanyard.core.units.Units;
import neatlanyard.core.units.Words;

/** The figures of one departure as lines at a terminal. */
final class FiguresText {
  private final DepartureFigures f;
  private final boolean arithmetic;

  FiguresText(DepartureFigures figures, boolean arithmetic) {
    this.f = figures;
    this.arithmetic = arithmetic;
  }

  void print(PrintWriter out) {
    line(out, "%s, %s, from %s. Figures of the %s, edition %s.", f.asked().flight(), f.asked().tail(),
        f.asked().from().name(), f.type().type(), f.type().edition());
    air(out);
    line(out, "Runway condition: code %d, %s", f.condition().code(), f.condition().state().words());
    steps(out, f.condition().arithmetic());
    wind(out);
    balance(out);
    line(out, "Fuel: %s", f.fuel().words());
    f.proposed().ifPresent(p -> line(out, "Proposed: %s. %s", p.of().words(), p.why()));
    f.chosen().ifPresent(r -> takeoff(out, r));
    f.shortStrip().ifPresent(s -> line(out, "Half-way check: %s", s.words()));
    f.holdover().ifPresent(h -> holdover(out, h));
    f.cold().forEach(c -> line(out, "Minimum altitude %d ft: %d ft in this cold", c.altitudeFt(), c.correctedFt()));
    List<Limit> broken = f.limits().stream().filter(l -> !l.held()).toList();
    broken.forEach(l -> line(out, "Out of limits, %s: %s (%s)", l.what(), l.words(), l.source()));
    line(out, broken.isEmpty() ? "Within all %d limits." : "Of %d limits %d are not held.", f.limits().size(),
        broken.size());
  }

  private static void line(PrintWriter out, String words, Object... values) {
    out.println(String.format(Locale.ROOT, words, values));
  }

  private void steps(PrintWriter out, List<String> lines) {
    if (arithmetic) {
      lines.forEach(l -> line(out, "    %s", l));
    }
  }

  private void air(PrintWriter out) {
    double hpa = f.asked().report().qnhHpa().orElseThrow();
    line(out, "Air: %.0f hPa, %.2f inches; pressure altitude %.0f ft, density altitude %.0f ft; %.1f °C %s than "
        + "standard", hpa, Units.inHgFromHpa(hpa), f.air().pressureAltitudeFt(), f.air().densityAltitudeFt(),
        Math.abs(f.air().deviationC()), f.air().deviationC() < 0 ? "colder" : "warmer");
    line(out, "Icing conditions: %s. %s", f.icing().conditions() ? "yes" : "no", f.icing().words());
  }

  private void wind(PrintWriter out) {
    line(out, "Wind: %s", f.windFrom());
    f.ends().forEach(e -> {
      line(out, "  %-3s %3d kt along, %4.1f kt across%s", e.wind().runway(), e.wind().headKt(), e.wind().crossKt(),
          e.limits().stream().allMatch(Limit::held) ? "" : ", out of limits");
      steps(out, e.wind().arithmetic());
    });
  }

  private void balance(PrintWriter out) {
    figure(out, "Zero-fuel weight", f.balance().zeroFuelKg(), "kg", 0);
    figure(out, "Zero-fuel centre", f.balance().zeroFuelPercent(), "%", 1);
    figure(out, "Gross weight", f.balance().grossKg(), "kg", 0);
    figure(out, "Take-off weight", f.balance().takeoffKg(), "kg", 0);
    figure(out, "Take-off centre", f.balance().takeoffPercent(), "%", 1);
    figure(out, "Landing weight", f.balance().landingKg(), "kg", 0);
    f.balance().trim().ifPresent(t -> line(out, "Trim: %.1f, green band %.1f to %.1f", t.setting(), t.least(),
        t.most()));
  }

  private void figure(PrintWriter out, String name, Worked worked, String unit, int decimals) {
    line(out, "%s: %." + decimals + "f %s", name, worked.value(), unit);
    steps(out, worked.arithmetic());
  }

  private void holdover(PrintWriter out, Holdover.Result result) {
    switch (result) {
      case Holdover.Result.Until until -> {
        line(out, "Holdover: look from %s, over at %s; then look at the wings within %d min before take-off, or "
            + "de-ice again", until.least(), until.most(), Holdover.LOOK_WITHIN.toMinutes());
        steps(out, until.arithmetic());
      }
      case Holdover.Result.NoEnd no -> line(out, "Holdover: no end. %s", no.why());
      case Holdover.Result.None none -> line(out, "Holdover: no time to count on. %s", none.why());
    }
  }

  private void takeoff(PrintWriter out, Takeoff.Result result) {
    switch (result) {
      case Takeoff.Result.None none -> line(out, "Take-off %s: no figures. %s", none.of().words(), none.why());
      case Takeoff.Result.Figures figures -> {
        TakeoffFigures t = figures.figures();
        line(out, "Take-off %s", t.of().words());
        t.v1().ifPresent(v1 -> figure(out, "V1", v1, "kt", 0));
        figure(out, "VR", t.vr(), "kt", 0);
        figure(out, "V2", t.v2(), "kt", 0);
        figure(out, "Flaps in at", t.flapRetract(), "kt", 0);
        t.distances().forEach(d -> figure(out, Words.first(d.what()), d.needed(),
            "m of %d m %s, %d m left".formatted(d.availableM(), d.which(), d.leftM()), 0));
        line(out, "Tightest: %s", t.tightest().what());
        line(out, "Most weight: %d kg, by %s", t.limiting().kg(), t.limiting().by().words());
      }
    }
  }
}
