package neatlanyard.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import neatlanyard.formats.record.RecordFile;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Checks a record by itself. */
@Command(
    name = "verify",
    description = "Checks a departure's record. Exit 0: whole. 1: altered, and where. 2: not a record.",
    mixinStandardHelpOptions = true)
final class Verify implements Callable<Integer> {
  @Parameters(paramLabel = "FILE", description = "the record as it was downloaded")
  private Path file = Path.of("");

  @Option(names = "--head", paramLabel = "HASH", description = "the chain's head as it was printed or noted elsewhere; must agree")
  private String head = "";

  @Spec
  @SuppressWarnings("NullAway.Init") // picocli sets it before it calls.
  private CommandSpec spec;

  @Override
  public Integer call() {
    PrintWriter out = spec.commandLine().getOut();
    String text;
    try {
      text = Files.readString(file);
    } catch (IOException e) {
      out.printf("%s cannot be read: %s%n", file, e.getMessage());
      return Lanyard.UNREADABLE;
    }
    return switch (RecordFile.check(text)) {
      case RecordFile.Check.NotARecord no -> {
        out.printf("%s is not a record. %s%n", file, no.what());
        yield Lanyard.UNREADABLE;
      }
      case RecordFile.Check.Altered altered -> {
        out.printf("%s was altered. %s: %s.%n", file, altered.number() == 0 ? "The file" : "Entry " + altered.number(), altered.what());
        yield Lanyard.NOT_GOOD;
      }
      case RecordFile.Check.Whole whole when !head.isBlank() && !whole.head().equals(head.replace(" ", "")) -> {
        out.printf("%s was altered. Its chain hangs together, but ends in %s, not in the head you gave.%n", file, whole.head());
        yield Lanyard.NOT_GOOD;
      }
      case RecordFile.Check.Whole whole -> {
        out.printf("%s is whole: %d entries, tied off by %s at %s.%nHead of the chain: %s%n",
            file, whole.entries(), whole.last().by(), whole.last().at(), whole.head());
        yield Lanyard.GOOD;
      }
    };
  }
}
