package neatlanyard.device.browser;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import neatlanyard.core.departure.FiguresBasis;
import neatlanyard.core.departure.FiguresKnown;
import neatlanyard.core.figures.CriticalValues;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.GaugedFuel;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.figures.entry.Recogniser;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Code;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.fleet.TypeId;
import neatlanyard.core.log.Event;
import neatlanyard.core.state.FiguresGiven;
import neatlanyard.core.weather.StationReport;
import neatlanyard.device.drawn.FiguresDrawn;
import neatlanyard.device.drawn.GivenDrawn;
import neatlanyard.formats.figures.HoldoverReader;
import neatlanyard.formats.figures.TakeoffTablesReader;
import neatlanyard.formats.figures.TypeFiguresReader;
import neatlanyard.formats.fleet.FleetReader;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.weather.StationReportReader;

/** The figures of a departure, worked out where the crew is, from what the server told last and was said since. */
final class DeviceFigures {
  private final FiguresBasis basis;

  /**
   * @param texts as they were brought in, empty where there are none
   * @param from a fleet file with the airfield of departure alone, as {@code to} has that of the destination
   * @throws IllegalStateException if the server sent something that it would not have taken itself
   */
  DeviceFigures(Texts texts, String from, String to) {
    Optional<TakeoffTablesReader.Tables> tables = text(texts.takeoffTables)
        .map(t -> TakeoffTablesReader.read(t).orThrow("take-off tables"));
    Optional<TypeFigures> type = text(texts.typeFigures)
        .map(t -> TypeFiguresReader.read(t, of -> tables).orThrow("the figures of the type"));
    Holdover holdover = text(texts.holdover).map(t -> HoldoverReader.read(t).orThrow("the holdover times"))
        .orElse(Holdover.NONE);
    this.basis = new FiguresBasis(type, List.of(), holdover, airfield(from), airfield(to));
  }

  private static Optional<Airfield> airfield(String fleet) {
    return text(fleet).flatMap(t -> FleetReader.read(t).orThrow("the airfield").airfields().stream().findFirst());
  }

  /** What figures rest on, as it was brought in; empty where nothing was. */
  record Texts(String typeFigures, String takeoffTables, String holdover) {}

  private static Optional<String> text(String text) {
    return Optional.of(text).filter(t -> !t.isBlank());
  }

  /**
   * What is asked.
   *
   * @param asked figures that are entered on today's card
   * @param settled values that were agreed or taken, or, where two differ, what was worked out then
   */
  private record Asked(FiguresKnown known, Set<String> asked, Map<String, String> settled) {}

  /**
   * What is given, missing and worked out, as the server would draw it.
   *
   * @param asked JSON: flight, tail, type, day, from, report, destination (its report),
   *     gauged, said (events in their order), asked, settled
   * @throws IllegalStateException naming every fault of it
   */
  Map<String, Object> figures(String asked) {
    return figures(Doc.read(asked, this::asked).orThrow("what is asked"));
  }

  private Map<String, Object> figures(Asked asked) {
    FiguresKnown.Result result = asked.known.workOut(basis);
    Map<CriticalFigure, String> values = new EnumMap<>(CriticalFigure.class);
    result.figures().ifPresent(f -> CriticalValues.of(f).forEach((figure, v) -> values.put(figure, v.entered())));
    List<String> otherwise = new ArrayList<>();
    asked.settled.forEach((code, value) -> {
      CriticalFigure figure = Doc.named(CriticalFigure.class, code);
      if (!agrees(figure, value, values)) {
        otherwise.add(code);
      }
    });
    return Tree.fields("given", GivenDrawn.of(asked.known.given(), List.of()), "missing", result.missing(), "worked",
        result.figures().map((DepartureFigures f) -> FiguresDrawn.of(f, figure -> told(asked, figure, values))),
        "otherwise", otherwise);
  }

  /** Whether what was settled still comes out; where nothing does, there is nothing to hold it against. */
  private static boolean agrees(CriticalFigure figure, String value, Map<CriticalFigure, String> values) {
    return !values.containsKey(figure) || Recogniser.agrees(figure, values.getOrDefault(figure, ""), value);
  }

  /** What comes out otherwise is to be entered anew, without sight of it. */
  private static boolean told(Asked asked, CriticalFigure figure, Map<CriticalFigure, String> values) {
    String code = Code.written(figure.name());
    return !asked.asked.contains(code) || !values.containsKey(figure)
        || Optional.ofNullable(asked.settled.get(code)).filter(v -> agrees(figure, v, values)).isPresent();
  }

  private Asked asked(Doc doc) {
    FiguresGiven given = doc.has("destination")
        ? doc.inner("destination", this::destination).orElse(FiguresGiven.NONE) : FiguresGiven.NONE;
    for (UnaryOperator<FiguresGiven> said : doc.list("said", DeviceFigures::said)) {
      given = said.apply(given);
    }
    return new Asked(new FiguresKnown(doc.text("flight"), doc.of("tail", TailId::new, "XX"),
        doc.of("type", TypeId::new, "x1"), doc.of("day", LocalDate::parse, "2000-01-01"),
        doc.of("from", AirfieldId::new, "QXXX"),
        doc.has("report") ? doc.inner("report", DeviceFigures::report) : Optional.empty(), given,
        doc.has("gauged") ? doc.inner("gauged", d -> new GaugedFuel(d.number("kg", 0, 1e6),
        d.number("withinKg", 0, 1e6))) : Optional.empty()),
        new HashSet<>(doc.values("asked", Function.identity(), "")),
        doc.inner("settled", DeviceFigures::settled).orElse(Map.of()));
  }

  private static UnaryOperator<FiguresGiven> said(Doc doc) {
    String kind = doc.text("kind");
    return doc.inner("body", body -> Said.event(kind, body)).orElse(UnaryOperator.identity());
  }

  private FiguresGiven destination(Doc doc) {
    StationReport report = report(doc);
    return basis.to().map(to -> FiguresGiven.NONE.with(
        new Event.ElsewhereReported(to.id(), to.name(), report, false, Optional.empty()))).orElse(FiguresGiven.NONE);
  }

  private static StationReport report(Doc doc) {
    Instant observed = doc.of("observed", Instant::parse, "2000-01-01T00:00:00Z");
    return StationReportReader.read(doc.text("text"), observed).orThrow("the report");
  }

  private static Map<String, String> settled(Doc doc) {
    Map<String, String> all = new TreeMap<>();
    doc.names().forEach(n -> all.put(n, doc.text(n)));
    return all;
  }
}
