package neatlanyard.core.figures;

import java.util.ArrayList;
import java.util.List;

/**
 * A number with how it came about.
 *
 * @param value in the unit that its owner says
 * @param arithmetic one line a step, with units; the last says the value
 * @param source where the rule or the table comes from
 */
public record Worked(double value, List<String> arithmetic, String source) {
  private static final long[] POWERS = {1, 10, 100, 1_000};
  private static final int GROUP = 3;

  public Worked {
    arithmetic = List.copyOf(arithmetic);
  }

  public static Worked of(double value, String source, String... arithmetic) {
    return new Worked(value, List.of(arithmetic), source);
  }

  /** The same with another value, and how that one came of it. */
  Worked then(double next, String line) {
    List<String> lines = new ArrayList<>(arithmetic);
    lines.add(line);
    return new Worked(next, lines, source);
  }

  /** The value as a whole number. */
  public int whole() {
    return (int) Math.round(value);
  }

  /** A number as it is written here: thousands set apart, so many places, a true minus. */
  static String written(double value, int decimals) {
    long power = POWERS[decimals];
    long scaled = Math.round(Math.abs(value) * power);
    StringBuilder text = new StringBuilder(Long.toString(scaled / power));
    for (int at = text.length() - GROUP; at > 0; at -= GROUP) {
      text.insert(at, ' ');
    }
    if (decimals > 0) {
      String part = Long.toString(scaled % power);
      text.append('.').append("0".repeat(decimals - part.length())).append(part);
    }
    return value < 0 && scaled != 0 ? text.insert(0, '\u2212').toString() : text.toString();
  }

  static String kg(double value) {
    return written(value, 0) + " kg";
  }

  static String m(double value) {
    return written(value, 0) + " m";
  }

  static String kt(double value) {
    return written(value, 0) + " kt";
  }
}
