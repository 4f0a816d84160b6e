package neatlanyard.formats.controls;

import de.siegmar.fastcsv.reader.CommentStrategy;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Call;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.Channels;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.units.Numbers;
import neatlanyard.formats.controls.TraceHead.Column;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;

/** Control traces as CSV (RFC 4180); see docs/formats/control-trace.md. */
public final class TraceCsv {
  /** So many faults are named one by one; a file of a million wrong cells has one cause. */
  private static final int MOST_FAULTS = 50;

  private TraceCsv() {}

  /** Reads a trace of a type whose columns are headed as ours are. */
  public static Read<Trace> read(String text, ControlSpec spec) {
    return read(text, spec, TraceNames.OURS);
  }

  /** Reads a trace of a type; the columns may stand in any order. An empty cell was not recorded. */
  public static Read<Trace> read(String text, ControlSpec spec, TraceNames names) {
    List<Fault> faults = new ArrayList<>();
    try (CsvReader<CsvRecord> csv = CsvReader.builder().commentStrategy(CommentStrategy.NONE).skipEmptyLines(true)
        .allowMissingFields(true).allowExtraFields(true).ofCsvRecord(text)) {
      Iterator<CsvRecord> rows = csv.iterator();
      if (!rows.hasNext()) {
        return new Read.Bad<>(List.of(new Fault(0, 0, "It is empty; a trace has a head and at least two samples.")));
      }
      CsvRecord first = rows.next();
      TraceHead head = TraceHead.read(first.getFields(), spec, names, faults);
      if (!faults.isEmpty()) {
        return bad(faults);
      }
      return rows(rows, first.getFieldCount(), head, faults);
    } catch (IOException | UncheckedIOException | CsvParseException e) {
      faults.add(new Fault(0, 0, "It is not CSV: %s".formatted(e.getMessage())));
      return bad(faults);
    }
  }

  private static Read<Trace> rows(Iterator<CsvRecord> rows, int width, TraceHead head, List<Fault> faults) {
    List<Column> columns = new ArrayList<>(List.of(head.time()));
    columns.addAll(head.columns().values());
    double[][] values = new double[columns.size()][1_024];
    int[] lines = new int[1_024];
    List<Call> calls = new ArrayList<>();
    int n = 0;
    while (rows.hasNext()) {
      CsvRecord row = rows.next();
      int line = (int) Math.min(row.getStartingLineNumber(), Integer.MAX_VALUE);
      if (n >= Trace.MOST_SAMPLES) {
        return new Read.Bad<>(List.of(
            new Fault(line, 0, "A trace has at most %d samples.".formatted(Trace.MOST_SAMPLES))));
      }
      if (faults.size() >= MOST_FAULTS) {
        return bad(faults);
      }
      if (row.getFieldCount() != width) {
        faults.add(new Fault(line, 0, "It has %d values; the header has %d.".formatted(row.getFieldCount(), width)));
        continue;
      }
      if (n == lines.length) {
        lines = Arrays.copyOf(lines, 2 * n);
        for (int c = 0; c < values.length; c++) {
          values[c] = Arrays.copyOf(values[c], 2 * n);
        }
      }
      lines[n] = line;
      for (int c = 0; c < values.length; c++) {
        values[c][n] = value(row, columns.get(c), c == 0, line, faults);
      }
      if (head.call() >= 0 && !row.getField(head.call()).isBlank()) {
        call(row.getField(head.call()).strip(), values[0][n], new Fault(line, head.call() + 1, ""), faults)
            .ifPresent(calls::add);
      }
      n++;
    }
    return faults.isEmpty() ? trace(head, values, lines, n, calls) : bad(faults);
  }

  private static Read<Trace> trace(TraceHead head, double[][] values, int[] lines, int n, List<Call> calls) {
    Map<Channel, double[]> columns = new LinkedHashMap<>();
    int c = 1;
    for (Channel channel : head.columns().keySet()) {
      columns.put(channel, Arrays.copyOf(values[c++], n));
    }
    double[] seconds = Arrays.copyOf(values[0], n);
    List<Fault> faults = Trace.faults(seconds, columns).stream()
        .map(m -> new Fault(m.sample() < 0 ? 0 : lines[m.sample()], 0, m.words())).toList();
    return faults.isEmpty() ? new Read.Good<>(Trace.of(seconds, columns, calls)) : bad(faults);
  }

  private static double value(CsvRecord row, Column column, boolean needed, int line, List<Fault> faults) {
    String cell = row.getField(column.number());
    if (cell.isEmpty() && !needed) {
      return Double.NaN;
    }
    try {
      double v = Double.parseDouble(cell);
      if (Double.isFinite(v)) {
        return v * column.factor() + column.plus();
      }
    } catch (NumberFormatException e) {
      // Said below, with what is not finite.
    }
    faults.add(new Fault(line, column.number() + 1, "'%s' is '%s', not a number.".formatted(column.head(),
        cell.length() > 40 ? cell.substring(0, 40) + "…" : cell)));
    return 0;
  }

  /** Such as "roll-right", "pitch-nose-up" or "yaw-neutral". */
  private static Optional<Call> call(String text, double seconds, Fault place, List<Fault> faults) {
    for (Axis axis : Axis.values()) {
      for (int sign = -1; sign <= 1; sign++) {
        if (word(axis, sign).equals(text)) {
          return Optional.of(new Call(seconds, axis, sign));
        }
      }
    }
    faults.add(new Fault(place.line(), place.column(), "'%s' is not a call; one is such as '%s' or '%s'."
        .formatted(text.length() > 40 ? text.substring(0, 40) + "…" : text, word(Axis.ROLL, 1), word(Axis.PITCH, 0))));
    return Optional.empty();
  }

  private static String word(Axis axis, int sign) {
    return axis.name().toLowerCase(Locale.ROOT) + "-" + (sign == 0 ? "neutral" : axis.toward(sign).replace(' ', '-'));
  }

  private static Read<Trace> bad(List<Fault> faults) {
    List<Fault> sorted = new ArrayList<>(faults.stream().sorted(Comparator.comparingInt(Fault::line))
        .limit(MOST_FAULTS).toList());
    if (faults.size() >= MOST_FAULTS) {
      sorted.add(new Fault(0, 0, "There may be more; these are the first %d.".formatted(MOST_FAULTS)));
    }
    return new Read.Bad<>(sorted);
  }

  /** Writes everything of a trace: thousandths of a second, tenths of a per cent, hundredths of a degree. */
  public static String write(Trace trace) {
    StringBuilder text = new StringBuilder("seconds");
    List<Channel> channels = List.copyOf(trace.channels());
    channels.forEach(c -> text.append(',').append(Channels.name(c)).append('-').append(Channels.unit(c)));
    text.append(trace.calls().isEmpty() ? "\r\n" : "," + TraceHead.CALL + "\r\n");
    double[][] values = channels.stream().map(trace::values).toArray(double[][]::new);
    int[] decimals = channels.stream().mapToInt(TraceCsv::decimals).toArray();
    int next = 0;
    for (int i = 0; i < trace.size(); i++) {
      text.append(Numbers.plain(trace.seconds(i), 3));
      for (int c = 0; c < values.length; c++) {
        text.append(',');
        if (!Double.isNaN(values[c][i])) {
          text.append(Numbers.plain(values[c][i], decimals[c]));
        }
      }
      if (!trace.calls().isEmpty()) {
        // A call stands in the first sample that is not before it.
        boolean called = next < trace.calls().size() && trace.calls().get(next).seconds() <= trace.seconds(i) + 1e-9;
        text.append(',').append(called ? word(trace.calls().get(next).axis(), trace.calls().get(next++).sign()) : "");
      }
      text.append("\r\n");
    }
    return text.toString();
  }

  private static int decimals(Channel channel) {
    return switch (Channels.unit(channel)) {
      case "pct", "kt" -> 1;
      case "deg" -> 2;
      default -> 0;
    };
  }
}
