package neatlanyard.formats.figures;

import neatlanyard.formats.text.Doc;

/** What every file of this room begins with. */
final class Formats {
  private Formats() {}

  static void check(Doc doc, String wanted) {
    String format = doc.text("format");
    if (!format.isEmpty() && !format.equals(wanted)) {
      doc.fault("format", "'format' is '%s'; '%s' is read here.".formatted(format, wanted));
    }
  }
}
