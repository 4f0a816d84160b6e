package neatlanyard.formats.sop;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.gauge.Alike;
import neatlanyard.core.gauge.AsBefore;
import neatlanyard.core.gauge.Band;
import neatlanyard.core.gauge.Between;
import neatlanyard.core.gauge.Bottle;
import neatlanyard.core.gauge.CrewOxygen;
import neatlanyard.core.gauge.Drop;
import neatlanyard.core.gauge.Gauge;
import neatlanyard.core.gauge.Missing;
import neatlanyard.core.gauge.Oil;
import neatlanyard.core.gauge.Sag;
import neatlanyard.core.gauge.Setting;
import neatlanyard.core.gauge.Several;
import neatlanyard.core.gauge.TrimBand;
import neatlanyard.core.gauge.Tyre;
import neatlanyard.core.gauge.Uplift;
import neatlanyard.core.gauge.WearPin;
import neatlanyard.core.sop.Quantity;
import neatlanyard.formats.text.Doc;

/** Reads how a quantity is judged; see docs/formats/pack.md. {@link GaugeWriter} writes it. */
final class GaugeReader {
  private static final double FAR = 1e6;
  private static final double COLD_C = -80;
  private static final double HOT_C = 80;

  /** The kinds as packs name them: a gauge's own name, in kebab case. */
  static final List<String> KINDS = Stream.of(Gauge.class.getPermittedSubclasses())
      .map(c -> c.getSimpleName().replaceAll("(?<=[a-z])(?=[A-Z])", "-").toLowerCase(Locale.ROOT)).sorted().toList();

  private GaugeReader() {}

  static Gauge read(Doc doc) {
    String kind = doc.text("kind");
    return switch (kind) {
      case "band" -> band(doc);
      case "between" -> new Between(band(doc), doc.text("with"), doc.number("most-apart", 0, FAR),
          doc.yes("slope", false));
      case "tyre" -> new Tyre(
          doc.number("rated", 1, 1_000), doc.number("rated-c", COLD_C, HOT_C), doc.number("soon-pct", 0, 100),
          doc.number("out-pct", 0, 100), doc.text("with", ""), doc.number("most-apart-pct", 0, 100));
      case "bottle" -> new Bottle(
          doc.number("rated-c", COLD_C, HOT_C), doc.number("least", 0, FAR), doc.number("soon-below", 0, FAR),
              doc.number("most", 0, FAR));
      case "crew-oxygen" -> new CrewOxygen(
          doc.number("bottle-litres", 0.1, 1_000), doc.number("litres-a-minute", 0.1, 100),
              doc.number("minutes", 0, 1_000),
          minutes(doc), doc.number("keep", 0, FAR), doc.text("observers", ""), doc.number("rated-c", COLD_C, HOT_C));
      case "sag" -> new Sag(doc.text("before"), doc.number("most", 0, FAR));
      case "drop" -> new Drop(doc.text("before"), doc.number("least", 0, FAR), doc.number("most", 0, FAR));
      case "alike" -> {
        List<String> with = doc.values("with", s -> s, "x");
        if (with.isEmpty()) {
          doc.fault("with", "'with' names at least one other quantity.");
        }
        yield new Alike(with, doc.number("most-apart", 0, FAR));
      }
      case "as-before" -> new AsBefore(doc.number("soon-apart", 0, FAR));
      case "several" -> {
        List<Gauge> of = doc.list("of", GaugeReader::simple);
        if (of.isEmpty()) {
          doc.fault("of", "'several' wants at least one rule.");
        }
        yield of.isEmpty() ? new Missing(0) : new Several(of);
      }
      case "setting" -> setting(doc);
      case "missing" -> new Missing(doc.whole("allowed", 0, 1_000));
      case "oil" -> new Oil(doc.number("least", 0, FAR), doc.number("plenty", 0, FAR),
          doc.number("most-an-hour", 0, FAR));
      case "trim-band" -> {
        List<TrimBand.Row> rows = doc.list("rows", d ->
            new TrimBand.Row(d.number("percent", 0, 100), d.number("least", -FAR, FAR), d.number("most", -FAR, FAR)));
        if (rows.isEmpty() || rows.stream().map(TrimBand.Row::percent).distinct().count() < rows.size()) {
          doc.fault("rows", "A band wants at least one row, each for another centre of gravity.");
        }
        yield new TrimBand(doc.text("cg"), rows);
      }
      case "uplift" -> new Uplift(
          doc.text("before"), doc.text("litres"), doc.text("density"), doc.text("ordered"),
              doc.number("most-apart", 0, FAR));
      case "wear-pin" -> new WearPin(doc.number("limit", -FAR, FAR), doc.whole("soon-landings", 0, 100_000),
          doc.number("new-pin", 0, FAR));
      default -> {
        doc.fault("kind", "'%s' is not a kind of gauge; known are: %s.".formatted(
            kind, String.join(", ", KINDS)));
        yield new Missing(0);
      }
    };
  }

  /** A rule among several; it is not several itself, so that nothing is nested without end. */
  private static Gauge simple(Doc doc) {
    if (doc.text("kind").equals("several")) {
      doc.fault("kind", "Several rules are not nested.");
      return new Missing(0);
    }
    return read(doc);
  }

  private static Gauge setting(Doc doc) {
    List<Setting.By> by = doc.list("by", d -> {
      double[] points = numbers(d, "points");
      try {
        return new Setting.By(d.text("quantity"), points);
      } catch (IllegalArgumentException e) {
        d.fault("points", e.getMessage() + ".");
        return new Setting.By("", new double[] {0});
      }
    });
    try {
      return new Setting(by, numbers(doc, "values"), doc.number("under", 0, FAR), doc.number("over", 0, FAR));
    } catch (IllegalArgumentException | ArithmeticException e) {
      doc.fault("values", e.getMessage() + ".");
      return new Missing(0);
    }
  }

  /** Numbers apart by blanks, "-" for a hole. */
  private static double[] numbers(Doc doc, String field) {
    String[] words = doc.text(field).strip().split("\\s+", -1);
    double[] numbers = new double[words.length];
    for (int i = 0; i < words.length; i++) {
      try {
        numbers[i] = words[i].equals("-") ? Double.NaN : Double.parseDouble(words[i]);
      } catch (NumberFormatException e) {
        doc.fault(field, "'%s' is not a number.".formatted(words[i]));
        return new double[] {0};
      }
      if (Math.abs(numbers[i]) > FAR) {
        doc.fault(field, "%s is beyond %s.".formatted(words[i], Double.toString(FAR)));
      }
    }
    return numbers;
  }

  private static Band band(Doc doc) {
    return new Band(limit(doc, "least"), limit(doc, "soon-below"), limit(doc, "soon-above"), limit(doc, "most"));
  }

  private static OptionalDouble limit(Doc doc, String field) {
    return doc.has(field) ? OptionalDouble.of(doc.number(field, -FAR, FAR)) : OptionalDouble.empty();
  }

  private static Map<String, Double> minutes(Doc doc) {
    Map<String, Double> minutes = new HashMap<>();
    doc.list("minutes-to", d -> minutes.put(d.text("airfield"), d.number("minutes", 0, 1_000)));
    return minutes;
  }

  /** Notes what a gauge compares with and the pack does not declare. */
  static void known(Doc doc, List<Quantity> quantities) {
    Set<String> declared = quantities.stream().map(q -> q.id().value()).collect(Collectors.toSet());
    for (Quantity q : quantities) {
      q.gauge().map(Gauge::comparesWith).orElse(List.of()).stream().filter(o -> !declared.contains(o)).forEach(o ->
          doc.fault("quantities", "'%s' compares with '%s', which the pack does not declare.".formatted(q.id(), o)));
    }
  }
}
