package neatlanyard.core.weather;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * An aerodrome forecast as values (WMO No. 306 FM 51; ICAO Annex 3, appendix 5).
 *
 * @param text as received
 * @param station location indicator
 * @param begins of the time it is for
 * @param first what is expected at the beginning
 * @param changes in its order
 */
public record Forecast(
    String text, String station, Instant issued, Instant begins, Instant ends, Expected first, List<Change> changes) {
  public Forecast {
    changes = List.copyOf(changes);
  }

  /**
   * What is expected, as far as it is named.
   *
   * @param visibilityM prevailing visibility in metres, 10 000 for "10 km or more"
   * @param clouds empty where they are not named; no layer where none matters
   */
  public record Expected(
      Optional<Wind> wind, OptionalInt visibilityM, List<Phenomenon> weather, Optional<List<Cloud>> clouds) {
    public Expected {
      weather = List.copyOf(weather);
      clouds = clouds.map(List::copyOf);
    }

    /** This, with what another names in place of what stands here. */
    Expected with(Expected later) {
      return new Expected(later.wind().or(this::wind),
          later.visibilityM().isPresent() ? later.visibilityM() : visibilityM,
          later.weather().isEmpty() ? weather : later.weather(), later.clouds().or(this::clouds));
    }
  }

  /** How a change comes. */
  public enum Kind {
    /** All of it anew from a moment on. */
    FROM("from then on"),
    /** Within its time, and from then on. */
    BECOMING("becoming"),
    /** For less than an hour at a time, and less than half of the time. */
    AT_TIMES("at times");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * A change.
   *
   * @param percent how likely it is, where that is said
   * @param ends of its time; that of the forecast for what is from a moment on
   */
  public record Change(
      Kind kind, OptionalInt percent, Instant begins, Instant ends, Expected what, String text) {
    /** Whether it may be, and need not. */
    boolean passing() {
      return kind == Kind.AT_TIMES || percent.isPresent();
    }
  }
}
