package neatlanyard.core.figures;

import java.util.ArrayList;
import java.util.List;
import neatlanyard.core.units.Numbers;

/**
 * A number with how it came about.
 *
 * @param value in the unit that its owner says
 * @param arithmetic one line a step, with units; the last says the value
 * @param source where the rule or the table comes from
 */
public record Worked(double value, List<String> arithmetic, String source) {
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

  static String kg(double value) {
    return Numbers.written(value, 0) + " kg";
  }

  static String m(double value) {
    return Numbers.written(value, 0) + " m";
  }

  static String kt(double value) {
    return Numbers.written(value, 0) + " kt";
  }

  static String percent(double value, int decimals) {
    return Numbers.written(value, decimals) + " %";
  }
}
