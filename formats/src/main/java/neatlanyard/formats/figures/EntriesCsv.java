package neatlanyard.formats.figures;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.figures.entry.EntryContext;
import neatlanyard.core.figures.entry.EntryContext.Row;
import neatlanyard.core.units.Units;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.text.Rows;

/** Reads figures that were entered, with what lay beside them; see docs/formats/entries.md. */
public final class EntriesCsv {
  private static final List<String> COLUMNS =
      List.of("figure", "unit", "expected", "entered", "last-flight", "others", "rows");
  private static final int MOST_ROWS = 200_000;
  private static final int LONGEST = 20;

  private EntriesCsv() {}

  /** One figure as it should have been and as it was entered. */
  public record EnteredFigure(CriticalFigure figure, String unit, String expected, String entered,
      EntryContext context) {}

  public static Read<List<EnteredFigure>> read(String text) {
    return Rows.read(text, COLUMNS, MOST_ROWS, EntriesCsv::entry);
  }

  private static EnteredFigure entry(Rows.Row row) {
    CriticalFigure figure = row.of("figure", EntriesCsv::figure, CriticalFigure.V1);
    String unit = row.text("unit");
    double scale = row.of("unit", u -> scale(figure, u), 1.0);
    String lastFlight = row.of("last-flight", EntriesCsv::figureText, "");
    return new EnteredFigure(figure, unit.isEmpty() ? figure.unit() : unit,
        row.of("expected", EntriesCsv::wanted, "0"), row.of("entered", EntriesCsv::figureText, "0"),
        new EntryContext(row.of("others", EntriesCsv::others, Map.of()),
        Optional.of(lastFlight).filter(l -> !l.isEmpty()), row.of("rows", EntriesCsv::rows, List.of()), scale));
  }

  private static CriticalFigure figure(String name) {
    return Doc.named(CriticalFigure.class, name);
  }

  private static double scale(CriticalFigure figure, String unit) {
    if (unit.isEmpty() || unit.equals(figure.unit())) {
      return 1;
    }
    boolean weight = figure.unit().equals("kg");
    if (weight && unit.equals("t")) {
      return 1_000;
    }
    if (weight && unit.equals("lb")) {
      return Units.kgFromLb(1);
    }
    if (figure == CriticalFigure.PRESSURE_SETTING && unit.equals("inHg")) {
      return Units.hpaFromInHg(1);
    }
    throw new IllegalArgumentException("%s is in %s%s".formatted(figure.words(),
        figure.unit().isEmpty() ? "no unit" : figure.unit(), weight ? ", t or lb" : ""));
  }

  private static String figureText(String text) {
    if (text.length() > LONGEST) {
      throw new IllegalArgumentException("nobody enters more than %d characters".formatted(LONGEST));
    }
    return text;
  }

  private static String wanted(String text) {
    if (text.isBlank()) {
      throw new IllegalArgumentException("it is wanted");
    }
    return figureText(text);
  }

  /** Pairs such as "v1=134; vr=139". */
  private static List<Row> rows(String text) {
    List<Row> all = new ArrayList<>();
    for (String pair : text.isBlank() ? new String[0] : text.split(";")) {
      String[] parts = pair.split("=", 2);
      if (parts.length < 2 || parts[0].isBlank() || parts[1].isBlank()) {
        throw new IllegalArgumentException("name=value pairs are wanted, apart by semicolons");
      }
      all.add(new Row(parts[0].strip(), figureText(parts[1].strip())));
    }
    return all;
  }

  private static Map<CriticalFigure, String> others(String text) {
    Map<CriticalFigure, String> all = new EnumMap<>(CriticalFigure.class);
    rows(text).forEach(r -> all.put(figure(r.name()), r.value()));
    return all;
  }
}
