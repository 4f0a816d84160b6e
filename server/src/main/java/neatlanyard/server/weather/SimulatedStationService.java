package neatlanyard.server.weather;

import java.time.InstantSource;
import java.time.ZoneOffset;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Map;
import java.util.Optional;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.server.settings.Settings;
import org.springframework.stereotype.Component;

/**
 * A stand-in that answers from the demo's file of reports, timed at the last half hour; silent where there is no file.
 */
@Component
class SimulatedStationService implements StationService {
  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("ddHHmm'Z'");

  private final Map<AirfieldId, String> reports;
  private final InstantSource clock;

  SimulatedStationService(Settings settings, InstantSource clock) {
    this.clock = clock;
    this.reports = DemoTexts.of(settings, "stations.yaml", "reports");
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
