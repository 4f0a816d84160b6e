package neatlanyard.formats.text;

/**
 * Cells that a spreadsheet would take for a formula: written behind an apostrophe, as spreadsheets and OWASP (CSV
 * injection) have it, and read back as they were.
 */
public final class Cells {
  private static final String BEGINS_FORMULA = "=+-@\t\r";

  private Cells() {}

  public static String written(String cell) {
    boolean formula = !cell.isEmpty() && BEGINS_FORMULA.indexOf(cell.charAt(0)) >= 0;
    return formula || quoted(cell) ? "'" + cell : cell;
  }

  public static String read(String cell) {
    return quoted(cell) ? cell.substring(1) : cell;
  }

  /** An apostrophe before what begins a formula, or before another such apostrophe. */
  private static boolean quoted(String cell) {
    return cell.length() > 1 && cell.charAt(0) == '\''
        && (BEGINS_FORMULA.indexOf(cell.charAt(1)) >= 0 || cell.charAt(1) == '\'');
  }
}
