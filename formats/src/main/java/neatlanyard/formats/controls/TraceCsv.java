package neatlanyard.formats.controls;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.controls.Trace.Sample;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Control traces as CSV (RFC 4180); see docs/formats/control-trace.md. */
public final class TraceCsv {
  /** Longest trace read: ten minutes at 100 Hz. */
  public static final int MOST_SAMPLES = 60_000;

  private static final List<String> INPUTS = List.of("seconds", "pitch-pct", "roll-pct", "yaw-pct");

  private TraceCsv() {}

  private static List<String> header(ControlSpec spec) {
    return Stream.concat(INPUTS.stream(), spec.channels().stream().map(c -> c + "-deg")).toList();
  }

  /** Reads a trace of a type; the columns may stand in any order, but all must be there and no others. */
  public static Read<Trace> read(String text, ControlSpec spec) {
    return switch (samples(text, spec)) {
      case Read.Bad<List<Sample>> bad -> new Read.Bad<>(bad.faults());
      case Read.Good<List<Sample>> good -> {
        List<String> faults = Trace.faults(spec.channels(), good.value());
        yield faults.isEmpty()
            ? new Read.Good<>(Trace.of(spec.channels(), good.value()))
            : new Read.Bad<>(faults.stream().map(f -> new Fault(0, 0, f)).toList());
      }
    };
  }

  private static Read<List<Sample>> samples(String text, ControlSpec spec) {
    List<Fault> faults = new ArrayList<>();
    List<Sample> samples = new ArrayList<>();
    List<String> wanted = header(spec);
    CSVFormat format = CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).setTrim(true).get();
    try (CSVParser csv = CSVParser.parse(new StringReader(text), format)) {
      List<String> names = csv.getHeaderNames();
      wanted.stream().filter(w -> !names.contains(w)).forEach(w ->
          faults.add(new Fault(1, 0, "The column '%s' is missing.".formatted(w))));
      names.stream().filter(n -> !wanted.contains(n)).forEach(n ->
          faults.add(new Fault(1, 0, "'%s' is not a column of this type's traces; they are: %s.".formatted(n,
              String.join(", ", wanted)))));
      if (!faults.isEmpty()) {
        return new Read.Bad<>(faults);
      }
      for (CSVRecord row : csv) {
        if (samples.size() >= MOST_SAMPLES) {
          return new Read.Bad<>(
              List.of(new Fault((int) csv.getCurrentLineNumber(), 0,
              "A trace has at most %d samples.".formatted(MOST_SAMPLES))));
        }
        samples.add(sample(row, wanted, (int) csv.getCurrentLineNumber(), faults));
      }
    } catch (IOException | UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
      faults.add(new Fault(0, 0, "It is not CSV: %s".formatted(e.getMessage())));
    }
    faults.sort(Comparator.comparingInt(Fault::line));
    return faults.isEmpty() ? new Read.Good<>(samples) : new Read.Bad<>(faults);
  }

  private static Sample sample(CSVRecord row, List<String> wanted, int line, List<Fault> faults) {
    double[] v = new double[wanted.size()];
    if (!row.isConsistent()) {
      faults.add(new Fault(line, 0, "It has %d values; the header has %d.".formatted(row.size(), wanted.size())));
      return new Sample(0, 0, 0, 0, List.of());
    }
    for (int i = 0; i < v.length; i++) {
      String cell = row.get(wanted.get(i));
      try {
        v[i] = Double.parseDouble(cell);
      } catch (NumberFormatException e) {
        faults.add(new Fault(line, 0, "'%s' is '%s', not a number.".formatted(wanted.get(i), cell)));
      }
    }
    List<Double> surfaces = java.util.Arrays.stream(v, INPUTS.size(), v.length).boxed().toList();
    return new Sample(v[0], v[1], v[2], v[3], surfaces);
  }

  /** Writes samples with three decimals of a second, and one of a per cent and two of a degree. */
  public static String write(List<Sample> samples, ControlSpec spec) {
    String rows = samples.stream()
        .map(s -> String.format(Locale.ROOT, "%.3f,%.1f,%.1f,%.1f,", s.seconds(), s.pitchPct(), s.rollPct(),
        s.yawPct())
            + s.surfacesDeg().stream().map(d -> String.format(Locale.ROOT, "%.2f", d))
            .collect(Collectors.joining(",")))
        .collect(Collectors.joining("\r\n"));
    return String.join(",", header(spec)) + "\r\n" + rows + "\r\n";
  }
}
