package neatlanyard.cli;

import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.formats.figures.FiguresAskedReader;
import neatlanyard.formats.figures.FiguresJson;
import neatlanyard.formats.figures.HoldoverReader;
import neatlanyard.formats.figures.TakeoffTablesReader;
import neatlanyard.formats.figures.TypeFiguresReader;
import neatlanyard.formats.fleet.FleetReader;
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
      description = "where TYPE.yaml, TYPE-take-off.yaml and holdover.yaml are (default: demo/figures)")
  private Path types = Path.of("demo/figures");

  @Option(names = "--json", description = "print JSON")
  private boolean json;

  @Option(names = "--arithmetic", description = "print how each figure came about")
  private boolean arithmetic;

  @Spec
  @SuppressWarnings("NullAway.Init") // picocli sets it before it calls.
  private CommandSpec spec;

  @Override
  public Integer call() {
    PrintWriter out = spec.commandLine().getOut();
    try {
      Fleet fleet = InputFile.good(fleetFile, FleetReader.read(InputFile.text(fleetFile)));
      FiguresAsked asked = InputFile.good(file, FiguresAskedReader.read(InputFile.text(file), fleet));
      String name = fleet.tail(asked.tail()).orElseThrow().type().value();
      Path tablesFile = types.resolve(name + "-take-off.yaml");
      TakeoffTablesReader.Tables tables = InputFile.good(tablesFile,
          TakeoffTablesReader.read(InputFile.text(tablesFile)));
      Path typeFile = types.resolve(name + ".yaml");
      TypeFigures type = InputFile.good(typeFile, TypeFiguresReader.read(InputFile.text(typeFile), tables::of));
      Path times = types.resolve("holdover.yaml");
      Holdover holdover = Files.exists(times)
          ? InputFile.good(times, HoldoverReader.read(InputFile.text(times))) : Holdover.NONE;
      return switch (DepartureFigures.of(type, holdover, asked)) {
        case DepartureFigures.Result.None none -> throw new InputFile.Unreadable(
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
    } catch (InputFile.Unreadable e) {
      e.lines().forEach(out::println);
      return Lanyard.UNREADABLE;
    }
  }
}
