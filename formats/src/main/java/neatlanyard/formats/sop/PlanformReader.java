package neatlanyard.formats.sop;

import java.util.List;
import neatlanyard.core.sop.Planform;
import neatlanyard.formats.text.Doc;

/** Reads the aircraft as it is seen from above. */
final class PlanformReader {
  private static final Planform.Aerofoil NO_WING = new Planform.Aerofoil(1, 0, 1, 0, 1);

  /** Stands in for one that could not be read; it never leaves the reader. */
  static final Planform NONE = new Planform(1, 1, NO_WING, NO_WING, List.of());

  private PlanformReader() {}

  static Planform read(Doc doc) {
    return new Planform(
        doc.number("length-m", 1, 120),
        doc.number("fuselage-width-m", 0.5, 12),
        doc.inner("wing", PlanformReader::aerofoil).orElse(NO_WING),
        doc.inner("tailplane", PlanformReader::aerofoil).orElse(NO_WING),
        doc.list("engines", d -> new Planform.Engine(
            d.one("kind", Planform.Engine.Kind.class), d.number("x", -60, 60), d.number("y", 0, 120), d.number("diameter-m", 0.5, 10))));
  }

  private static Planform.Aerofoil aerofoil(Doc doc) {
    return new Planform.Aerofoil(
        doc.number("span-m", 1, 120), doc.number("root-y", 0, 120), doc.number("root-chord-m", 0.1, 30),
        doc.number("tip-y", 0, 120), doc.number("tip-chord-m", 0.1, 30));
  }
}
