package neatlanyard.formats.sop;

import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.stream.Stream;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.ControlSpec.Droop;
import neatlanyard.core.controls.ControlSpec.Following;
import neatlanyard.core.controls.ControlSpec.Pair;
import neatlanyard.core.controls.ControlSpec.Point;
import neatlanyard.core.controls.ControlSpec.Spoiler;
import neatlanyard.core.controls.ControlSpec.Supply;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.formats.text.Doc;

/** Reads what a type's controls must do. */
public final class ControlSpecReader {
  /** Stands in for a specification that could not be read; it never leaves the reader. */
  static final ControlSpec NONE = new ControlSpec(
      100, 0, Duration.ZERO, Duration.ZERO, 0, 0, 1, Duration.ZERO, Following.usual(0, 0, 0, Duration.ZERO), List.of(),
      List.of(), List.of(), List.of());

  /** How far a spoiler may be from its schedule where a pack says nothing. Common practice, no source. */
  private static final double SPOILER_TOLERANCE_DEG = 5;

  private ControlSpecReader() {}

  /** Reads it from the part of a pack under {@code flight-controls}. */
  public static ControlSpec read(Doc doc) {
    double neutralInput = doc.number("neutral-input-pct", 0.1, 20);
    double tolerance = doc.number("travel-tolerance-deg", 0, 20);
    double neutral = doc.number("neutral-deg", 0, 10);
    Duration settle = seconds(doc, "settle-s");
    Following usual = Following.usual(tolerance, neutral, neutralInput, settle);
    ControlSpec spec = new ControlSpec(
        doc.number("full-input-pct", 50, 100), neutralInput, seconds(doc, "hold-s"), settle, tolerance, neutral,
        doc.number("correlation", 0.5, 1), seconds(doc, "lag-s"),
        doc.has("following") ? doc.inner("following", d -> following(d, usual)).orElse(usual) : usual,
        doc.list("surfaces", d -> surface(d, tolerance)), doc.list("spoilers", ControlSpecReader::spoiler),
        doc.list("pairs", ControlSpecReader::pair), doc.list("supplies", ControlSpecReader::supply));
    for (Axis axis : Axis.values()) {
      if (spec.surfaces(axis).isEmpty()) {
        doc.fault("surfaces", "No surface moves in %s.".formatted(Doc.written(axis)));
      }
    }
    HashSet<String> seen = new HashSet<>();
    spec.channels().stream().filter(c -> !seen.add(c)).forEach(c ->
        doc.fault("surfaces", "A surface or spoiler '%s' stands twice.".formatted(c)));
    spec.pairs().stream().flatMap(p -> Stream.of(p.left(), p.right()))
        .filter(id -> spec.surfaces().stream().noneMatch(s -> s.id().equals(id)))
        .forEach(id -> doc.fault("pairs", "'%s' is not a surface.".formatted(id)));
    return spec;
  }

  private static Following following(Doc doc, Following usual) {
    return new Following(
        doc.number("away-deg", 0, 30, usual.awayDeg()), doc.number("play-deg", 0, 20, usual.playDeg()),
        doc.number("dead-band-pct", 0, 50, usual.deadBandPct()), doc.number("jump-deg", 0, 20, usual.jumpDeg()),
        doc.number("cross-deg", 0, 20, usual.crossDeg()),
        doc.has("arrival-s") ? seconds(doc, "arrival-s") : usual.arrival());
  }

  private static Duration seconds(Doc doc, String field) {
    return Duration.ofMillis(Math.round(doc.number(field, 0, 30) * 1_000));
  }

  private static Surface surface(Doc doc, double tolerance) {
    Surface surface = new Surface(
        doc.of("id", ControlSpecReader::channel, "x"), doc.text("name"), doc.one("axis", Axis.class),
        doc.number("positive-deg", -60, 60), doc.number("negative-deg", -60, 60),
        doc.number("tolerance-deg", 0, 20, tolerance), curve(doc, "gearing", "pct", -100),
        doc.list("droop", d -> new Droop(d.number("flap-deg", 0, 90), d.number("deg", -45, 45))));
    if (surface.positiveDeg() * surface.negativeDeg() >= 0) {
      doc.fault("negative-deg", "The two full deflections must lie on opposite sides of neutral.");
    }
    List<Point> gearing = surface.gearing();
    if (!gearing.isEmpty() && (gearing.getFirst().pct() != -100 || gearing.getLast().pct() != 100
        || gearing.getFirst().deg() != surface.negativeDeg() || gearing.getLast().deg() != surface.positiveDeg())) {
      doc.fault("gearing", "It must run from -100 % with 'negative-deg' to 100 % with 'positive-deg'.");
    }
    rising(doc, "droop", surface.droop().stream().map(Droop::flapDeg).toList());
    return surface;
  }

  private static List<Point> curve(Doc doc, String field, String by, double least) {
    List<Point> points = doc.list(field, d -> new Point(d.number(by, least, 100), d.number("deg", -90, 90)));
    rising(doc, field, points.stream().map(Point::pct).toList());
    return points;
  }

  private static void rising(Doc doc, String field, List<Double> along) {
    if (along.size() == 1) {
      doc.fault(field, "A curve has at least two points.");
    }
    for (int i = 1; i < along.size(); i++) {
      if (along.get(i) <= along.get(i - 1)) {
        doc.fault(field, "%s does not come after %s; points must rise.".formatted(along.get(i), along.get(i - 1)));
      }
    }
  }

  private static Spoiler spoiler(Doc doc) {
    return new Spoiler(
        doc.of("id", ControlSpecReader::channel, "x"), doc.text("name"), doc.one("side", Side.class).sign,
        doc.number("out-deg", 1, 90), doc.number("in-deg", 0, 20), curve(doc, "schedule", "pct", 0),
        doc.number("tolerance-deg", 0, 45, SPOILER_TOLERANCE_DEG));
  }

  private static Pair pair(Doc doc) {
    return new Pair(doc.text("left"), doc.text("right"), doc.text("name"), doc.number("tolerance-deg", 0, 20));
  }

  private static Supply supply(Doc doc) {
    return new Supply(
        doc.of("system", ControlSpecReader::channel, "x"), doc.text("name"), doc.number("least-psi", 0, 10_000));
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
