package neatlanyard.core.record;

import java.util.Optional;

/**
 * Which characters a document can carry: those of XML 1.0 (2.2 Char), which pages, tables and calendars are made of,
 * less those that turn the direction of what follows (Unicode TR 36), as a note must read the same to everybody.
 */
public final class Characters {
  private Characters() {}

  private static boolean carried(int c) {
    boolean line = c == '\t' || c == '\n' || c == '\r';
    boolean control = c < 0x20 || c >= 0x7f && c <= 0x9f;
    boolean alone = c >= Character.MIN_SURROGATE && c <= Character.MAX_SURROGATE;
    boolean none = (c & 0xfffe) == 0xfffe || c >= 0xfdd0 && c <= 0xfdef;
    boolean turns = c >= 0x202a && c <= 0x202e || c >= 0x2066 && c <= 0x2069;
    return line || !control && !alone && !none && !turns;
  }

  /** What is in a text that no document can carry, in words; empty when nothing is. */
  public static Optional<String> fault(String text) {
    int c;
    for (int i = 0; i < text.length(); i += Character.charCount(c)) {
      c = text.codePointAt(i);
      boolean plain = c >= 0x20 && c < 0x7f;
      if (!plain && !carried(c)) {
        return Optional.of(
            "It has a character that no document can carry, U+%04X, after %d others.".formatted(c,
            text.codePointCount(0, i)));
      }
    }
    return Optional.empty();
  }

  /** A text as it can be printed: what no document can carry is shown by its code, such as [U+0007]. */
  public static String shown(String text) {
    if (fault(text).isEmpty()) {
      return text;
    }
    StringBuilder shown = new StringBuilder();
    text.codePoints().forEach(c -> {
      if (carried(c)) {
        shown.appendCodePoint(c);
      } else {
        shown.append("[U+%04X]".formatted(c));
      }
    });
    return shown.toString();
  }
}
