package neatlanyard.device.kept;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import neatlanyard.core.departure.FiguresKnown;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.weather.StationReport;
import neatlanyard.formats.record.EntryJson;
import tools.jackson.databind.JsonNode;

/** What a departure's figures rest on, for a device to keep. */
public final class KeptViews {
  private KeptViews() {}

  /**
   * What a device works them out by.
   *
   * @param number of the last entry of the log it is of
   * @param day of the flight, by UTC
   * @param said events, in an order that gives what is given; nothing that one pilot has entered alone is among them
   * @param texts SHA-256 of those in force
   * @param destination its report; empty where nobody has asked for it
   * @param airfields fleet files with the airfield of departure alone, and with the destination alone; empty where the
   *     fleet has it no more
   */
  public record KeptFigures(
      long number, String flight, String tail, String type, LocalDate day, String from, Optional<KeptReport> report,
      Optional<KeptFuel> gauged, Optional<KeptReport> destination, List<KeptEvent> said, KeptTexts texts,
      KeptAirfields airfields) {}

  public record KeptReport(String text, Instant observed) {}

  public record KeptAirfields(String from, String to) {}

  /** Fuel on the gauges, in kilograms, and how far the load sheet's may be from it. */
  public record KeptFuel(double kg, double withinKg) {}

  /** An event in the form in which a device sends one. */
  public record KeptEvent(String kind, JsonNode body) {}

  /** Empty where none is in force. */
  public record KeptTexts(String typeFigures, String takeoffTables, String holdover) {}

  /** @param to where the flight goes */
  public static KeptFigures of(long number, FiguresKnown known, AirfieldId to, KeptTexts texts,
      KeptAirfields airfields) {
    return new KeptFigures(number, known.flight(), known.tail().value(), known.type().value(), known.day(),
        known.from().value(), known.report().map(KeptViews::report),
        known.gauged().map(g -> new KeptFuel(g.kg(), g.withinKg())),
        Optional.ofNullable(known.given().elsewhere().get(to)).map(r -> report(r.report())),
        known.given().said().stream()
        .map(e -> new KeptEvent(EntryJson.kind(e), EntryJson.body(e))).toList(), texts, airfields);
  }

  private static KeptReport report(StationReport report) {
    return new KeptReport(report.text(), report.observed());
  }
}
