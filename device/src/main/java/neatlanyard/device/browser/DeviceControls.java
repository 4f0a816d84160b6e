package neatlanyard.device.browser;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import neatlanyard.core.controls.Axis;
import neatlanyard.core.controls.Call;
import neatlanyard.core.controls.Channel;
import neatlanyard.core.controls.Channels;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Practice;
import neatlanyard.core.controls.live.LiveCheck;
import neatlanyard.core.controls.live.Picture;
import neatlanyard.core.controls.live.Travel;
import neatlanyard.formats.sop.ControlSpecReader;
import neatlanyard.formats.text.Doc;

/** A control check under way, followed and judged where the crew is. */
final class DeviceControls {
  private final LiveCheck check;
  private final int channels;

  /**
   * @param basis JSON: spec as in a pack under {@code flight-controls}, practice, channels by name
   * @throws IllegalStateException naming every fault of it
   */
  DeviceControls(String basis) {
    Begun begun = Doc.read(basis, DeviceControls::begun).orThrow("the control check");
    this.check = new LiveCheck(begun.spec, begun.practice, begun.channels);
    this.channels = begun.channels.size();
  }

  private record Begun(ControlSpec spec, Practice practice, List<Channel> channels) {}

  private static Begun begun(Doc doc) {
    ControlSpec spec = doc.inner("spec", ControlSpecReader::read).orElseThrow();
    Map<String, Channel> known = Channels.known(spec);
    List<Channel> channels = doc.values("channels", Function.identity(), "").stream().flatMap(name ->
        Optional.ofNullable(known.get(name)).stream()).toList();
    return new Begun(spec, doc.inner("practice", DeviceControls::practice).orElse(Practice.ANY), channels);
  }

  private static Practice practice(Doc doc) {
    return new Practice(doc.values("order", DeviceControls::axis, "pitch"), doc.yes("bothSticks", false),
        doc.yes("disconnected", false), doc.yes("standing", false), doc.yes("called", false));
  }

  private static Axis axis(String written) {
    return Doc.named(Axis.class, written);
  }

  /** @param rows one after the other: seconds and as many values as there are channels */
  void add(double[] rows) {
    int width = channels + 1;
    for (int at = 0; at + width <= rows.length; at += width) {
      double[] values = new double[channels];
      System.arraycopy(rows, at + 1, values, 0, channels);
      check.add(rows[at], values);
    }
  }

  void call(double seconds, String axis, int sign) {
    check.call(new Call(seconds, axis(axis), sign));
  }

  /** How it stands. */
  Map<String, Object> picture() {
    return tree(check.picture());
  }

  static Map<String, Object> tree(Picture p) {
    return Tree.fields(
        "words", p.words(), "travels", p.travels().stream().map(DeviceControls::travel).toList(),
        "moving", p.moving().map(DeviceControls::travel),
        "axes", p.axes().stream().map(a -> Tree.fields(
            "axis", Doc.written(a.axis()), "standing", Doc.written(a.standing()), "words", a.words())).toList());
  }

  private static Map<String, Object> travel(Travel t) {
    return Tree.fields(
        "seat", Doc.written(t.wanted().inceptor()), "axis", Doc.written(t.wanted().axis()), "sign", t.wanted().sign(),
        "words", t.wanted().words(), "inputPct", t.inputPct(), "toGoDeg", t.toGoDeg(), "covered", t.covered(),
        "lacks", t.lacks(), "shown", t.shown());
  }
}
