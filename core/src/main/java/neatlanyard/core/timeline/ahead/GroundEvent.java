package neatlanyard.core.timeline.ahead;

import java.time.Instant;

/**
 * Something that others do for a departure.
 *
 * @param begins when it is expected to begin, or began
 * @param ends when it is expected to be over, or was; the same moment for what takes no time
 * @param source who says so, such as "operations"
 * @param simulated whether a stand-in says so
 */
public record GroundEvent(Kind kind, Instant begins, Instant ends, String source, boolean simulated) {
  /** What it is. */
  public enum Kind {
    /** Brings the crew to the aircraft. */
    CREW_BUS("Crew bus"),
    FUELLING("Fuelling"),
    LOADING("Loading"),
    BOARDING("Boarding"),
    /** Comes once. */
    LOAD_SHEET("Load sheet"),
    /** Comes once. */
    CLEARANCE("Clearance"),
    DE_ICING("De-icing"),
    /** No departure before it begins, and none once it has ended. */
    SLOT("Slot");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** @throws IllegalArgumentException when it is over before it begins */
  public GroundEvent {
    if (ends.isBefore(begins)) {
      throw new IllegalArgumentException("%s ends before it begins".formatted(kind.words()));
    }
  }

  /** Whether it is expected to come, and takes no time. */
  public boolean moment() {
    return begins.equals(ends);
  }
}
