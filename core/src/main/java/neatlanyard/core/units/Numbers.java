package neatlanyard.core.units;

/** Numbers as crews read them. */
public final class Numbers {
  private static final long[] POWERS = {1, 10, 100, 1_000};
  private static final int GROUP = 3;

  private Numbers() {}

  /** Thousands set apart, so many places (0 to 3), a true minus; a half is rounded up. */
  public static String written(double value, int decimals) {
    return text(value, decimals, " ", '\u2212');
  }

  /** The same as it is typed: nothing between thousands, a hyphen for minus. */
  public static String plain(double value, int decimals) {
    return text(value, decimals, "", '-');
  }

  private static String text(double value, int decimals, String apart, char minus) {
    long power = POWERS[decimals];
    long scaled = Math.round(Math.abs(value) * power);
    StringBuilder text = new StringBuilder(Long.toString(scaled / power));
    for (int at = text.length() - GROUP; at > 0; at -= GROUP) {
      text.insert(at, apart);
    }
    if (decimals > 0) {
      String part = Long.toString(scaled % power);
      text.append('.').append("0".repeat(decimals - part.length())).append(part);
    }
    return value < 0 && scaled != 0 ? text.insert(0, minus).toString() : text.toString();
  }
}
