package neatlanyard.formats.text;

import java.util.List;
import java.util.Random;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/** Makes of good inputs ones that nobody would write, the same ones from the same seed. */
public final class Mutator {
  private static final List<String> SPECIALS = List.of(
      "\u0000", "\u0007", "\u001b[31m", "\u0085", "\u202e", "\ud800", "\udfff", "\ufffe", "\ufeff", "𝕏", "é", "'",
      "\"", "\\", "\\u0000", "\\ud800",
      "{", "}", "[", "]", ",", ":", ": ", "- ", "#", "&a ", "*a", "!!int ", "|", ">", "%", "@", "`", "\n", "\r\n",
      "\t", "  ", "=", "+", "-",
      "null", "~", "true", "{}", "[]", "[null]", "\"\"", "<!--", "../../", "\"; drop table entry; --");

  private static final List<String> NUMBERS = List.of(
      "0", "-0", "-1", "1e308", "1e309", "-1e309", "NaN", "Infinity", "2147483648", "9223372036854775808",
      "999999999999999999999", "0x10", "1_000",
      "0.1e-400", "+999999999-12-31", "-999999999-01-01", "+1000000000-12-31T23:59:59.999999999Z",
      "PT9223372036854775807S", "-P99999999999D", "P1Y");

  private static final Pattern DIGITS = Pattern.compile("-?[0-9][0-9.:TZ-]*");
  private static final int MOST_CHANGES = 4;
  private static final int LONGEST_SPAN = 60;

  private final Random random;

  public Mutator(long seed) {
    random = new Random(seed);
  }

  /** One of the good ones, with one to four changes. */
  public String next(List<String> good) {
    StringBuilder text = new StringBuilder(good.get(random.nextInt(good.size())));
    for (int n = 1 + random.nextInt(MOST_CHANGES); n > 0; n--) {
      change(text, good);
    }
    return text.toString();
  }

  /** What may stand anywhere: a special text, or a number nobody means. */
  public String piece() {
    return random.nextInt(3) == 0 ? NUMBERS.get(random.nextInt(NUMBERS.size()))
        : SPECIALS.get(random.nextInt(SPECIALS.size()));
  }

  public int below(int bound) {
    return random.nextInt(bound);
  }

  private void change(StringBuilder text, List<String> good) {
    int at = random.nextInt(text.length() + 1);
    int end = Math.min(text.length(), at + 1 + random.nextInt(LONGEST_SPAN));
    switch (random.nextInt(8)) {
      case 0 -> text.insert(at, piece());
      case 1 -> text.delete(at, end);
      case 2 -> text.insert(at, text.substring(at, end).repeat(1 + random.nextInt(3)));
      case 3 -> text.replace(at, Math.min(text.length(), at + 1), String.valueOf((char) random.nextInt(0x250)));
      case 4 -> number(text);
      case 5 -> {
        String other = good.get(random.nextInt(good.size()));
        int from = random.nextInt(other.length() + 1);
        text.replace(at, end, other.substring(from, Math.min(other.length(), from + LONGEST_SPAN)));
      }
      case 6 -> text.setLength(at);
      default -> text.replace(at, end, piece());
    }
  }

  private void number(StringBuilder text) {
    List<MatchResult> numbers = DIGITS.matcher(text).results().toList();
    if (!numbers.isEmpty()) {
      MatchResult one = numbers.get(random.nextInt(numbers.size()));
      text.replace(one.start(), one.end(), NUMBERS.get(random.nextInt(NUMBERS.size())));
    }
  }
}
