package neatlanyard.server.timeline;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.List;
import java.util.Map;
import neatlanyard.core.fleet.FlightId;
import neatlanyard.core.timeline.learned.ForetoldPlans;
import neatlanyard.core.timeline.learned.Took;
import neatlanyard.core.timeline.learned.TookTimes;
import neatlanyard.formats.timeline.ForetoldCsv;
import neatlanyard.formats.timeline.TookCsv;
import org.springframework.stereotype.Service;

/** Brings in a year of what the demo's crews took and of what was said of them; what is there already stays. */
@Service
public class DemoTimes {
  private final TookTimes times;
  private final ForetoldPlans foretold;
  private final PlanDesk desk;
  private final InstantSource clock;

  DemoTimes(TookTimes times, ForetoldPlans foretold, PlanDesk desk, InstantSource clock) {
    this.times = times;
    this.foretold = foretold;
    this.desk = desk;
    this.clock = clock;
  }

  public void load(Path folder) throws IOException {
    Map<FlightId, List<Took>> year = TookCsv.read(Files.readString(folder.resolve("task-times.csv")), clock.instant())
        .orThrow("task-times.csv");
    boolean none = year.values().stream().flatMap(List::stream).map(Took::type).distinct()
        .allMatch(t -> times.of(t, 1).isEmpty());
    if (none) {
      desk.keep(year);
    }
    if (foretold.over(1).isEmpty()) {
      foretold.keep(ForetoldCsv.read(Files.readString(folder.resolve("foretold.csv")), clock.instant())
          .orThrow("foretold.csv"));
    }
  }
}
