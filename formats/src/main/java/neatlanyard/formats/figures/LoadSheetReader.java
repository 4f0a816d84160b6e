package neatlanyard.formats.figures;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;
import neatlanyard.core.figures.LastMinuteChange;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.figures.LoadSheet.Load;
import neatlanyard.core.figures.LoadSheet.Stated;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.units.Units;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;

/** Reads a load sheet; see docs/formats/load-sheet.md. */
public final class LoadSheetReader {
  public static final String FORMAT = "neat-lanyard/load-sheet/1";
  private static final double MOST_KG = 700_000;
  /** In either unit: whatever flies weighs more. */
  private static final double LEAST = 100;

  private LoadSheetReader() {}

  /** The unit its weights are written in. */
  enum Weights {
    KG,
    LB;

    double kg(double written) {
      return this == KG ? written : Units.kgFromLb(written);
    }
  }

  public static Read<LoadSheet> read(String text) {
    return Doc.read(text, LoadSheetReader::sheet);
  }

  static LoadSheet sheet(Doc doc) {
    doc.format(FORMAT);
    Weights unit = doc.one("weights", Weights.class);
    return new LoadSheet(
        doc.text("flight"), doc.of("tail", TailId::new, "XX"), doc.of("day", LocalDate::parse, "2000-01-01"),
        doc.whole("edition", 1, 99),
        doc.inner("states", d -> stated(d, unit)).orElse(new Stated(0, 0, OptionalDouble.empty(),
        OptionalDouble.empty(), OptionalDouble.empty())),
        doc.has("load") ? doc.inner("load", d -> load(d, unit)) : java.util.Optional.empty(),
        doc.inner("fuel", d -> weights(d, unit)).orElse(Map.of()),
        weight(doc, "taxi-fuel", unit), weight(doc, "trip-fuel", unit), LastMinuteChange.NONE);
  }

  private static Stated stated(Doc doc, Weights unit) {
    return new Stated(unit.kg(doc.number("zero-fuel", LEAST, MOST_KG)), doc.number("zero-fuel-percent", -50, 150),
        maybe(doc, "gross", unit), maybe(doc, "take-off", unit), maybe(doc, "landing", unit));
  }

  private static Load load(Doc doc, Weights unit) {
    Map<String, Integer> heads = doc.has("passengers") ? doc.inner("passengers", d -> {
      Map<String, Integer> all = new LinkedHashMap<>();
      d.names().forEach(n -> all.put(n, d.whole(n, 0, 1_000)));
      return all;
    }).orElse(Map.of()) : Map.of();
    Map<String, Double> holds = doc.has("holds") ? doc.inner("holds", d -> weights(d, unit)).orElse(Map.of())
        : Map.of();
    return new Load(heads, holds);
  }

  private static Map<String, Double> weights(Doc doc, Weights unit) {
    Map<String, Double> all = new LinkedHashMap<>();
    doc.names().forEach(n -> all.put(n, weight(doc, n, unit)));
    return all;
  }

  private static double weight(Doc doc, String field, Weights unit) {
    return unit.kg(doc.number(field, 0, MOST_KG));
  }

  private static OptionalDouble maybe(Doc doc, String field, Weights unit) {
    return doc.has(field) ? OptionalDouble.of(weight(doc, field, unit)) : OptionalDouble.empty();
  }
}
