package neatlanyard.formats.controls;

import java.util.LinkedHashMap;
import java.util.Map;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;

/**
 * How somebody else heads their columns, and what ours are called; see docs/formats/control-trace.md.
 *
 * @param columns ours by theirs, such as "elevator-deg" by "ELEV POS"
 * @param ignoreOthers whether columns that are neither named here nor ours are passed over
 */
public record TraceNames(Map<String, Theirs> columns, boolean ignoreOthers) {
  /** The columns are headed as ours are. */
  public static final TraceNames OURS = new TraceNames(Map.of(), false);

  /** Where theirs and ours differ by more than a unit, so much; also what a sense the other way round is. */
  private static final double MOST = 1_000_000;

  public TraceNames {
    columns = Map.copyOf(columns);
  }

  /**
   * One column.
   *
   * @param ours its head as we write it, with the unit theirs is in
   * @param times what theirs is multiplied by, such as -1 where their sense is the other
   * @param plus what is added then, in the unit of {@code ours}
   */
  public record Theirs(String ours, double times, double plus) {}

  /** Reads names from YAML or JSON. */
  public static Read<TraceNames> read(String text) {
    return Doc.read(text, TraceNames::names);
  }

  private static TraceNames names(Doc doc) {
    doc.format("neat-lanyard/trace-names/1");
    Map<String, Theirs> columns = new LinkedHashMap<>();
    for (ColumnOf one : doc.list("columns", TraceNames::column)) {
      if (columns.put(one.theirs(), one.column()) != null) {
        doc.fault("columns", "'%s' stands twice.".formatted(one.theirs()));
      }
    }
    return new TraceNames(columns, doc.yes("ignore-others", false));
  }

  private record ColumnOf(String theirs, Theirs column) {}

  private static ColumnOf column(Doc doc) {
    return new ColumnOf(doc.text("theirs"),
        new Theirs(doc.text("ours"), doc.number("times", -MOST, MOST, 1), doc.number("plus", -MOST, MOST, 0)));
  }
}
