package neatlanyard.formats.text;

/**
 * One thing wrong with an input.
 *
 * @param line from 1; 0 where the whole input is meant
 * @param column from 1; 0 where the whole line is meant
 * @param path the field as a JSON Pointer (RFC 6901); empty where the input has no fields or the whole is meant
 * @param what what was found and what is allowed
 */
public record Fault(int line, int column, String path, String what) {
  /** A fault in an input without fields. */
  public Fault(int line, int column, String what) {
    this(line, column, "", what);
  }

  /** Place and complaint in one line. */
  public String words() {
    String where = line == 0 ? "" : column == 0 ? "line %d: ".formatted(line)
        : "line %d, column %d: ".formatted(line, column);
    return where + what;
  }
}
