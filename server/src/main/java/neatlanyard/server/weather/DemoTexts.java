package neatlanyard.server.weather;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.formats.text.Doc;
import neatlanyard.server.settings.Settings;

/** What the demo's stand-ins answer of each airfield. */
final class DemoTexts {
  private record Line(AirfieldId station, String text) {}

  private DemoTexts() {}

  /** Nothing without a demo, and where there is no file. @param list the name of the list in it */
  static Map<AirfieldId, String> of(Settings settings, String name, String list) {
    Path file = settings.demoFolder().resolve("reports").resolve(name);
    if (!settings.demo() || !Files.exists(file)) {
      return Map.of();
    }
    try {
      List<Line> lines = Doc.read(Files.readString(file), doc -> {
        doc.text("format");
        return doc.list(list, d -> new Line(d.of("station", AirfieldId::new, "QXXX"), d.text("text")));
      }).orThrow(name);
      return lines.stream().collect(Collectors.toMap(Line::station, Line::text));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
