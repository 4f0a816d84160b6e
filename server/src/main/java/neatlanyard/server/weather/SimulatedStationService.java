package neatlanyard.server.weather;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.settings.Settings;
import org.springframework.stereotype.Component;

/**
 * A stand-in that answers from the demo's file of reports, timed at the last half hour; silent where there is no file.
 */
@Component
class SimulatedStationService implements StationService {
  private record Line(AirfieldId station, String text) {}

  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("ddHHmm'Z'");

  private final Map<AirfieldId, String> reports;
  private final InstantSource clock;

  SimulatedStationService(Settings settings, InstantSource clock) {
    this.clock = clock;
    Path file = settings.demoFolder().resolve("reports/stations.yaml");
    this.reports = settings.demo() && Files.exists(file) ? read(file) : Map.of();
  }

  private static Map<AirfieldId, String> read(Path file) {
    try {
      List<Line> lines = Doc.read(Files.readString(file), doc -> {
        doc.text("format");
        return doc.list("reports", d -> new Line(d.of("station", AirfieldId::new, "QXXX"), d.text("text")));
      }).orThrow(file.getFileName().toString());
      return lines.stream().collect(Collectors.toMap(Line::station, Line::text));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public Optional<String> latest(AirfieldId station) {
    ZonedDateTime now = clock.instant().atZone(ZoneOffset.UTC);
    ZonedDateTime half = now.withMinute(now.getMinute() < 20 ? 0 : now.getMinute() < 50 ? 20 : 50);
    return Optional.ofNullable(reports.get(station)).map(t -> t.replace("{time}", TIME.format(half)));
  }

  @Override
  public String name() {
    return "simulated station service";
  }

  @Override
  public boolean simulated() {
    return true;
  }
}
