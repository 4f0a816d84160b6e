package neatlanyard.formats.text;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import neatlanyard.core.record.Characters;
import neatlanyard.core.units.Plausible;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/** Rows of a CSV text (RFC 4180) under known columns, with every fault and its line. */
public final class Rows {
  /** More would hold up what crews write meanwhile; a longer table goes in several. */
  private static final int MOST_ROWS = 5_000;
  private static final int MOST_FAULTS = 100;

  private Rows() {}

  /** One row being read. */
  public static final class Row {
    private final CSVRecord record;
    private final int line;
    private final List<Fault> faults;

    private Row(CSVRecord record, int line, List<Fault> faults) {
      this.record = record;
      this.line = line;
      this.faults = faults;
    }

    /** From 1. */
    public int line() {
      return line;
    }

    public String text(String column) {
      String cell = Cells.read(record.get(column));
      Characters.fault(cell).ifPresent(why -> faults.add(new Fault(line, 0, "'%s': %s".formatted(column, why))));
      return cell;
    }

    /** A value of a cell, or the stand-in with a fault. */
    public <T> T of(String column, Function<String, T> type, T standIn) {
      try {
        return type.apply(text(column));
      } catch (RuntimeException e) {
        faults.add(new Fault(line, 0,
            "'%s' is '%s', which does not fit: %s".formatted(column, text(column), e.getMessage())));
        return standIn;
      }
    }

    /** A time, or a span such as -PT72H counted from {@code now}. */
    public Instant time(String column, Instant now) {
      return of(column, t -> Plausible.checked(t.startsWith("P") || t.startsWith("-P") ? now.plus(Duration.parse(t))
          : Instant.parse(t), now), now);
    }

    public void fault(String words) {
      faults.add(new Fault(line, 0, words));
    }
  }

  /** A table as text; what a spreadsheet would take for a formula is written so that it does not. */
  public static String write(List<String> columns, Stream<List<String>> rows) {
    StringBuilder out = new StringBuilder();
    try (CSVPrinter csv = new CSVPrinter(out,
        CSVFormat.RFC4180.builder().setHeader(columns.toArray(String[]::new)).get())) {
      csv.printRecords(rows.map(r -> r.stream().map(Cells::written).toList()));
    } catch (IOException e) {
      throw new UncheckedIOException(e); // Nothing is written to but memory.
    }
    return out.toString();
  }

  /** A table that is kept. */
  public static <T> Read<List<T>> read(String text, List<String> columns, Function<Row, T> reader) {
    return read(text, columns, MOST_ROWS, reader);
  }

  /** A table of at most so many rows. */
  public static <T> Read<List<T>> read(String text, List<String> columns, int most, Function<Row, T> reader) {
    List<Fault> faults = new ArrayList<>();
    List<T> rows = new ArrayList<>();
    CSVFormat format = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).setTrim(true).get();
    try (CSVParser csv = CSVParser.parse(new StringReader(text), format)) {
      List<String> names = csv.getHeaderNames();
      columns.stream().filter(c -> !names.contains(c))
          .forEach(c -> faults.add(new Fault(1, 0, "The column '%s' is missing.".formatted(c))));
      names.stream().filter(n -> !columns.contains(n)).forEach(n ->
          faults.add(new Fault(1, 0, "'%s' is not a column; they are: %s.".formatted(n, String.join(", ", columns)))));
      if (!faults.isEmpty()) {
        return new Read.Bad<>(faults);
      }
      for (CSVRecord record : csv) {
        int line = (int) csv.getCurrentLineNumber();
        if (!record.isConsistent()) {
          faults.add(new Fault(line, 0,
              "It has %d values; the header has %d.".formatted(record.size(), columns.size())));
        } else if (rows.size() >= most) {
          return new Read.Bad<>(List.of(new Fault(line, 0, "%d rows is the most.".formatted(most))));
        } else {
          rows.add(reader.apply(new Row(record, line, faults)));
        }
        if (faults.size() >= MOST_FAULTS) {
          faults.add(new Fault(line, 0, "Reading stopped here, after %d faults.".formatted(MOST_FAULTS)));
          break;
        }
      }
    } catch (IOException | UncheckedIOException | IllegalStateException | IllegalArgumentException | DateTimeException
        | ArithmeticException e) {
      faults.add(new Fault(0, 0, "It is not CSV: %s".formatted(e.getMessage())));
    }
    return faults.isEmpty() ? new Read.Good<>(rows) : new Read.Bad<>(faults);
  }
}
