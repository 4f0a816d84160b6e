package neatlanyard.core.figures.entry;

import java.util.Locale;
import java.util.OptionalDouble;

/** What somebody typed, as it is compared. */
final class Typed {
  private static final double ROUNDING = 1e-6;

  private Typed() {}

  /** Without blanks, with a point for a decimal comma and a plain minus; letters as capitals. */
  static String plain(String typed) {
    return typed.replaceAll("[\\s\\u00a0\\u2009\\u202f']", "").replace(',', '.').replace('\u2212', '-')
        .toUpperCase(Locale.ROOT);
  }

  /** Its value; empty where it is no number. */
  static OptionalDouble number(String plain) {
    return plain.matches("[-+]?(\\d{1,9}(\\.\\d{0,6})?|\\.\\d{1,6})")
        ? OptionalDouble.of(Double.parseDouble(plain)) : OptionalDouble.empty();
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
