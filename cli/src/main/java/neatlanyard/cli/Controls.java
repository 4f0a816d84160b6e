package neatlanyard.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import me.tongfei.progressbar.ProgressBar;
import me.tongfei.progressbar.ProgressBarBuilder;
import me.tongfei.progressbar.ProgressBarStyle;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.trend.ControlTrend.Checked;
import neatlanyard.core.controls.trend.Measure;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.sop.Pack;
import neatlanyard.formats.controls.HistoryCsv;
import neatlanyard.formats.controls.TraceNames;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Judges recorded control traces by a type's limits. */
@Command(
    name = "controls",
    description = "Judges a recorded control trace, or every one in a folder. Exit 0: all passed. 1: not all, and why."
        + " 2: one cannot be judged.",
    mixinStandardHelpOptions = true)
final class Controls implements Callable<Integer> {
  /** Tail, day and time of a recording. */
  private static final Pattern NAMED = Pattern.compile(
      "([A-Z0-9][A-Z0-9-]{1,9})_([0-9]{4}-[0-1][0-9]-[0-3][0-9])T([0-2][0-9]-[0-5][0-9]-[0-5][0-9])Z[.]csv([.]gz)?");

  @Parameters(paramLabel = "FILE", description = "the trace or a folder of them, .csv or .csv.gz, see"
      + " docs/formats/control-trace.md")
  private Path file = Path.of("");

  @Option(names = "--type", required = true, paramLabel = "TYPE", description = "the aircraft type, such as dovrin-46")
  private String type = "";

  @Option(names = "--packs", paramLabel = "FOLDER", description = "where the packs are (default: demo/packs)")
  private Path packs = Path.of("demo/packs");

  @Option(names = "--names", paramLabel = "FILE.yaml", description = "what the columns are called, where not as ours")
  private Optional<Path> names = Optional.empty();

  @Option(names = "--all", description = "say also what was found as it should be")
  private boolean all;

  @Option(names = "--json", description = "print a line of JSON for each trace")
  private boolean json;

  @Option(names = "--measured", paramLabel = "FILE.csv", description = "write what was measured of each trace of a"
      + " folder, whose names are such as TL-DVA_2026-05-04T06-10-00Z.csv.gz; see docs/formats/control-history.md")
  private Optional<Path> measured = Optional.empty();

  @Spec
  @SuppressWarnings("NullAway.Init") // picocli sets it before it calls.
  private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    PrintWriter out = spec.commandLine().getOut();
    if (!Files.isDirectory(packs) || !Files.isReadable(file)) {
      out.printf("%s cannot be read.%n", Files.isDirectory(packs) ? file : packs);
      return Lanyard.UNREADABLE;
    }
    Optional<Pack> pack = pack(out);
    Optional<TraceNames> theirs = theirs(out);
    if (pack.isEmpty() || theirs.isEmpty()) {
      return Lanyard.UNREADABLE;
    }
    TraceJudge judge = new TraceJudge(pack.get(), theirs.get(), all, json);
    if (!Files.isDirectory(file)) {
      TraceJudge.Judged judged = judge.judge(file);
      out.print(judged.text());
      return judged.exit();
    }
    return folder(judge, out);
  }

  /** Every trace, on all cores; told in the order of their names, with how many are done on the error stream. */
  private int folder(TraceJudge judge, PrintWriter out) throws IOException {
    List<Path> traces;
    try (Stream<Path> files = Files.list(file)) {
      traces = files.filter(f -> f.toString().matches(".*\\.csv(\\.gz)?")).sorted().toList();
    }
    if (traces.isEmpty()) {
      out.printf("%s holds no .csv and no .csv.gz.%n", file);
      return Lanyard.UNREADABLE;
    }
    ProgressBarBuilder bar = ProgressBar.builder().setInitialMax(traces.size()).setTaskName("Judging")
        .setStyle(ProgressBarStyle.ASCII);
    List<TraceJudge.Judged> judged;
    try (ProgressBar progress = bar.build()) {
      judged = traces.parallelStream().map(f -> {
        TraceJudge.Judged one = judge.judge(f);
        progress.step();
        return one;
      }).toList();
    }
    judged.forEach(j -> out.print(j.text()));
    if (measured.isPresent()) {
      write(judge.pack().flightControls(), measured.get(), judged, out);
    }
    long passed = judged.stream().filter(j -> j.exit() == Lanyard.GOOD).count();
    long not = judged.stream().filter(j -> j.exit() == Lanyard.NOT_GOOD).count();
    if (!json) {
      out.printf("%d traces: %d passed, %d not, %d cannot be judged.%n", judged.size(), passed, not,
          judged.size() - passed - not);
    }
    return passed + not < judged.size() ? Lanyard.UNREADABLE : not > 0 ? Lanyard.NOT_GOOD : Lanyard.GOOD;
  }

  private static void write(
      ControlSpec spec, Path to, List<TraceJudge.Judged> judged, PrintWriter out) throws IOException {
    List<Checked> checks = new ArrayList<>();
    for (TraceJudge.Judged j : judged) {
      Matcher name = NAMED.matcher(j.file().getFileName().toString());
      if (j.judgement().isEmpty() || !name.matches()) {
        out.printf("%s: not measured, as it %s.%n", j.file(), name.matches() ? "cannot be judged"
            : "is not named by its tail and time");
      } else {
        checks.add(new Checked(new TailId(name.group(1)),
            Instant.parse(name.group(2) + "T" + name.group(3).replace('-', ':') + "Z"),
            Measure.of(spec, j.judgement().get())));
      }
    }
    Files.writeString(to, HistoryCsv.write(checks, Instant::toString));
  }

  private Optional<Pack> pack(PrintWriter out) throws IOException {
    List<Pack> known = new ArrayList<>();
    try (Stream<Path> files = Files.list(packs)) {
      List<Path> sorted = files.filter(f -> f.toString().matches(".*\\.(yaml|yml|json)")).sorted().toList();
      for (Path pack : sorted) {
        if (PackReader.read(Files.readString(pack)) instanceof Read.Good<Pack> good) {
          known.add(good.value());
        } else {
          out.printf("%s is passed over: it has faults.%n", pack);
        }
      }
    }
    Optional<Pack> wanted = known.stream().filter(p -> p.type().value().equals(type)).findFirst();
    if (wanted.isEmpty()) {
      out.printf("No pack in %s is for the type '%s'.%n", packs, type);
    }
    return wanted;
  }

  private Optional<TraceNames> theirs(PrintWriter out) throws IOException {
    if (names.isEmpty()) {
      return Optional.of(TraceNames.OURS);
    }
    if (!Files.isReadable(names.get())) {
      out.printf("%s cannot be read.%n", names.get());
      return Optional.empty();
    }
    return switch (TraceNames.read(Files.readString(names.get()))) {
      case Read.Good<TraceNames> good -> Optional.of(good.value());
      case Read.Bad<TraceNames> bad -> {
        bad.faults().stream().map(Fault::words).forEach(f -> out.printf("%s: %s%n", names.get(), f));
        yield Optional.empty();
      }
    };
  }
}
