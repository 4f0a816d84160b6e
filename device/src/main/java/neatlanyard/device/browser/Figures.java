package neatlanyard.device.browser;

import java.time.Instant;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** What a browser calls. One departure's figures are worked out at a time. */
public final class Figures {
  private static DeviceFigures figures = new DeviceFigures(new DeviceFigures.Texts("", "", ""), "", "");

  private Figures() {}

  /** Takes in what figures rest on; a text is empty where there is none. */
  @JSExport
  public static void basis(String typeFigures, String takeoffTables, String holdover, String from, String to) {
    figures = new DeviceFigures(new DeviceFigures.Texts(typeFigures, takeoffTables, holdover), from, to);
  }

  /** @param asked JSON @return given, missing, worked, otherwise @throws IllegalStateException naming every fault */
  @JSExport
  public static JSObject figures(String asked) {
    return JsTree.written(figures.figures(asked));
  }

  /** @param now ISO 8601 @return its facts, or its faults */
  @JSExport
  public static JSObject report(String text, String now) {
    return JsTree.written(Papers.report(text, Instant.parse(now)));
  }

  /** @return no facts where it can be read, or its faults */
  @JSExport
  public static JSObject sheet(String text) {
    return JsTree.written(Papers.sheet(text));
  }
}
