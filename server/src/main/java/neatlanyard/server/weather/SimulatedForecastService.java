package neatlanyard.server.weather;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.settings.Settings;
import org.springframework.stereotype.Component;

/**
 * A stand-in that answers from the demo's file of forecasts, whose times count from when the application started;
 * silent where there is no file.
 */
@Component
class SimulatedForecastService implements ForecastService {
  private record Line(AirfieldId station, String text) {}

  /** Such as {h+3}, the hour that begins in three, or {m+150}, the minute in 150. */
  private static final Pattern TIME = Pattern.compile("\\{([hm])\\+(\\d{1,4})}");
  private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("ddHH").withZone(ZoneOffset.UTC);
  private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("ddHHmm").withZone(ZoneOffset.UTC);

  private final Map<AirfieldId, String> forecasts;

  SimulatedForecastService(Settings settings, InstantSource clock) {
    Path file = settings.demoFolder().resolve("reports/forecasts.yaml");
    this.forecasts = settings.demo() && Files.exists(file) ? read(file, clock.instant()) : Map.of();
  }

  private static Map<AirfieldId, String> read(Path file, Instant started) {
    try {
      List<Line> lines = Doc.read(Files.readString(file), doc -> {
        doc.text("format");
        return doc.list("forecasts", d -> new Line(d.of("station", AirfieldId::new, "QXXX"), d.text("text")));
      }).orThrow(file.getFileName().toString());
      return lines.stream().collect(Collectors.toMap(Line::station, l -> timed(l.text(), started)));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String timed(String text, Instant started) {
    Instant hour = started.truncatedTo(ChronoUnit.HOURS);
    return TIME.matcher(text).replaceAll(m -> {
      int n = Integer.parseInt(m.group(2));
      return m.group(1).equals("h") ? HOUR.format(hour.plus(Duration.ofHours(n)))
          : MINUTE.format(started.plus(Duration.ofMinutes(n)));
    });
  }

  @Override
  public Optional<String> latest(AirfieldId station) {
    return Optional.ofNullable(forecasts.get(station));
  }

  @Override
  public String name() {
    return "simulated forecast service";
  }

  @Override
  public boolean simulated() {
    return true;
  }
}
