package neatlanyard.server.dispatch;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import neatlanyard.core.controls.trend.CheckHistory;
import neatlanyard.core.dispatch.DispatchLists;
import neatlanyard.core.dispatch.ReadingHistory;
import neatlanyard.core.fleet.CrewId;
import org.springframework.stereotype.Service;

/**
 * Brings in the demo's dispatch lists, technical logs, readings and control checks as a user would; what is there
 * already stays.
 */
@Service
public class DemoTechLogs {
  private final TechDesk desk;
  private final DispatchLists lists;
  private final ReadingHistory readings;
  private final CheckHistory checks;

  DemoTechLogs(TechDesk desk, DispatchLists lists, ReadingHistory readings, CheckHistory checks) {
    this.desk = desk;
    this.lists = lists;
    this.readings = readings;
    this.checks = checks;
  }

  public void load(Path folder, CrewId by) throws IOException {
    if (lists.all().isEmpty()) {
      for (Path list : lists(folder.resolve("dispatch"))) {
        desk.bringInList(Files.readString(list), by);
      }
    }
    // It comes before the readings: where those are there, it is too, and the fleet may be that of an earlier version.
    if (readings.none()) {
      desk.bringInLog(Files.readString(folder.resolve("tech-log.csv")), by);
      desk.bringInReadings(Files.readString(folder.resolve("readings.csv")), by);
    }
    if (checks.none()) {
      desk.bringInChecks(Files.readString(folder.resolve("control-history.csv")), by);
    }
  }

  private static List<Path> lists(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      return files.filter(f -> f.toString().endsWith(".yaml")).sorted().toList();
    }
  }
}
