package neatlanyard.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import neatlanyard.core.record.Seal;
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

  @Option(names = "--head", paramLabel = "HASH",
      description = "the chain's head as it was printed or noted elsewhere; must agree")
  private String head = "";

  @Option(names = "--key", paramLabel = "KEY",
      description =
          "the key of the installation: its fingerprint, or a PEM file of it; the record must be signed with it")
  private String key = "";

  @Spec
  @SuppressWarnings("NullAway.Init") // picocli sets it before it calls.
  private CommandSpec spec;

  /** The fingerprint that is wanted; of a file, that of the key in it. */
  private String wanted() {
    Path pem = Path.of(key);
    try {
      return Files.isRegularFile(pem)
          ? Seal.fingerprint(Files.readString(pem).replaceAll("-----[A-Z ]+-----|\\s", "")) : key.replace(" ", "")
          .toLowerCase(java.util.Locale.ROOT);
    } catch (IOException | IllegalArgumentException e) {
      return "no key: " + e.getMessage();
    }
  }

  private String said(String signedWith) {
    if (signedWith.isEmpty()) {
      return "It is not signed: only its head, noted elsewhere, shows that it was not replaced as a whole.";
    }
    return key.isBlank()
        ? ("Signed with the key %s. Compare that with the installation's: anybody can sign with a key of their "
        + "own.").formatted(signedWith)
        : "Signed with the key you gave, %s.".formatted(signedWith);
  }

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
        out.printf("%s was altered. %s: %s.%n", file, altered.number() == 0 ? "The file" : "Entry "
            + altered.number(), altered.what());
        yield Lanyard.NOT_GOOD;
      }
      case RecordFile.Check.Whole whole when !head.isBlank() && !whole.head().equals(head.replace(" ", "")) -> {
        out.printf("%s was altered. Its chain hangs together, but ends in %s, not in the head you gave.%n", file,
            whole.head());
        yield Lanyard.NOT_GOOD;
      }
      case RecordFile.Check.Whole whole -> {
        String signedWith = whole.seal().map(Seal::fingerprint).orElse("");
        if (!key.isBlank() && !signedWith.equals(wanted())) {
          out.printf("%s was replaced. %s, not with the key you gave.%n", file,
              signedWith.isEmpty() ? "It is not signed" : "It is signed with the key " + signedWith);
          yield Lanyard.NOT_GOOD;
        }
        out.printf("%s is whole: %d entries, tied off by %s at %s.%nHead of the chain: %s%n",
            file, whole.entries(), whole.last().by(), whole.last().at(), whole.head());
        out.println(said(signedWith));
        yield Lanyard.GOOD;
      }
    };
  }
}
