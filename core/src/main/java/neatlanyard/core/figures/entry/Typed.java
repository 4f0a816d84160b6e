package neatlanyard.core.figures.entry;

import java.util.Locale;
import java.util.OptionalDouble;

/** What somebody typed, as it is compared. */
final class Typed {
  private static final double ROUNDING = 1e-6;
  private static final int MOST_WHOLE = 9;
  private static final double[] POWERS = {1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6};

  private Typed() {}

  /** Without blanks, with a point for a decimal comma and a plain minus; letters as capitals. */
  static String plain(String typed) {
    return typed.replaceAll("[\\s\\u00a0\\u2009\\u202f']", "").replace(',', '.').replace('\u2212', '-')
        .toUpperCase(Locale.ROOT);
  }

  /** Its value: a sign, up to nine digits, a point and up to six more; empty where it is no number. */
  static OptionalDouble number(String plain) {
    double value = value(plain);
    return Double.isNaN(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  /** The same as a bare number, NaN where it is none: thousands of them are asked for at once. */
  static double value(String plain) {
    int from = !plain.isEmpty() && (plain.charAt(0) == '-' || plain.charAt(0) == '+') ? 1 : 0;
    int point = -1;
    long digits = 0;
    for (int i = from; i < plain.length(); i++) {
      char c = plain.charAt(i);
      if (c == '.' && point < 0) {
        point = i;
      } else if (c >= '0' && c <= '9') {
        digits = digits * 10 + (c - '0');
      } else {
        return Double.NaN;
      }
    }
    int whole = (point < 0 ? plain.length() : point) - from;
    int places = point < 0 ? 0 : plain.length() - point - 1;
    if (whole + places == 0 || whole > MOST_WHOLE || places >= POWERS.length) {
      return Double.NaN;
    }
    double value = digits / POWERS[places];
    return from == 1 && plain.charAt(0) == '-' ? -value : value;
  }

  /**
   * Whether both are the same figure: numbers within half of the smallest step that counts.
   *
   * @param scale how many of the figure's unit one of theirs is
   */
  static boolean same(CriticalFigure figure, double scale, String one, String other) {
    if (one.equals(other)) {
      return true;
    }
    OptionalDouble a = figure.number() ? number(one) : OptionalDouble.empty();
    OptionalDouble b = figure.number() ? number(other) : OptionalDouble.empty();
    return a.isPresent() && b.isPresent()
        && Math.abs(a.getAsDouble() - b.getAsDouble()) * scale <= figure.step() / 2 + ROUNDING;
  }
}
