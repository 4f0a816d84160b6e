package neatlanyard.server.settings;

import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * What can be set.
 *
 * @param database the SQLite file
 * @param demo whether the demo's data and sign-ins are loaded
 * @param demoFolder where the demo's open files are
 * @param simulatedPace how many times faster than a pilot the simulated aircraft moves its controls
 * @param proxy the addresses of the proxies in front of it, whose forwarded headers are believed; none where nothing
 *     is said
 * @param pace how many times as many requests a second as usual one person may make
 * @param departuresKept how long a departure that nobody looks at stays in memory
 * @param beginAt what time the application takes it to be when it starts, for showing another hour of the day
 */
@ConfigurationProperties("lanyard")
public record Settings(
    Path database, boolean demo, Path demoFolder, double simulatedPace, @DefaultValue List<String> proxy,
    @DefaultValue("1") double pace, @DefaultValue("10m") Duration departuresKept, Optional<Instant> beginAt) {}

