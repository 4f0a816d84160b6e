package neatlanyard.core.timeline;

import java.time.Duration;
import java.util.Optional;

/**
 * What one activity waits for.
 *
 * @param least from the end of {@code after} to the beginning of {@code before}
 * @param most of the same; empty where it may take as long as it wants
 * @param because such as "the stall test needs 4 min of AC"; empty where the order says enough
 */
public record Wait(ActivityId after, ActivityId before, Duration least, Optional<Duration> most, String because) {}
