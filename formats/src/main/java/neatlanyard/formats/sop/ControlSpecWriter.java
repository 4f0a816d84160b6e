package neatlanyard.formats.sop;

import static neatlanyard.formats.sop.PackWriter.fields;
import static neatlanyard.formats.sop.PackWriter.number;
import static neatlanyard.formats.sop.PackWriter.some;
import static neatlanyard.formats.sop.PackWriter.unless;

import java.time.Duration;
import java.util.Map;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.formats.text.Doc;
import tools.jackson.databind.json.JsonMapper;

/** Writes what a type's controls must do, as it stands in a pack under {@code flight-controls}. */
public final class ControlSpecWriter {
  private static final JsonMapper JSON = new JsonMapper();

  private ControlSpecWriter() {}

  public static String json(ControlSpec spec) {
    return JSON.writeValueAsString(tree(spec));
  }

  static Map<String, Object> tree(ControlSpec c) {
    Map<String, Object> m = fields(
        "full-input-pct", c.fullInputPct(), "neutral-input-pct", c.neutralInputPct(), "hold-s", seconds(c.hold()),
        "settle-s", seconds(c.settle()), "travel-tolerance-deg", c.travelToleranceDeg(), "neutral-deg", c.neutralDeg(),
        "correlation", c.correlation(), "lag-s", seconds(c.lag()));
    ControlSpec.Following f = c.following();
    m.put("following", fields("away-deg", f.awayDeg(), "play-deg", f.playDeg(), "dead-band-pct", f.deadBandPct(),
        "jump-deg", f.jumpDeg(), "cross-deg", f.crossDeg(), "arrival-s", seconds(f.arrival())));
    some(m, "surfaces", c.surfaces(), s -> {
      Map<String, Object> surface = fields(
          "id", s.id(), "name", s.name(), "axis", Doc.written(s.axis()), "positive-deg", s.positiveDeg(),
          "negative-deg", s.negativeDeg());
      unless(surface, "tolerance-deg", s.toleranceDeg() == c.travelToleranceDeg(), number(s.toleranceDeg()));
      some(surface, "gearing", s.gearing(), p -> fields("pct", p.pct(), "deg", p.deg()));
      some(surface, "droop", s.droop(), d -> fields("flap-deg", d.flapDeg(), "deg", d.deg()));
      return surface;
    });
    some(m, "spoilers", c.spoilers(), s -> {
      Map<String, Object> spoiler = fields(
          "id", s.id(), "name", s.name(), "side", s.side() < 0 ? "left" : "right", "out-deg", s.outDeg(), "in-deg",
          s.inDeg(), "tolerance-deg", s.toleranceDeg());
      some(spoiler, "schedule", s.schedule(), p -> fields("pct", p.pct(), "deg", p.deg()));
      return spoiler;
    });
    some(m, "pairs", c.pairs(), p -> fields(
        "left", p.left(), "right", p.right(), "name", p.name(), "tolerance-deg", p.toleranceDeg()));
    some(m, "supplies", c.supplies(), s -> fields(
        "system", s.system(), "name", s.name(), "least-psi", s.leastPsi()));
    return m;
  }

  private static double seconds(Duration d) {
    return d.toMillis() / 1_000.0;
  }
}
