package neatlanyard.formats.sop;

import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.ControlSpec.Spoiler;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.formats.text.Doc;

/** Reads what a type's controls must do. */
final class ControlSpecReader {
  /** Stands in for a specification that could not be read; it never leaves the reader. */
  static final ControlSpec NONE =
      new ControlSpec(100, 0, Duration.ZERO, Duration.ZERO, 0, 0, 1, Duration.ZERO, List.of(), List.of());

  private ControlSpecReader() {}

  static ControlSpec read(Doc doc) {
    ControlSpec spec = new ControlSpec(
        doc.number("full-input-pct", 50, 100),
        doc.number("neutral-input-pct", 0.1, 20),
        seconds(doc, "hold-s"),
        seconds(doc, "settle-s"),
        doc.number("travel-tolerance-deg", 0, 20),
        doc.number("neutral-deg", 0, 10),
        doc.number("correlation", 0.5, 1),
        seconds(doc, "lag-s"),
        doc.list("surfaces", ControlSpecReader::surface),
        doc.list("spoilers", ControlSpecReader::spoiler));
    for (Axis axis : Axis.values()) {
      if (spec.surfaces().stream().noneMatch(s -> s.axis() == axis)) {
        doc.fault("surfaces", "No surface moves in %s.".formatted(Doc.written(axis)));
      }
    }
    HashSet<String> seen = new HashSet<>();
    spec.channels().stream().filter(c -> !seen.add(c)).forEach(c ->
        doc.fault("surfaces", "A surface or spoiler '%s' stands twice.".formatted(c)));
    return spec;
  }

  private static Duration seconds(Doc doc, String field) {
    return Duration.ofMillis(Math.round(doc.number(field, 0, 30) * 1_000));
  }

  private static Surface surface(Doc doc) {
    Surface surface = new Surface(
        doc.of("id", ControlSpecReader::channel, "x"), doc.text("name"), doc.one("axis", Axis.class),
        doc.number("positive-deg", -60, 60), doc.number("negative-deg", -60, 60));
    if (surface.positiveDeg() * surface.negativeDeg() >= 0) {
      doc.fault("negative-deg", "The two full deflections must lie on opposite sides of neutral.");
    }
    return surface;
  }

  private static Spoiler spoiler(Doc doc) {
    return new Spoiler(
        doc.of("id", ControlSpecReader::channel, "x"), doc.text("name"), doc.one("side", Side.class).sign,
        doc.number("out-deg", 1, 90), doc.number("in-deg", 0, 20));
  }

  private enum Side {
    LEFT(-1),
    RIGHT(1);
    final int sign;

    Side(int sign) {
      this.sign = sign;
    }
  }

  private static String channel(String text) {
    if (!text.matches("[a-z][a-z0-9-]{0,30}")) {
      throw new IllegalArgumentException(
          "'%s' is not a channel: lower-case letters, digits and hyphens".formatted(text));
    }
    return text;
  }
}
