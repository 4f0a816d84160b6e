package neatlanyard.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.sop.draft.Draft;
import neatlanyard.core.sop.draft.Drafting;
import neatlanyard.core.sop.draft.PrintedItem;
import neatlanyard.formats.sop.PackWriter;
import neatlanyard.formats.sop.PrintedListReader;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Makes a first draft of a pack from an operator's printed checklist. */
@Command(
    name = "draft",
    description = "Makes a first draft of a pack from a printed checklist, and says what it guessed. Exit 0: written. "
    + "2: cannot be read, and why.",
    mixinStandardHelpOptions = true)
final class DraftPack implements Callable<Integer> {
  @Parameters(paramLabel = "FILE", description = "the checklist as CSV or text, see docs/pack-draft.md")
  private Path file = Path.of("");

  @Option(names = "--type", defaultValue = "new-type", description = "the type's name, such as paddle-2")
  private String type = "";

  @Option(names = "--tail", defaultValue = "TAIL-1", description = "a tail of it")
  private String tail = "";

  @Option(names = "--out", paramLabel = "PACK.yaml", description = "where it is written; to the terminal otherwise")
  private @Nullable Path to;

  @Spec
  @SuppressWarnings("NullAway.Init") // picocli sets it before it calls.
  private CommandSpec spec;

  @Override
  public Integer call() {
    PrintWriter out = spec.commandLine().getOut();
    PrintWriter err = spec.commandLine().getErr();
    Draft draft;
    try {
      List<PrintedItem> items = InputFile.good(file, PrintedListReader.read(InputFile.text(file)));
      draft = Drafting.of(new TypeId(type), new TailId(tail), items);
    } catch (InputFile.Unreadable e) {
      e.lines().forEach(out::println);
      return Lanyard.UNREADABLE;
    } catch (IllegalArgumentException e) {
      out.println(e.getMessage() + ".");
      return Lanyard.UNREADABLE;
    }
    String yaml = PackWriter.yaml(draft.pack());
    Optional<Path> where = Optional.ofNullable(to);
    try {
      if (where.isPresent()) {
        // What somebody has worked on since is not written over.
        Files.writeString(where.get(), yaml, StandardOpenOption.CREATE_NEW);
      } else {
        out.print(yaml);
      }
    } catch (FileAlreadyExistsException e) {
      out.println("%s is there already; it is not written over.".formatted(to));
      return Lanyard.UNREADABLE;
    } catch (IOException e) {
      out.println("%s cannot be written: %s".formatted(to, e.getMessage()));
      return Lanyard.UNREADABLE;
    }
    draft.guesses().forEach(g -> err.println(g.line() == 0 ? g.words()
        : "line %d: %s".formatted(g.line(), g.words())));
    err.println("%d steps, %d guesses to look at.".formatted(draft.pack().steps().count(), draft.guesses().size()));
    err.flush();
    return Lanyard.GOOD;
  }
}
