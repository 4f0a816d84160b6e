package neatlanyard.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import neatlanyard.core.figures.entry.Cause;
import neatlanyard.core.figures.entry.Recogniser;
import neatlanyard.formats.figures.EntriesCsv;
import neatlanyard.formats.figures.EntriesCsv.EnteredFigure;
import neatlanyard.formats.figures.EntriesJson;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Says of entered figures how each that is wrong came about. */
@Command(
    name = "entry",
    description = "Says of entered figures how each that is wrong came about. Exit 0: all are right. 1: some are not."
        + " 2: cannot be read, and every fault.",
    mixinStandardHelpOptions = true)
final class Entry implements Callable<Integer> {
  @Parameters(paramLabel = "FILE.csv", description = "the entries, see docs/formats/entries.md")
  private Path file = Path.of("");

  @Option(names = "--json", description = "print JSON")
  private boolean json;

  @Spec
  @SuppressWarnings("NullAway.Init") // picocli sets it before it calls.
  private CommandSpec spec;

  @Override
  public Integer call() {
    PrintWriter out = spec.commandLine().getOut();
    try {
      List<EnteredFigure> entries = InputFile.good(file, EntriesCsv.read(InputFile.text(file)));
      List<List<Cause>> causes = entries.stream().map(e ->
          Recogniser.causes(e.figure(), e.expected(), e.entered(), e.context())).toList();
      if (json) {
        out.println(EntriesJson.of(entries, causes));
      } else {
        for (int i = 0; i < entries.size(); i++) {
          line(out, i + 1, entries.get(i), causes.get(i));
        }
      }
      long wrong = causes.stream().filter(c -> !c.isEmpty()).count();
      if (!json) {
        out.printf("%d of %d are not as expected.%n", wrong, entries.size());
      }
      return wrong == 0 ? Lanyard.GOOD : Lanyard.NOT_GOOD;
    } catch (InputFile.Unreadable e) {
      e.lines().forEach(out::println);
      return Lanyard.UNREADABLE;
    }
  }

  private static void line(PrintWriter out, int number, EnteredFigure e, List<Cause> causes) {
    if (causes.isEmpty()) {
      return;
    }
    String all = String.join("; or ", causes.stream().map(c ->
        String.format(Locale.ROOT, "%s (%.0f %%)", c.words(), 100 * c.likelihood())).toList());
    out.printf("%d, %s: entered %s, expected %s%s: %s%n", number, e.figure().words(), e.entered(), e.expected(),
        e.unit().isEmpty() ? "" : " " + e.unit(), all);
  }
}
