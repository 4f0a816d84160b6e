package neatlanyard.formats.figures;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.text.Rows;

/**
 * Reads a load sheet as rows of {@code field,value}; a field within another is named by both, such as
 * {@code fuel.left}. It is written out as the format has it and read by that, each fault with the row it came from.
 */
public final class LoadSheetCsv {
  private static final List<String> COLUMNS = List.of("field", "value");
  private static final int MOST_ROWS = 200;
  private static final Pattern FIELD = Pattern.compile("[a-z0-9-]{1,40}(\\.[a-z0-9-]{1,40}){0,2}");
  private static final Pattern HEADER = Pattern.compile("\\s*\"?field\"?\\s*,\\s*\"?value\"?\\s*[\\r\\n]");

  private LoadSheetCsv() {}

  /** Whether a text looks like one: its first line is the header. */
  static boolean is(String text) {
    return HEADER.matcher(text).lookingAt();
  }

  /** What stands under a name. */
  private sealed interface Node {}

  private record Cell(String field, String value, int line) implements Node {}

  private record Group(Map<String, Node> fields) implements Node {}

  public static Read<LoadSheet> read(String text) {
    return switch (Rows.read(text, COLUMNS, MOST_ROWS,
        row -> new Cell(row.of("field", LoadSheetCsv::field, "x"), row.text("value"), row.line()))) {
      case Read.Good<List<Cell>> rows -> new Written(rows.value()).read();
      case Read.Bad<List<Cell>> bad -> new Read.Bad<>(bad.faults());
    };
  }

  private static String field(String name) {
    if (!FIELD.matcher(name).matches()) {
      throw new IllegalArgumentException("a field is such as 'tail' or 'fuel.left'");
    }
    return name;
  }

  /** The rows written out, with the row of each line. */
  private static final class Written {
    private final Group sheet = new Group(new LinkedHashMap<>());
    private final List<Fault> faults = new ArrayList<>();
    private final StringBuilder text = new StringBuilder("format: %s\n".formatted(LoadSheetReader.FORMAT));
    private final List<Integer> rows = new ArrayList<>(List.of(1));

    Written(List<Cell> cells) {
      cells.forEach(c -> put(sheet, c, c.field));
    }

    private void put(Group group, Cell cell, String name) {
      int dot = name.indexOf('.');
      if (dot < 0) {
        if (group.fields.putIfAbsent(name, cell) != null) {
          faults.add(new Fault(cell.line, 0, "'%s' stands twice.".formatted(cell.field)));
        }
        return;
      }
      switch (group.fields.computeIfAbsent(name.substring(0, dot), n -> new Group(new LinkedHashMap<>()))) {
        case Group inner -> put(inner, cell, name.substring(dot + 1));
        case Cell other -> faults.add(new Fault(cell.line, 0, "'%s' has a value of its own.".formatted(other.field)));
      }
    }

    private void write(Group group, String indent) {
      group.fields.forEach((name, node) -> {
        text.append(indent).append(name).append(':');
        switch (node) {
          case Cell cell -> {
            rows.add(cell.line);
            text.append(" '").append(cell.value.replace("'", "''")).append("'\n");
          }
          case Group inner -> {
            rows.add(1);
            text.append('\n');
            write(inner, indent + "  ");
          }
        }
      });
    }

    Read<LoadSheet> read() {
      if (!faults.isEmpty()) {
        return new Read.Bad<>(faults);
      }
      write(sheet, "");
      return switch (LoadSheetReader.read(text.toString())) {
        case Read.Good<LoadSheet> good -> good;
        case Read.Bad<LoadSheet> bad -> new Read.Bad<>(bad.faults().stream().map(f ->
            new Fault(f.line() >= 1 && f.line() <= rows.size() ? rows.get(f.line() - 1) : 1, 0, f.path(), f.what()))
            .toList());
      };
    }
  }
}
