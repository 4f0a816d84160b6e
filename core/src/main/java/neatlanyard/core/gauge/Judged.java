package neatlanyard.core.gauge;

import java.util.List;

/**
 * What a reading means.
 *
 * @param words the judgement in one sentence
 * @param arithmetic how it was worked out, one line a step, with units; empty where there is nothing to work out
 * @param source where the rule comes from
 */
public record Judged(Level level, String words, List<String> arithmetic, String source) {
  /** In the order of how much it matters. */
  public enum Level {
    AS_IT_SHOULD_BE,
    /** Within limits, but worth an entry or a word to maintenance. */
    SOON,
    /** May be so, but only with an entry in the log. */
    ENTRY,
    OUT;

    /** Whether it is a find, on which somebody decides. */
    public boolean find() {
      return this == ENTRY || this == OUT;
    }
  }

  public Judged {
    arithmetic = List.copyOf(arithmetic);
  }

  /** The worse of two, its words first and the arithmetic of both. */
  Judged and(Judged other) {
    Judged worse = other.level.compareTo(level) > 0 ? other : this;
    Judged milder = worse == this ? other : this;
    List<String> all = new java.util.ArrayList<>(arithmetic);
    all.addAll(other.arithmetic);
    String words = milder.level == Level.AS_IT_SHOULD_BE ? worse.words : "%s %s".formatted(worse.words, milder.words);
    return new Judged(worse.level, words, all, source.equals(other.source) ? source
        : "%s; %s".formatted(source, other.source));
  }
}
