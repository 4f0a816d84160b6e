package neatlanyard.device.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** What a browser calls while a control check is made. One is followed at a time. */
public final class Controls {
  private static final String NOTHING_BEGUN = "No check was begun.";

  private static DeviceControls[] check = {};

  private Controls() {}

  /** Begins anew. @param basis JSON: spec, practice, channels @throws IllegalStateException naming every fault */
  @JSExport
  public static void begin(String basis) {
    check = new DeviceControls[] {new DeviceControls(basis)};
  }

  /** @param rows one after the other: seconds and as many values as there are channels */
  @JSExport
  public static void add(double[] rows) {
    begun().add(rows);
  }

  /** @param sign 1, -1, or 0 for neutral */
  @JSExport
  public static void call(double seconds, String axis, int sign) {
    begun().call(seconds, axis, sign);
  }

  @JSExport
  public static JSObject picture() {
    return JsTree.written(begun().picture());
  }

  private static DeviceControls begun() {
    if (check.length == 0) {
      throw new IllegalStateException(NOTHING_BEGUN);
    }
    return check[0];
  }
}
