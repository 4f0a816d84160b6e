package neatlanyard.formats.fleet;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.Code;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.Runway;
import neatlanyard.formats.text.YamlText;

/** Writes an airfield as a fleet file that has nothing else; see docs/formats/fleet.md. */
public final class AirfieldWriter {
  private AirfieldWriter() {}

  /** A take-off alternate is left out, as another airfield, and the ground, on which no figure rests. */
  public static String write(Airfield airfield, Fleet of) {
    Map<String, Object> fleet = new LinkedHashMap<>();
    fleet.put("format", FleetReader.FORMAT);
    fleet.put("operator", of.operator());
    fleet.put("airfields", List.of(airfield(airfield)));
    return YamlText.write(fleet);
  }

  private static Map<String, Object> airfield(Airfield a) {
    Map<String, Object> fields = new LinkedHashMap<>();
    fields.put("id", a.id().value());
    fields.put("name", a.name());
    fields.put("latitude-deg", a.latitudeDeg());
    fields.put("longitude-deg", a.longitudeDeg());
    fields.put("elevation-ft", a.elevationFt());
    fields.put("zone", a.zone().getId());
    fields.put("variation-deg", a.variationDeg());
    fields.put("runways", a.runways().stream().map(AirfieldWriter::runway).toList());
    a.outbound().landing().ifPresent(l -> fields.put("landing-limits",
        Map.of("ceiling-ft", l.ceilingFt(), "visibility-m", l.visibilityM())));
    a.outbound().minimumFt().ifPresent(ft -> fields.put("minimum-altitude-ft", ft));
    return fields;
  }

  private static Map<String, Object> runway(Runway r) {
    return Map.of("width-m", r.widthM(), "surface", Code.written(r.surface().name()), "ends",
        r.ends().stream().map(AirfieldWriter::end).toList());
  }

  private static Map<String, Object> end(Runway.End e) {
    Map<String, Object> fields = new LinkedHashMap<>();
    fields.put("name", e.name().value());
    fields.put("bearing-true-deg", e.bearingTrueDeg());
    fields.put("tora-m", e.declared().toraM());
    fields.put("toda-m", e.declared().todaM());
    fields.put("asda-m", e.declared().asdaM());
    fields.put("lda-m", e.declared().ldaM());
    fields.put("slope-percent", e.slopePercent());
    fields.put("intersections", e.intersections().stream()
        .map(i -> Map.of("name", i.name(), "from-beginning-m", i.fromBeginningM())).toList());
    fields.put("obstacles", e.obstacles().stream()
        .map(o -> Map.of("name", o.name(), "beyond-end-m", o.beyondEndM(), "height-ft", o.heightFt())).toList());
    if (!e.firstTurn().isEmpty()) {
      fields.put("first-turn", e.firstTurn());
    }
    if (!e.engineOut().isEmpty()) {
      fields.put("engine-out", e.engineOut());
    }
    return fields;
  }
}
