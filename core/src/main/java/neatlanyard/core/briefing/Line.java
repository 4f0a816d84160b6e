package neatlanyard.core.briefing;

import java.util.List;
import java.util.Optional;
import neatlanyard.core.sop.StepId;

/**
 * One line of today's briefing.
 *
 * @param title what it is about
 * @param words to be said
 * @param why what makes it one of today, such as the reason for which it is on the card; empty where nothing does
 * @param from what it was put together from, each in words
 * @param missing what it would say and is not known yet, each in words
 * @param ownWords whether the crew has put it in words of its own
 * @param before words of the crew that were written for something else than what holds now
 */
public record Line(
    StepId step, String title, String words, Kind kind, String why, List<String> from, List<String> missing,
    boolean ownWords, Optional<String> before) {
  /** In the order in which they are said. */
  public enum Kind {
    /** Only on some days, or not as it usually is. */
    DIFFERS,
    /** Has figures of today. */
    TODAY,
    /** The same each day. */
    USUAL
  }

  private static final int WORDS_A_MINUTE = 150;
  private static final int SECONDS = 60;

  public Line {
    from = List.copyOf(from);
    missing = List.copyOf(missing);
  }

  /** How many words it is, spoken: a run of letters is one, and so is each digit and a unit. */
  public static int spokenWords(String words) {
    int spoken = 0;
    boolean within = false;
    for (int c : words.codePoints().toArray()) {
      boolean letter = Character.isLetter(c) || c == '\'' || c == '\u2019';
      if (Character.isDigit(c) || letter && !within || c == '\u00b0' || c == '%') {
        spoken++;
      }
      within = letter;
    }
    return spoken;
  }

  /** How long it takes at 150 words a minute, in seconds. */
  public double seconds() {
    return (double) spokenWords(words) * SECONDS / WORDS_A_MINUTE;
  }
}
