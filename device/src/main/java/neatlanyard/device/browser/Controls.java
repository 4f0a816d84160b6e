package neatlanyard.device.browser;

import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** What a browser calls while a control check is made or drilled. One of each is followed at a time. */
public final class Controls {
  private static final String NOTHING_BEGUN = "No check was begun.";

  private static DeviceControls[] check = {};
  private static DeviceDrill[] drill = {};

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

  /** Begins a drill anew with its first round. @param basis JSON: spec, order, drill @return names of its channels */
  @JSExport
  public static JSObject beginDrill(String basis) {
    drill = new DeviceDrill[] {new DeviceDrill(basis)};
    return JsTree.written(drill().channels());
  }

  /**
   * The round at hand goes on.
   *
   * @param moved pitch, roll, yaw as whoever trains moves them, per cent
   * @return its time, then what the channels show
   */
  @JSExport
  public static double[] flyOn(double seconds, double[] moved) {
    return drill().on(seconds, moved);
  }

  /** Whether the round's own hand has made the whole check. */
  @JSExport
  public static boolean flown() {
    return drill().over();
  }

  /** @param sign 1, -1, or 0 for neutral */
  @JSExport
  public static void callInDrill(String axis, int sign) {
    drill().call(axis, sign);
  }

  @JSExport
  public static JSObject pictureOfDrill() {
    return JsTree.written(drill().picture());
  }

  /** Ends the round at hand; the next begins. @param stopped whether something seemed wrong */
  @JSExport
  public static JSObject endRound(boolean stopped) {
    return JsTree.written(drill().answer(stopped));
  }

  private static DeviceDrill drill() {
    if (drill.length == 0) {
      throw new IllegalStateException("No drill was begun.");
    }
    return drill[0];
  }

  private static DeviceControls begun() {
    if (check.length == 0) {
      throw new IllegalStateException(NOTHING_BEGUN);
    }
    return check[0];
  }
}
