package neatlanyard.core.state;

import java.time.Instant;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.log.Entry;
import neatlanyard.core.log.Event;

/**
 * An event that still counts, with who said it and when.
 *
 * @param at when it happened, or when the server had it where only its own time counts
 * @param number of its entry in the log
 */
public record Recorded<E extends Event>(E event, CrewId by, Instant at, long number) {
  /** By when it happened. @param event what the entry says */
  public static <E extends Event> Recorded<E> happened(E event, Entry entry) {
    return new Recorded<>(event, entry.by(), entry.happened(), entry.number());
  }

  /** By when the server had it. @param event what the entry says */
  static <E extends Event> Recorded<E> received(E event, Entry entry) {
    return new Recorded<>(event, entry.by(), entry.at(), entry.number());
  }
}
