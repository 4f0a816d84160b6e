package neatlanyard.formats.drill;

import java.util.LinkedHashMap;
import java.util.Map;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Linkage;
import neatlanyard.core.drill.Drill;
import neatlanyard.core.drill.Round;
import neatlanyard.formats.text.Doc;
import tools.jackson.databind.json.JsonMapper;

/** Writes a drill as JSON: what is kept of it, and what a device flies it by. */
public final class DrillWriter {
  private static final JsonMapper JSON = new JsonMapper();

  private DrillWriter() {}

  public static String json(Drill drill) {
    return JSON.writeValueAsString(Map.of(
        "task", Doc.written(drill.task()),
        "staircase", Map.of("limits", drill.start().limits(), "found", drill.start().found()),
        "rounds", drill.rounds().stream().map(DrillWriter::round).toList()));
  }

  private static Map<String, Object> round(Round r) {
    Map<String, Object> m = new LinkedHashMap<>();
    Hand h = r.hand();
    m.put("hand", Map.of("order", h.order().stream().map(Doc::written).toList(), "still-s", h.stillS(), "move-s",
        h.moveS(), "hold-s", h.holdS(), "rest-s", h.restS(), "along-pct", h.alongPct()));
    m.put("built", r.built().entrySet().stream().map(e -> linkage(e.getKey(), e.getValue())).toList());
    r.hidden().ifPresent(f -> m.put("hidden", Map.of("kind", Doc.written(f.kind()), "surface", f.surface())));
    return m;
  }

  private static Map<String, Object> linkage(String surface, Linkage l) {
    return Map.of("surface", surface, "gain", l.gain(), "offset-deg", l.offsetDeg(), "lag-s", l.lagS(), "rate-deg-s",
        l.rateDegS(), "coupled-deg", l.crossedDeg());
  }
}
