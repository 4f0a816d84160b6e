package neatlanyard.formats.figures;

import java.util.List;
import neatlanyard.core.figures.Falling;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.Holdover.Row;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;

/** Reads an operator's holdover times; see docs/formats/holdover.md. */
public final class HoldoverReader {
  public static final String FORMAT = "neat-lanyard/holdover/1";
  private static final int LONGEST_MIN = 24 * 60;

  private HoldoverReader() {}

  public static Read<Holdover> read(String text) {
    return Doc.read(text, HoldoverReader::table);
  }

  private static Holdover table(Doc doc) {
    doc.format(FORMAT);
    doc.text("note", "");
    String edition = doc.text("edition");
    List<Row> rows = doc.list("rows", HoldoverReader::row);
    for (int i = 0; i < rows.size(); i++) {
      Row row = rows.get(i);
      if (rows.subList(0, i).stream().anyMatch(r -> overlap(r, row))) {
        doc.fault("rows", "Row %d says of some temperatures what a row before it says.".formatted(i + 1));
      }
    }
    return new Holdover(edition, rows);
  }

  private static boolean overlap(Row a, Row b) {
    return a.fluid().equals(b.fluid()) && a.mix().equals(b.mix()) && a.falling() == b.falling()
        && a.fromC() <= b.toC() && b.fromC() <= a.toC();
  }

  private static Row row(Doc doc) {
    Row row = new Row(doc.text("fluid"), doc.text("mix"), doc.one("falling", Falling.class),
        doc.whole("from-c", -60, 20), doc.whole("to-c", -60, 20), doc.whole("least-min", 0, LONGEST_MIN),
        doc.whole("most-min", 0, LONGEST_MIN));
    if (row.fromC() > row.toC()) {
      doc.fault("from-c", "'from-c' is %d, warmer than 'to-c', %d.".formatted(row.fromC(), row.toC()));
    }
    if (row.leastMinutes() > row.mostMinutes()) {
      doc.fault("least-min", "'least-min' is %d, more than 'most-min', %d.".formatted(
          row.leastMinutes(), row.mostMinutes()));
    }
    if (row.falling() == Falling.NOTHING || row.falling() == Falling.OTHER) {
      doc.fault("falling", "There is no time for '%s'.".formatted(Doc.written(row.falling())));
    }
    return row;
  }
}
