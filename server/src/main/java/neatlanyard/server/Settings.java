package neatlanyard.server;

import java.nio.file.Path;
import java.time.Instant;
import java.util.Optional;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What can be set.
 *
 * @param database the SQLite file
 * @param demo whether the demo's data and sign-ins are loaded
 * @param demoFolder where the demo's open files are
 * @param simulatedPace how many times faster than a pilot the simulated aircraft moves its controls
 * @param beginAt what time the application takes it to be when it starts, for showing another hour of the day
 */
@ConfigurationProperties("lanyard")
public record Settings(
    Path database, boolean demo, Path demoFolder, double simulatedPace, Optional<Instant> beginAt) {}
