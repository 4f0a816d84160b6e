package neatlanyard.formats.sop;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import neatlanyard.core.fleet.Seating;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.sop.TagId;
import neatlanyard.core.units.Numbers;
import neatlanyard.formats.text.Doc;

/** Reads the aircraft as it is seen from above. */
final class PlanformReader {
  private static final Planform.Aerofoil NO_WING = new Planform.Aerofoil(1, 0, 1, 0, 1);

  /** Stands in for one that could not be read; it never leaves the reader. */
  static final Planform NONE = new Planform(1, 1, NO_WING, NO_WING, List.of(), List.of(), List.of(), List.of(),
      Seating.ABREAST, Optional.empty());

  private PlanformReader() {}

  /** @param tags kinds of tag the pack declares */
  static Planform read(Doc doc, Set<TagId> tags) {
    Planform planform = new Planform(
        doc.number("length-m", 1, 120),
        doc.number("fuselage-width-m", 0.5, 12),
        doc.inner("wing", PlanformReader::aerofoil).orElse(NO_WING),
        doc.inner("tailplane", PlanformReader::aerofoil).orElse(NO_WING),
        doc.list("engines", d -> new Planform.Engine(
            d.one("kind", Planform.Engine.Kind.class), d.number("x", -60, 60), d.number("y", 0, 120),
            d.number("diameter-m", 0.5, 10))),
        doc.list("gear", d -> new Planform.Gear(d.number("x", -60, 60), d.number("y", 0, 120),
        d.whole("wheels", 1, 8))),
        doc.list("doors", d -> new Planform.Door(d.text("name"), d.number("x", -12, 12), d.number("y", 0, 120),
        d.number("length-m", 0.2, 10))),
        doc.list("hazards", d -> new Planform.Hazard(
            d.one("kind", Planform.Hazard.Kind.class), d.text("name"), d.number("x", -60, 60), d.number("y", -20, 140),
            d.number("width-m", 0.2, 60), d.number("length-m", 0.2, 60),
            d.has("during") ? Optional.of(tag(d, tags)) : Optional.empty())),
        doc.one("seating", Seating.class, Seating.ABREAST),
        doc.has("ground") ? doc.inner("ground", PlanformReader::ground) : Optional.empty());
    planform.ground().ifPresent(g -> rolls(doc, planform, g));
    return planform;
  }

  /** What turns needs a wheel that steers, away from the main gear, and a radius that it can keep. */
  private static void rolls(Doc doc, Planform p, Planform.Ground g) {
    Optional<Planform.Gear> steers = p.gear().stream().filter(w -> w.x() == 0).findFirst();
    OptionalDouble main = p.gear().stream().filter(w -> w.x() != 0).mapToDouble(Planform.Gear::y).average();
    if (steers.isEmpty() || main.isEmpty() || steers.get().y() == main.getAsDouble()) {
      doc.fault("gear", "'ground' wants a wheel at x 0 that steers, and main gear before or behind it.");
      return;
    }
    double wheelbase = Math.abs(main.getAsDouble() - steers.get().y());
    if (g.radiusM() <= wheelbase) {
      doc.fault("ground", "A turn of %s m is tighter than the wheelbase, %s m.".formatted(
          Numbers.written(g.radiusM(), 1), Numbers.written(wheelbase, 1)));
    }
  }

  private static Planform.Ground ground(Doc doc) {
    return new Planform.Ground(doc.number("eye-y", 0, 20), doc.number("steering-deg", 5, 89),
        doc.number("radius-m", 2, 200), doc.inner("speeds-kt", d -> new Planform.Speeds(d.whole("apron", 1, 60),
        d.whole("turn", 1, 60), d.whole("straight", 1, 60), d.whole("backtrack", 1, 80)))
        .orElse(new Planform.Speeds(1, 1, 1, 1)), cooling(doc));
  }

  /** By rising temperature; hotter brakes never cool sooner, and a fan never makes it longer. */
  private static List<Planform.Cooling> cooling(Doc doc) {
    List<Planform.Cooling> rows = doc.list("brakes", d -> {
      int minutes = d.whole("minutes", 0, 300);
      return new Planform.Cooling(d.whole("up-to-c", 0, 1_500), minutes,
          d.has("fan-minutes") ? d.whole("fan-minutes", 0, 300) : minutes);
    });
    for (int i = 0; i < rows.size(); i++) {
      Planform.Cooling row = rows.get(i);
      if (row.fanMinutes() > row.minutes()) {
        doc.fault("brakes", "Up to %d \u00b0C a fan would make it longer.".formatted(row.upToC()));
      }
      if (i > 0 && (row.upToC() <= rows.get(i - 1).upToC() || row.minutes() < rows.get(i - 1).minutes())) {
        doc.fault("brakes", "Rows rise in temperature and time; up to %d \u00b0C does not.".formatted(row.upToC()));
      }
    }
    return rows;
  }

  private static TagId tag(Doc doc, Set<TagId> tags) {
    TagId id = doc.of("during", TagId::new, "x");
    if (!tags.contains(id)) {
      doc.fault("during", "The pack declares no tag '%s'.".formatted(id));
    }
    return id;
  }

  private static Planform.Aerofoil aerofoil(Doc doc) {
    return new Planform.Aerofoil(
        doc.number("span-m", 1, 120), doc.number("root-y", 0, 120), doc.number("root-chord-m", 0.1, 30),
        doc.number("tip-y", 0, 120), doc.number("tip-chord-m", 0.1, 30));
  }
}
