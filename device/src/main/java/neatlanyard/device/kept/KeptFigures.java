package neatlanyard.device.kept;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.departure.FiguresKnown;
import neatlanyard.core.figures.GaugedFuel;
import neatlanyard.core.log.Event;
import neatlanyard.core.weather.StationReport;
import neatlanyard.formats.record.EntryJson;
import tools.jackson.databind.JsonNode;

/**
 * What a departure's figures rest on, for a device to keep.
 *
 * @param number of the last entry of the log it is of
 * @param day of the flight, by UTC
 * @param said events, in an order that gives what is given; nothing that one pilot has entered alone is among them
 * @param typeFigures the text in force, as are {@code takeoffTables} and {@code holdover}; empty where there is none
 * @param airfield a fleet file with the airfield of departure alone; empty where the fleet has it no more
 */
public record KeptFigures(
    long number, String flight, String tail, String type, LocalDate day, String from, Optional<KeptReport> report,
    Optional<GaugedFuel> gauged, List<KeptEvent> said, String typeFigures, String takeoffTables, String holdover,
    String airfield) {
  public record KeptReport(String text, Instant observed) {
    private static KeptReport of(StationReport report) {
      return new KeptReport(report.text(), report.observed());
    }
  }

  /** An event in the form in which a device sends one. */
  public record KeptEvent(String kind, JsonNode body) {
    private static KeptEvent of(Event event) {
      return new KeptEvent(EntryJson.kind(event), EntryJson.body(event));
    }
  }

  /** @param texts type's figures, take-off tables, holdover times, airfield; each empty where there is none */
  public static KeptFigures of(long number, FiguresKnown known, Texts texts) {
    return new KeptFigures(number, known.flight(), known.tail().value(), known.type().value(), known.day(),
        known.from().value(), known.report().map(KeptReport::of), known.gauged(),
        known.given().said().stream().map(KeptEvent::of).toList(), texts.typeFigures, texts.takeoffTables,
        texts.holdover, texts.airfield);
  }

  /** The texts that are sent with it. */
  public record Texts(String typeFigures, String takeoffTables, String holdover, String airfield) {}
}
