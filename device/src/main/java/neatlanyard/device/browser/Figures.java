package neatlanyard.device.browser;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.teavm.jso.JSBody;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;
import org.teavm.jso.core.JSArray;
import org.teavm.jso.core.JSBoolean;
import org.teavm.jso.core.JSNumber;
import org.teavm.jso.core.JSString;

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
    return written(figures.figures(asked));
  }

  /** @param now ISO 8601 @return its facts, or its faults */
  @JSExport
  public static JSObject report(String text, String now) {
    return written(Papers.report(text, Instant.parse(now)));
  }

  /** @return no facts where it can be read, or its faults */
  @JSExport
  public static JSObject sheet(String text) {
    return written(Papers.sheet(text));
  }

  private static JSObject written(Object tree) {
    return switch (tree) {
      case Map<?, ?> map -> {
        JSObject object = object();
        map.forEach((k, v) -> put(object, k.toString(), written(v)));
        yield object;
      }
      case List<?> list -> {
        JSArray<JSObject> array = new JSArray<>();
        list.forEach(v -> array.push(written(v)));
        yield array;
      }
      case Boolean yes -> JSBoolean.valueOf(yes);
      case Number number -> JSNumber.valueOf(number.doubleValue());
      default -> JSString.valueOf(tree.toString());
    };
  }

  @JSBody(script = "return {};")
  private static native JSObject object();

  @JSBody(params = {"object", "name", "value"}, script = "object[name] = value;")
  private static native void put(JSObject object, String name, JSObject value);
}
