package neatlanyard.server.figures;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import neatlanyard.core.fleet.CrewId;
import org.springframework.stereotype.Service;

/** Brings in the demo's tables and figures as a user would; what is there already stays. */
@Service
public class DemoFigures {
  private static final String TABLES = "-take-off.yaml";
  private static final String HOLDOVER = "holdover.yaml";

  private final FiguresDesk desk;

  DemoFigures(FiguresDesk desk) {
    this.desk = desk;
  }

  public void load(Path folder, CrewId by) throws IOException {
    Path figures = folder.resolve("figures");
    if (!desk.none() || !Files.isDirectory(figures)) {
      return;
    }
    List<Path> files;
    try (Stream<Path> all = Files.list(figures)) {
      files = all.filter(f -> f.toString().endsWith(".yaml")).sorted().toList();
    }
    for (Path file : files) {
      if (file.toString().endsWith(TABLES)) {
        desk.bringInTables(Files.readString(file), by);
      }
    }
    for (Path file : files) {
      if (file.endsWith(HOLDOVER)) {
        desk.bringInHoldover(Files.readString(file), by);
      } else if (!file.toString().endsWith(TABLES)) {
        desk.bringInType(Files.readString(file), by);
      }
    }
  }
}
