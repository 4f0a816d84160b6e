package neatlanyard.formats.sop;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import neatlanyard.core.sop.Planform;
import neatlanyard.core.sop.TagId;
import neatlanyard.formats.text.Doc;

/** Reads the aircraft as it is seen from above. */
final class PlanformReader {
  private static final Planform.Aerofoil NO_WING = new Planform.Aerofoil(1, 0, 1, 0, 1);

  /** Stands in for one that could not be read; it never leaves the reader. */
  static final Planform NONE = new Planform(1, 1, NO_WING, NO_WING, List.of(), List.of(), List.of(), List.of());

  private PlanformReader() {}

  /** @param tags kinds of tag the pack declares */
  static Planform read(Doc doc, Set<TagId> tags) {
    return new Planform(
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
            d.has("during") ? Optional.of(tag(d, tags)) : Optional.empty())));
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
