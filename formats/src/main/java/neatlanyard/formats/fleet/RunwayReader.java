package neatlanyard.formats.fleet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.Runway.Declared;
import neatlanyard.core.fleet.Runway.End;
import neatlanyard.core.fleet.Runway.Intersection;
import neatlanyard.core.fleet.Runway.Obstacle;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.weather.Bearing;
import neatlanyard.formats.text.Doc;

/** Reads the runways of an airfield; see docs/formats/fleet.md. */
final class RunwayReader {
  private static final int MOST_M = 6_000;
  /** How far a runway's number may lie from its magnetic bearing; poles wander faster than numbers are painted. */
  private static final double MOST_OFF_DEG = 12;
  private static final double NOT_STRAIGHT_DEG = 1;

  private RunwayReader() {}

  static List<Runway> runways(Doc airfield, double variationDeg) {
    List<Runway> runways = airfield.list("runways", d -> runway(d, variationDeg));
    Map<RunwayName, Long> ends = runways.stream().flatMap(r -> r.ends().stream())
        .collect(Collectors.groupingBy(End::name, Collectors.counting()));
    ends.forEach((name, times) -> {
      if (times > 1) {
        airfield.fault("runways", "Runway %s stands twice.".formatted(name));
      }
    });
    return runways;
  }

  private static Runway runway(Doc doc, double variationDeg) {
    Runway runway = new Runway(doc.whole("width-m", 5, 100), doc.one("surface", Runway.Surface.class),
        doc.list("ends", d -> end(d, variationDeg)));
    if (runway.ends().isEmpty() || runway.ends().size() > 2) {
      doc.fault("ends", "A runway has one end to take off from, or two.");
    }
    if (runway.ends().size() == 2) {
      opposite(doc, runway.ends().get(0), runway.ends().get(1));
    }
    return runway;
  }

  private static void opposite(Doc doc, End one, End other) {
    if (!other.name().equals(one.name().reciprocal())) {
      doc.fault("ends", "%s and %s are not the two ends of one runway; the other end of %s is %s.".formatted(
          one.name(), other.name(), one.name(), one.name().reciprocal()));
    }
    double turn = Math.abs(Bearing.between(one.bearingTrueDeg(), other.bearingTrueDeg()));
    if (180 - turn > NOT_STRAIGHT_DEG) {
      doc.fault("ends", "%s and %s lie %.0f° apart, not 180°.".formatted(one.name(), other.name(), turn));
    }
  }

  private static End end(Doc doc, double variationDeg) {
    RunwayName name = doc.of("name", RunwayName::new, "01");
    double bearing = doc.number("bearing-true-deg", 0, 360);
    double magnetic = Bearing.magnetic(bearing, variationDeg);
    if (Math.abs(Bearing.between(10 * name.tens(), magnetic)) > MOST_OFF_DEG) {
      doc.fault("bearing-true-deg", "Runway %s lies %s magnetic by this bearing and the variation.".formatted(
          name, Bearing.words(magnetic)));
    }
    Declared declared = declared(doc);
    return new End(name, bearing, declared, doc.number("slope-percent", -5, 5),
        intersections(doc, declared), doc.list("obstacles", RunwayReader::obstacle), doc.text("first-turn", ""),
        doc.text("engine-out", ""));
  }

  private static Declared declared(Doc doc) {
    int tora = doc.whole("tora-m", 100, MOST_M);
    Declared declared = new Declared(tora, doc.whole("toda-m", 100, MOST_M * 2), doc.whole("asda-m", 100, MOST_M),
        doc.whole("lda-m", 0, MOST_M));
    if (declared.todaM() < tora || declared.todaM() > tora * 3 / 2) {
      doc.fault("toda-m", "'toda-m' is the run and a clearway of up to half of it: %d to %d.".formatted(
          tora, tora * 3 / 2));
    }
    if (declared.asdaM() < tora) {
      doc.fault("asda-m", "'asda-m' is the run and the stopway: not less than %d.".formatted(tora));
    }
    return declared;
  }

  private static List<Intersection> intersections(Doc doc, Declared declared) {
    List<Intersection> all = doc.list("intersections", d -> new Intersection(d.text("name"),
        d.whole("from-beginning-m", 1, MOST_M)));
    Optional<Intersection> past = all.stream().filter(i -> i.fromBeginningM() >= declared.toraM()).findFirst();
    past.ifPresent(i -> doc.fault("intersections", "%s lies %d m from the beginning of a run of %d m.".formatted(
        i.name(), i.fromBeginningM(), declared.toraM())));
    if (all.stream().map(Intersection::name).distinct().count() < all.size()) {
      doc.fault("intersections", "An intersection stands twice.");
    }
    return all.stream().sorted(java.util.Comparator.comparingInt(Intersection::fromBeginningM)).toList();
  }

  private static Obstacle obstacle(Doc doc) {
    return new Obstacle(doc.text("name"), doc.whole("beyond-end-m", 0, 30_000), doc.whole("height-ft", 0, 5_000));
  }
}
