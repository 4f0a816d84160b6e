package neatlanyard.device.browser;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import neatlanyard.core.weather.StationReport;
import neatlanyard.device.drawn.ReportDrawn;
import neatlanyard.formats.figures.PapersReader;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.weather.StationReportReader;

/** What a crew types over from paper or hears, read on its device. */
final class Papers {
  private Papers() {}

  /** A station report in words, as {@code facts}; else {@code faults}. */
  static Map<String, Object> report(String text, Instant now) {
    return read(StationReportReader.read(text, now), (StationReport r) -> ReportDrawn.facts(r, now));
  }

  /** No {@code facts} where a load sheet can be read; else {@code faults}. */
  static Map<String, Object> sheet(String text) {
    return read(PapersReader.either(text), p -> List.of());
  }

  private static <T> Map<String, Object> read(Read<T> read, Function<T, List<String>> facts) {
    return switch (read) {
      case Read.Good<T> good -> Map.of("facts", facts.apply(good.value()));
      case Read.Bad<T> bad -> Map.of("faults", bad.faults().stream().map(Fault::words).toList());
    };
  }
}
