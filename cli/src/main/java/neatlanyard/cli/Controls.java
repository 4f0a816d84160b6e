package neatlanyard.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.Trace;
import neatlanyard.core.sop.Pack;
import neatlanyard.formats.controls.TraceCsv;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Judges a recorded control trace by a type's limits. */
@Command(
    name = "controls",
    description = "Judges a recorded control trace. Exit 0: passed. 1: not passed, and why. 2: cannot be judged.",
    mixinStandardHelpOptions = true)
final class Controls implements Callable<Integer> {
  @Parameters(paramLabel = "FILE.csv", description = "the trace, see docs/formats/control-trace.md")
  private Path file = Path.of("");

  @Option(names = "--type", required = true, paramLabel = "TYPE", description = "the aircraft type, such as dovrin-46")
  private String type = "";

  @Option(names = "--packs", paramLabel = "FOLDER", description = "where the packs are (default: demo/packs)")
  private Path packs = Path.of("demo/packs");

  @Option(names = "--all", description = "say also what was found as it should be")
  private boolean all;

  @Spec
  @SuppressWarnings("NullAway.Init") // picocli sets it before it calls.
  private CommandSpec spec;

  @Override
  public Integer call() throws IOException {
    PrintWriter out = spec.commandLine().getOut();
    List<Pack> known = new ArrayList<>();
    if (!Files.isDirectory(packs) || !Files.isReadable(file)) {
      out.printf("%s cannot be read.%n", Files.isDirectory(packs) ? file : packs);
      return Lanyard.UNREADABLE;
    }
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
    return known.stream().filter(p -> p.type().value().equals(type)).findFirst()
        .map(p -> judge(p, out))
        .orElseGet(() -> {
          out.printf("No pack in %s is for the type '%s'.%n", packs, type);
          return Lanyard.UNREADABLE;
        });
  }

  private int judge(Pack pack, PrintWriter out) {
    String text;
    try {
      text = Files.readString(file);
    } catch (IOException e) {
      out.printf("%s cannot be read: %s%n", file, e.getMessage());
      return Lanyard.UNREADABLE;
    }
    return switch (TraceCsv.read(text, pack.flightControls())) {
      case Read.Bad<Trace> bad -> {
        bad.faults().stream().map(Fault::words).forEach(f -> out.printf("%s: %s%n", file, f));
        yield Lanyard.UNREADABLE;
      }
      case Read.Good<Trace> good -> {
        Judgement judgement = ControlCheck.judge(pack.flightControls(), pack.policy().controlOrder(), good.value());
        judgement.findings().stream()
            .filter(f -> all || !f.passed())
            .forEach(f -> out.printf("%s %s%n", f.passed() ? "as it should be:" : "not as it should be:", f.words()));
        out.printf("%s: %s%n", file, judgement.passed() ? "passed. " + judgement.summary()
            : "%d not as it should be.".formatted(judgement.failed().size()));
        yield judgement.passed() ? Lanyard.GOOD : Lanyard.NOT_GOOD;
      }
    };
  }
}
