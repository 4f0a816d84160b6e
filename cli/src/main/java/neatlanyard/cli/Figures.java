package neatlanyard.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.MalformedInputException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.formats.figures.FiguresAskedReader;
import neatlanyard.formats.figures.FiguresJson;
import neatlanyard.formats.figures.TakeoffTablesReader;
import neatlanyard.formats.figures.TypeFiguresReader;
import neatlanyard.formats.fleet.FleetReader;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Works out the figures of one departure. */
@Command(
    name = "figures",
    description = "Works out the figures of one departure. Exit 0: within limits. 1: out of limits, and which."
        + " 2: cannot be read, and every fault.",
    mixinStandardHelpOptions = true)
final class Figures implements Callable<Integer> {
  @Parameters(paramLabel = "FILE.json", description = "what is asked, see docs/formats/figures.md")
  private Path file = Path.of("");

  @Option(names = "--fleet", paramLabel = "FILE", description = "the fleet (default: demo/fleet.yaml)")
  private Path fleetFile = Path.of("demo/fleet.yaml");

  @Option(names = "--types", paramLabel = "FOLDER",
      description = "where TYPE.yaml and TYPE-take-off.yaml are (default: demo/figures)")
  private Path types = Path.of("demo/figures");

  @Option(names = "--json", description = "print JSON")
  private boolean json;

  @Option(names = "--arithmetic", description = "print how each figure came about")
  private boolean arithmetic;

  @Spec
  @SuppressWarnings("NullAway.Init") // picocli sets it before it calls.
  private CommandSpec spec;

  /** What cannot be read, and why, a line each. */
  private static final class Unreadable extends Exception {
    private static final long serialVersionUID = 1;
    private final transient List<String> lines;

    Unreadable(List<String> lines) {
      this.lines = lines;
    }
  }

  @Override
  public Integer call() {
    PrintWriter out = spec.commandLine().getOut();
    try {
      Fleet fleet = good(fleetFile, FleetReader.read(text(fleetFile)));
      FiguresAsked asked = good(file, FiguresAskedReader.read(text(file), fleet));
      String name = fleet.tail(asked.tail()).orElseThrow().type().value();
      Path tablesFile = types.resolve(name + "-take-off.yaml");
      TakeoffTablesReader.Tables tables = good(tablesFile, TakeoffTablesReader.read(text(tablesFile)));
      Path typeFile = types.resolve(name + ".yaml");
      TypeFigures type = good(typeFile, TypeFiguresReader.read(text(typeFile), tables));
      return switch (DepartureFigures.of(type, asked)) {
        case DepartureFigures.Result.None none -> throw new Unreadable(
            none.why().stream().map(w -> "%s: %s".formatted(file, w)).toList());
        case DepartureFigures.Result.Figures f -> {
          if (json) {
            out.println(FiguresJson.of(f.figures()));
          } else {
            new FiguresText(f.figures(), arithmetic).print(out);
          }
          yield f.figures().held() ? Lanyard.GOOD : Lanyard.NOT_GOOD;
        }
      };
    } catch (Unreadable e) {
      e.lines.forEach(out::println);
      return Lanyard.UNREADABLE;
    }
  }

  private static <T> T good(Path file, Read<T> read) throws Unreadable {
    return switch (read) {
      case Read.Good<T> good -> good.value();
      case Read.Bad<T> bad -> throw new Unreadable(
          bad.faults().stream().map(Fault::words).map(f -> "%s: %s".formatted(file, f)).toList());
    };
  }

  private static String text(Path file) throws Unreadable {
    Optional<String> why = Optional.empty();
    try {
      // A character takes at most four bytes; what is longer is refused without being read.
      if (Files.size(file) > 4L * Doc.MOST_CHARACTERS) {
        why = Optional.of("it has %d bytes".formatted(Files.size(file)));
      } else {
        return Files.readString(file);
      }
    } catch (MalformedInputException e) {
      why = Optional.of("it is not text in UTF-8");
    } catch (IOException e) {
      why = Optional.of(Files.exists(file) ? "it cannot be opened" : "there is none");
    }
    throw new Unreadable(List.of("%s cannot be read: %s.".formatted(file, why.get())));
  }
}
