package neatlanyard.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import neatlanyard.core.record.Chain;
import neatlanyard.formats.record.RecordFile;
import neatlanyard.store.db.Backup;
import neatlanyard.store.db.NotKept;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Backing a database up, and putting a backup back; both are checked against the chains of all departures. */
abstract class Backups implements Callable<Integer> {
  @Parameters(paramLabel = "FILE", description = "the backup")
  protected Path file = Path.of("");

  @Option(names = {"--database", "--lanyard.database"}, paramLabel = "FILE",
      description = "the database; lanyard.db where nothing is said")
  protected Path database = Path.of("lanyard.db");

  @Spec
  @SuppressWarnings("NullAway.Init") // picocli sets it before it calls.
  private CommandSpec spec;

  @Override
  public Integer call() {
    PrintWriter out = spec.commandLine().getOut();
    try {
      return doIt(out) ? Lanyard.GOOD : Lanyard.NOT_GOOD;
    } catch (NotKept e) {
      out.printf("%s %s%n", e.getMessage(), e.tryThis());
      return Lanyard.UNREADABLE;
    }
  }

  /** @return whether all was as it should be */
  protected abstract boolean doIt(PrintWriter out);

  /** Says what is wrong with a backup. @return whether nothing is */
  protected static boolean whole(Path file, PrintWriter out) {
    List<String> faults = Backup.faults(file);
    faults.forEach(f -> out.printf("%s: %s%n", file, f));
    Map<String, List<String>> logs = faults.isEmpty() ? Backup.logs(file) : Map.of();
    boolean whole = faults.isEmpty();
    for (Map.Entry<String, List<String>> log : logs.entrySet()) {
      for (Chain.Break broken : RecordFile.firstBreak(log.getValue()).stream().toList()) {
        out.printf("%s, departure %s, entry %d: %s.%n", file, log.getKey(), broken.number(), broken.what());
        whole = false;
      }
    }
    if (whole) {
      out.printf("%s is whole: %d departures, %d entries, every chain hangs together.%n",
          file, logs.size(), logs.values().stream().mapToInt(List::size).sum());
    }
    return whole;
  }

  /** Backs up. */
  @Command(
      name = "backup",
      description =
      "Copies the database while the server uses it, and checks the copy. Exit 0: whole. 1: something in it is not. "
      + "2: not made.",
      mixinStandardHelpOptions = true)
  static final class Make extends Backups {
    @Override
    protected boolean doIt(PrintWriter out) {
      Backup.make(database, file);
      return whole(file, out);
    }
  }

  /** Puts back. */
  @Command(
      name = "restore",
      description =
      "Checks a backup and puts it in the database's place; no server may use that. Exit 0: done. 1: the backup is "
      + "not whole. 2: not done.",
      mixinStandardHelpOptions = true)
  static final class Restore extends Backups {
    @Override
    protected boolean doIt(PrintWriter out) {
      if (!Files.isRegularFile(file)) {
        throw new NotKept("There is no file %s.".formatted(file), "Give a backup.", new IOException("not there"));
      }
      if (!whole(file, out)) {
        out.println("It was not put back; nothing was changed.");
        return false;
      }
      Backup.restore(file, database).ifPresentOrElse(
          before -> out.printf("It stands in the place of %s; what stood there is in %s.%n", database, before),
          () -> out.printf("It stands as %s.%n", database));
      return true;
    }
  }
}
