package neatlanyard.device.browser;

import java.util.List;
import java.util.Map;
import org.teavm.jso.JSBody;
import org.teavm.jso.JSObject;
import org.teavm.jso.core.JSArray;
import org.teavm.jso.core.JSBoolean;
import org.teavm.jso.core.JSNumber;
import org.teavm.jso.core.JSString;

/** Makes a browser's objects of maps, lists and single values. */
final class JsTree {
  private JsTree() {}

  static JSObject written(Object tree) {
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
