package neatlanyard.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import neatlanyard.core.proof.Finding;
import neatlanyard.core.proof.PackCheck;
import neatlanyard.core.sop.Pack;
import neatlanyard.formats.sop.PackReader;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Checks a procedure pack. */
@Command(
    name = "check",
    description =
    "Checks a procedure pack. Exit 0: clean. 1: findings that nobody waived. 2: cannot be read, and why.",
    mixinStandardHelpOptions = true)
final class Check implements Callable<Integer> {
  private static final JsonMapper JSON = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  @Parameters(paramLabel = "FILE", description = "the pack, see docs/formats/pack.md")
  private Path file = Path.of("");

  @Option(names = "--json", description = "print the findings as JSON")
  private boolean json;

  @Spec
  @SuppressWarnings("NullAway.Init") // picocli sets it before it calls.
  private CommandSpec spec;

  @Override
  public Integer call() {
    String text;
    try {
      // Read no further than the most a pack may have: a larger file is refused, whatever is in it.
      if (Files.size(file) > 4L * Doc.MOST_CHARACTERS) {
        return unreadable(
            List.of(new Fault(0, 0, "It has %d bytes; %d is the most.".formatted(Files.size(file),
            4L * Doc.MOST_CHARACTERS))));
      }
      text = Files.readString(file);
    } catch (IOException e) {
      return unreadable(List.of(new Fault(0, 0, "It cannot be read: " + e.getMessage())));
    }
    return switch (PackReader.read(text)) {
      case Read.Bad<Pack> bad -> unreadable(bad.faults());
      case Read.Good<Pack> good -> findings(good.value());
    };
  }

  private int unreadable(List<Fault> faults) {
    PrintWriter out = spec.commandLine().getOut();
    if (json) {
      print(Map.of("file", file.toString(), "readable", false, "faults", faults, "findings", List.of()));
    } else {
      faults.forEach(f -> out.printf("%s: %s%n", file, f.words()));
    }
    return Lanyard.UNREADABLE;
  }

  private int findings(Pack pack) {
    PrintWriter out = spec.commandLine().getOut();
    List<Finding> findings = PackCheck.of(pack);
    long open = findings.stream().filter(f -> f.waived().isEmpty()).count();
    if (json) {
      print(Map.of("file", file.toString(), "readable", true, "faults", List.of(), "findings", findings.stream()
          .map(Check::view).toList()));
    } else {
      for (Finding f : findings) {
        out.printf("%s %s (%s)%n  %s%n", kind(f), f.where(), f.rule().id(), f.what());
        f.waived().ifPresentOrElse(
            why -> out.printf("  Accepted because: %s%n", why),
            () -> out.printf("  Why it matters: %s [%s]%n  What would mend it: %s%n", f.rule().why(), f.rule()
            .source(), f.mend()));
      }
      out.printf("%s: %s%n", file, open == 0
          ? "clean%s.".formatted(findings.isEmpty() ? "" : ", %d waived".formatted(findings.size()))
          : "%d found, %d waived.".formatted(open, findings.size() - open));
    }
    return open == 0 ? Lanyard.GOOD : Lanyard.NOT_GOOD;
  }

  private static String kind(Finding f) {
    return f.waived().isPresent() ? "waived:" : f.rule().fault() ? "fault:" : "advice:";
  }

  private static Map<String, Object> view(Finding f) {
    return Map.of(
        "rule", f.rule().id(), "fault", f.rule().fault(), "at", f.at(), "where", f.where(), "what", f.what(), "why",
        f.rule().why(),
        "source", f.rule().source(), "mend", f.mend(), "waived", f.waived().orElse(""));
  }

  private void print(Object tree) {
    spec.commandLine().getOut().println(JSON.writeValueAsString(tree));
  }
}
