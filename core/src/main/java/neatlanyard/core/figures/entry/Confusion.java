package neatlanyard.core.figures.entry;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.units.Units;

/** What is entered when one figure is taken for another: of another field, flight, row, unit or runway. */
final class Confusion {
  private Confusion() {}

  /** @param share of all that this kind could give here @param words how it came about */
  record Taken(Slip slip, String figure, double share, String words) {}

  /** All that stands near enough to be taken for a figure. */
  static List<Taken> of(CriticalFigure figure, String right, EntryContext context) {
    List<Taken> all = new ArrayList<>();
    context.others().forEach((other, value) -> all.add(new Taken(Slip.OTHER_FIELD, Typed.plain(value),
        share(figure, other, context), "the %s entered as %s".formatted(other.words(), figure.words()))));
    context.lastFlight().ifPresent(v -> all.add(new Taken(Slip.LAST_FLIGHT, Typed.plain(v), 1,
        "the %s of the last flight".formatted(figure.words()))));
    context.rows().forEach(r -> all.add(new Taken(Slip.OTHER_ROW, Typed.plain(r.value()),
        1.0 / context.rows().size(), "the row for %s".formatted(r.name()))));
    units(figure, right).forEach(all::add);
    if (figure == CriticalFigure.RUNWAY) {
      all.addAll(runways(right));
    }
    if (figure == CriticalFigure.INTERSECTION && !right.equals(CriticalFigure.WHOLE_RUNWAY)) {
      all.add(new Taken(Slip.FULL_LENGTH, CriticalFigure.WHOLE_RUNWAY, 1,
          "the whole runway entered for intersection " + right));
    }
    return all.stream().filter(t -> !Typed.same(figure, context.scale(), t.figure, right)).toList();
  }

  /** A weight is taken for a weight, a speed for a speed, far sooner than one for the other. */
  private static double share(CriticalFigure figure, CriticalFigure other, EntryContext context) {
    double alike = context.others().keySet().stream().filter(o -> alike(figure, o)).count();
    double unlike = context.others().size() - alike;
    double all = alike + unlike * UNLIKE;
    return (alike(figure, other) ? 1 : UNLIKE) / all;
  }

  private static final double UNLIKE = 0.1;

  private static boolean alike(CriticalFigure one, CriticalFigure other) {
    return one.weight() && other.weight() || one.speed() && other.speed();
  }

  private static List<Taken> units(CriticalFigure figure, String right) {
    OptionalDouble value = Typed.number(right);
    if (value.isEmpty()) {
      return List.of();
    }
    if (figure.weight()) {
      return List.of(
          new Taken(Slip.OTHER_UNIT, like(right, Units.lbFromKg(value.getAsDouble())), 0.5,
          "pounds entered for kilograms"),
          new Taken(Slip.OTHER_UNIT, like(right, Units.kgFromLb(value.getAsDouble())), 0.5,
          "taken for pounds and made into kilograms"));
    }
    if (figure == CriticalFigure.PRESSURE_SETTING) {
      String inches = String.format(Locale.ROOT, "%.2f", Units.inHgFromHpa(value.getAsDouble()));
      String words = "inches entered for hectopascals";
      return List.of(new Taken(Slip.OTHER_UNIT, inches, 0.5, words),
          new Taken(Slip.OTHER_UNIT, inches.replace(".", ""), 0.5, words));
    }
    return List.of();
  }

  /** With as many places as another is written with. */
  private static String like(String right, double value) {
    int point = right.indexOf('.');
    return String.format(Locale.ROOT, "%." + (point < 0 ? 0 : right.length() - point - 1) + "f", value);
  }

  private static List<Taken> runways(String right) {
    RunwayName name;
    try {
      name = new RunwayName(right);
    } catch (IllegalArgumentException e) {
      return List.of();
    }
    List<Taken> all = new ArrayList<>();
    all.add(new Taken(Slip.RECIPROCAL_RUNWAY, name.reciprocal().value(), 1, "the other end of runway " + right));
    String tens = right.substring(0, 2);
    List<String> beside = List.of(tens + "L", tens + "C", tens + "R").stream().filter(n ->
        new RunwayName(n).parallelTo(name)).toList();
    if (right.length() > tens.length()) {
      beside.forEach(n -> all.add(new Taken(Slip.PARALLEL_RUNWAY, n, 1.0 / beside.size(),
          "runway %s, beside %s".formatted(n, right))));
    }
    return all;
  }
}
