package neatlanyard.cli;

import java.io.PrintWriter;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The commands that need no server. */
@Command(
    name = "lanyard",
    description = "Checks and drafts packs, checks records, judges control traces, works figures out, plans "
    + "departures, backs databases up.",
    mixinStandardHelpOptions = true,
    subcommands = {
        Verify.class, Controls.class, ControlTrends.class, Figures.class, Entry.class, Plan.class, Check.class,
        DraftPack.class, Backups.Make.class, Backups.Restore.class})
public final class Lanyard {
  /** What was asked about is as it should be. */
  static final int GOOD = 0;
  /** It is not. */
  static final int NOT_GOOD = 1;
  /** It cannot be read, or the command itself was wrong. */
  static final int UNREADABLE = 2;

  private Lanyard() {}

  public static CommandLine commands() {
    return new CommandLine(new Lanyard());
  }

  public static void main(String[] args) {
    PrintWriter out = new PrintWriter(System.out);
    int exit = commands().setOut(out).execute(args);
    // What ends without a line end would be lost otherwise.
    out.flush();
    System.exit(exit);
  }
}
