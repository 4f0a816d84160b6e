package neatlanyard.formats.figures;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.figures.Grid;
import neatlanyard.core.figures.RunwayState;
import neatlanyard.core.figures.TakeoffTables;
import neatlanyard.core.figures.TakeoffTables.Gives;
import neatlanyard.core.figures.TakeoffTables.Key;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;

/** Reads take-off tables; see docs/formats/take-off-tables.md. */
public final class TakeoffTablesReader {
  public static final String FORMAT = "neat-lanyard/take-off-tables/1";
  private static final int MOST_VALUES = 200_000;
  private static final double LARGEST = 1e6;
  private static final Grid NOTHING =
      new Grid(List.of(new Grid.Axis(Grid.Of.WEIGHT, new double[] {0})), new double[] {Double.NaN});

  private TakeoffTablesReader() {}

  /** @param edition such as "2026-11" */
  public record Tables(TypeId type, String edition, TakeoffTables tables) {
    /** These, where they are of a type. */
    public Optional<Tables> of(TypeId one) {
      return Optional.of(this).filter(t -> t.type.equals(one));
    }
  }

  public static Read<Tables> read(String text) {
    return Doc.read(text, TakeoffTablesReader::tables);
  }

  private record Entry(Key key, Grid grid) {}

  private static Tables tables(Doc doc) {
    doc.format(FORMAT);
    TypeId type = doc.of("type", TypeId::new, "x1");
    String edition = doc.text("edition");
    doc.text("note", "");
    Map<Key, Grid> grids = new HashMap<>();
    for (Entry entry : doc.list("tables", TakeoffTablesReader::table)) {
      if (grids.put(entry.key, entry.grid) != null) {
        doc.fault("tables", "The table of %s, flap %s%s stands twice.".formatted(Doc.written(entry.key.gives()),
            entry.key.flap(), entry.key.state().map(s -> ", " + s.words()).orElse("")));
      }
    }
    return new Tables(type, edition, new TakeoffTables(grids));
  }

  private static Entry table(Doc doc) {
    Optional<RunwayState> state = doc.has("state") ? Optional.of(doc.one("state", RunwayState.class))
        : Optional.empty();
    Key key = new Key(doc.one("gives", Gives.class), doc.text("flap"), state);
    List<Optional<Grid.Axis>> axes = doc.list("axes", TakeoffTablesReader::axis);
    double[] values = values(doc);
    if (axes.isEmpty()) {
      doc.fault("axes", "A table has at least one axis.");
    }
    if (axes.isEmpty() || axes.stream().anyMatch(Optional::isEmpty)) {
      return new Entry(key, NOTHING);
    }
    try {
      return new Entry(key, new Grid(axes.stream().flatMap(Optional::stream).toList(), values));
    } catch (IllegalArgumentException | ArithmeticException e) {
      doc.fault("values", e.getMessage() + ".");
      return new Entry(key, NOTHING);
    }
  }

  private static Optional<Grid.Axis> axis(Doc doc) {
    Grid.Of of = doc.one("of", Grid.Of.class);
    double[] points = doc.values("points", TakeoffTablesReader::number, "0").stream()
        .mapToDouble(Double::doubleValue).toArray();
    try {
      return Optional.of(new Grid.Axis(of, points));
    } catch (IllegalArgumentException e) {
      doc.fault("points", e.getMessage() + ".");
      return Optional.empty();
    }
  }

  private static double number(String text) {
    double value = Double.parseDouble(text);
    if (!(Math.abs(value) <= LARGEST)) {
      throw new IllegalArgumentException("%s is not a value of a table".formatted(text));
    }
    return value;
  }

  /** Numbers in one text, apart by blanks and line ends; a minus alone is a hole. */
  private static double[] values(Doc doc) {
    List<String> words = Arrays.asList(doc.text("values").split("\\s+"));
    if (words.size() > MOST_VALUES) {
      doc.fault("values", "%d values; %d is the most.".formatted(words.size(), MOST_VALUES));
      return new double[0];
    }
    double[] values = new double[words.size()];
    for (int i = 0; i < values.length; i++) {
      try {
        values[i] = words.get(i).equals("-") ? Double.NaN : number(words.get(i));
      } catch (IllegalArgumentException e) {
        doc.fault("values", "Value %d is '%s', not a number and not a hole (-).".formatted(i + 1, words.get(i)));
        return values;
      }
    }
    return values;
  }
}
