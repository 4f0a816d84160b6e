package neatlanyard.formats.figures;

import java.util.List;
import java.util.Locale;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.Limit;
import neatlanyard.core.figures.Takeoff;
import neatlanyard.core.figures.TakeoffCase;
import neatlanyard.core.figures.TakeoffFigures;
import neatlanyard.core.figures.TakeoffOption;
import neatlanyard.core.figures.Worked;
import neatlanyard.core.units.Units;
import neatlanyard.formats.text.Doc;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes the figures of a departure; see docs/formats/figures.md. */
public final class FiguresJson {
  private static final JsonMapper MAPPER = new JsonMapper();

  private FiguresJson() {}

  public static String of(DepartureFigures f) {
    ObjectNode all = MAPPER.createObjectNode();
    all.put("flight", f.asked().flight());
    all.put("tail", f.asked().tail().value());
    all.put("type", f.type().type().value());
    all.put("tables-edition", f.type().edition());
    all.put("held", f.held());
    air(f, all.putObject("air"));
    ObjectNode condition = all.putObject("condition");
    condition.put("code", f.condition().code());
    condition.put("state", Doc.written(f.condition().state()));
    lines(condition, f.condition().arithmetic());
    all.put("wind", f.windFrom());
    ArrayNode ends = all.putArray("ends");
    f.ends().forEach(e -> {
      ObjectNode end = ends.addObject();
      end.put("runway", e.wind().runway().value());
      end.put("head-kt", e.wind().headKt());
      end.put("tail-kt", tenth(e.wind().tailKt()));
      end.put("cross-kt", tenth(e.wind().crossKt()));
      lines(end, e.wind().arithmetic());
      limits(end, e.limits());
    });
    balance(f, all.putObject("balance"));
    f.proposed().ifPresent(p -> {
      ObjectNode proposed = of(all.putObject("proposed"), p.of());
      proposed.put("why", p.why());
    });
    f.chosen().ifPresent(r -> takeoff(all.putObject("take-off"), r));
    f.shortStrip().ifPresent(s -> all.put("short-strip", s.words()));
    f.holdover().ifPresent(h -> holdover(all.putObject("holdover"), h));
    ArrayNode options = all.putArray("options");
    f.options().forEach(r -> option(options.addObject(), r));
    ArrayNode cold = all.putArray("minimum-altitudes");
    f.cold().forEach(c -> cold.addObject().put("published-ft", c.altitudeFt()).put("corrected-ft", c.correctedFt()));
    limits(all, f.limits());
    return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(all);
  }

  private static void air(DepartureFigures f, ObjectNode air) {
    double hpa = f.asked().report().qnhHpa().orElseThrow();
    air.put("pressure-setting-hpa", tenth(hpa));
    air.put("pressure-setting-inhg", Math.round(Units.inHgFromHpa(hpa) * 100) / 100.0);
    air.put("temperature-c", tenth(f.air().temperatureC()));
    air.put("pressure-altitude-ft", Math.round(f.air().pressureAltitudeFt()));
    air.put("density-altitude-ft", Math.round(f.air().densityAltitudeFt()));
    air.put("warmer-than-standard-c", tenth(f.air().deviationC()));
    air.put("icing", f.icing().conditions());
    air.put("icing-why", f.icing().words());
  }

  private static void balance(DepartureFigures f, ObjectNode balance) {
    worked(balance, "zero-fuel-kg", f.balance().zeroFuelKg(), 0);
    worked(balance, "zero-fuel-percent", f.balance().zeroFuelPercent(), 1);
    worked(balance, "gross-kg", f.balance().grossKg(), 0);
    worked(balance, "take-off-kg", f.balance().takeoffKg(), 0);
    worked(balance, "take-off-percent", f.balance().takeoffPercent(), 1);
    worked(balance, "landing-kg", f.balance().landingKg(), 0);
    f.balance().trim().ifPresent(t -> balance.putObject("trim").put("setting", tenth(t.setting()))
        .put("least", tenth(t.least())).put("most", tenth(t.most())));
  }

  private static void takeoff(ObjectNode node, Takeoff.Result result) {
    switch (result) {
      case Takeoff.Result.None none -> of(node, none.of()).put("why-not", none.why());
      case Takeoff.Result.Figures figures -> {
        TakeoffFigures t = figures.figures();
        of(node, t.of()).put("held", t.held());
        t.v1().ifPresent(v1 -> worked(node, "v1-kt", v1, 0));
        worked(node, "vr-kt", t.vr(), 0);
        worked(node, "v2-kt", t.v2(), 0);
        worked(node, "flap-retract-kt", t.flapRetract(), 0);
        ArrayNode distances = node.putArray("distances");
        t.distances().forEach(d -> {
          ObjectNode distance = distances.addObject().put("what", d.what());
          worked(distance, "needed-m", d.needed(), 0);
          distance.put("available-m", d.availableM()).put("which", d.which()).put("left-m", d.leftM());
        });
        node.put("most-kg", t.limiting().kg()).put("limited-by", t.limiting().by().words());
      }
    }
  }

  private static void option(ObjectNode node, TakeoffOption.Result result) {
    switch (result) {
      case TakeoffOption.Result.None none -> of(node, none.of()).put("why-not", none.why());
      case TakeoffOption.Result.Figures figures -> {
        TakeoffOption o = figures.option();
        of(node, o.of()).put("held", o.held());
        o.v1().ifPresent(v1 -> node.put("v1-kt", v1));
        node.put("vr-kt", o.vr()).put("v2-kt", o.v2()).put("left-m", o.leftM()).put("tightest", o.tightest())
            .put("most-kg", o.limiting().kg()).put("limited-by", o.limiting().by().words());
      }
    }
  }

  private static void holdover(ObjectNode node, Holdover.Result result) {
    switch (result) {
      case Holdover.Result.Until until -> {
        node.put("look-from", until.least().toString()).put("over-at", until.most().toString());
        lines(node, until.arithmetic());
      }
      case Holdover.Result.NoEnd no -> node.put("no-end", no.why());
      case Holdover.Result.None none -> node.put("no-time", none.why());
    }
  }

  private static ObjectNode of(ObjectNode node, TakeoffCase of) {
    node.put("runway", of.end().name().value());
    of.from().ifPresent(i -> node.put("intersection", i.name()));
    return node.put("flap", of.flap()).put("thrust", of.thrust().words());
  }

  private static void worked(ObjectNode node, String name, Worked worked, int decimals) {
    ObjectNode of = node.putObject(name);
    if (decimals == 0) {
      of.put("value", Math.round(worked.value()));
    } else {
      of.put("value", tenth(worked.value()));
    }
    lines(of, worked.arithmetic());
    of.put("source", worked.source());
  }

  private static void lines(ObjectNode node, List<String> arithmetic) {
    ArrayNode lines = node.putArray("arithmetic");
    arithmetic.forEach(lines::add);
  }

  private static void limits(ObjectNode node, List<Limit> all) {
    ArrayNode limits = node.putArray("limits");
    all.forEach(l -> limits.addObject().put("what", l.what()).put("held", l.held()).put("words", l.words())
        .put("source", l.source()));
  }

  private static double tenth(double value) {
    return Double.parseDouble(String.format(Locale.ROOT, "%.1f", value));
  }
}
