package neatlanyard.server.weather;

import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.server.settings.Settings;
import org.springframework.stereotype.Component;

/**
 * A stand-in that answers from the demo's file of forecasts, whose times count from when the application started;
 * silent where there is no file.
 */
@Component
class SimulatedForecastService implements ForecastService {
  /** Such as {h+3}, the hour that begins in three, or {m+150}, the minute in 150. */
  private static final Pattern TIME = Pattern.compile("\\{([hm])\\+(\\d{1,4})}");
  private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("ddHH").withZone(ZoneOffset.UTC);
  private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("ddHHmm").withZone(ZoneOffset.UTC);

  private final Map<AirfieldId, String> forecasts;

  SimulatedForecastService(Settings settings, InstantSource clock) {
    Instant started = clock.instant();
    this.forecasts = DemoTexts.of(settings, "forecasts.yaml", "forecasts").entrySet().stream()
        .collect(Collectors.toMap(Map.Entry::getKey, e -> timed(e.getValue(), started)));
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
