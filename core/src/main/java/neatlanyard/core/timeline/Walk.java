package neatlanyard.core.timeline;

import java.time.Duration;

/** How long one walks between two places, either way. */
public record Walk(String one, String other, Duration takes) {}
