package neatlanyard.formats.figures;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import neatlanyard.core.figures.BrakingAction;
import neatlanyard.core.figures.Contaminant;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.FiguresAsked.Choice;
import neatlanyard.core.figures.FuelPlan;
import neatlanyard.core.figures.GaugedFuel;
import neatlanyard.core.figures.Holdover.Applied;
import neatlanyard.core.figures.LastMinuteChange;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.figures.RunwayCondition;
import neatlanyard.core.figures.RunwayCondition.Third;
import neatlanyard.core.figures.Thrust;
import neatlanyard.core.figures.TowerWind;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.Outbound;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.weather.StationReport;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.weather.StationReportReader;

/** Reads what figures are asked for; see docs/formats/figures.md. */
public final class FiguresAskedReader {
  public static final String FORMAT = "neat-lanyard/figures/1";
  private static final double MOST_KG = 700_000;
  private static final int MOST_KT = 150;
  private static final int MOST_FT = 60_000;

  private final Fleet fleet;

  private FiguresAskedReader(Fleet fleet) {
    this.fleet = fleet;
  }

  public static Read<FiguresAsked> read(String text, Fleet fleet) {
    return Doc.read(text, new FiguresAskedReader(fleet)::asked);
  }

  private FiguresAsked asked(Doc doc) {
    doc.format(FORMAT);
    TailId tail = doc.of("tail", TailId::new, "XX");
    if (fleet.tail(tail).isEmpty()) {
      doc.fault("tail", "The fleet has no %s.".formatted(tail));
    }
    LocalDate day = doc.of("day", LocalDate::parse, "2000-01-01");
    return new FiguresAsked(
        doc.text("flight"), tail, day, airfield(doc, "from"), report(doc, day),
        doc.has("tower-wind") ? doc.inner("tower-wind", FiguresAskedReader::tower) : Optional.empty(),
        doc.inner("condition", FiguresAskedReader::condition).orElse(DRY),
        doc.inner("load-sheet", LoadSheetReader::sheet).orElse(NO_SHEET),
        PapersReader.aircraft(doc),
        doc.has("gauges") ? doc.inner("gauges", d -> new GaugedFuel(d.number("kg", 0, MOST_KG),
            d.number("within-kg", 0, MOST_KG))) : Optional.empty(),
        doc.inner("fuel-plan", PapersReader::fuel).orElse(new FuelPlan(Map.of())),
        doc.yes("anti-ice", false), doc.yes("air-conditioning", true),
        doc.has("de-icing") ? doc.inner("de-icing", FiguresAskedReader::applied) : Optional.empty(),
        doc.has("choice") ? doc.inner("choice", FiguresAskedReader::choice).orElse(Choice.NONE) : Choice.NONE,
        doc.has("destination") ? doc.inner("destination", d ->
            new FiguresAsked.Destination(airfield(d, "airfield"), report(d, day))) : Optional.empty(),
        doc.values("minimum-altitudes-ft", FiguresAskedReader::altitude, "0"));
  }

  private static final RunwayCondition DRY = new RunwayCondition(
      List.of(new Third(OptionalInt.empty(), Contaminant.DRY, OptionalInt.empty(), OptionalInt.empty())),
      Optional.empty());
  private static final LoadSheet NO_SHEET = new LoadSheet("?", new TailId("XX"), LocalDate.ofEpochDay(0), 1,
      new LoadSheet.Stated(0, 0, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty()),
      Optional.empty(), Map.of(), 0, 0, LastMinuteChange.NONE);

  private Airfield airfield(Doc doc, String field) {
    AirfieldId id = doc.of(field, AirfieldId::new, "QXXX");
    Optional<Airfield> known = fleet.airfield(id);
    if (known.isEmpty()) {
      doc.fault(field, "The fleet has no airfield %s.".formatted(id));
    }
    return known.orElseGet(() ->
        new Airfield(id, "?", 0, 0, 0, ZoneOffset.UTC, 0, List.of(), Outbound.NONE, Optional.empty(),
        Optional.empty()));
  }

  /** A report carries a day of the month only; it is of the day of the flight, or of one beside it. */
  private static StationReport report(Doc doc, LocalDate day) {
    Instant noon = day.atTime(12, 0).toInstant(ZoneOffset.UTC);
    return switch (StationReportReader.read(doc.text("report"), noon)) {
      case Read.Good<StationReport> good -> good.value();
      case Read.Bad<StationReport> bad -> {
        for (Fault f : bad.faults()) {
          doc.fault("report", "Column %d of the report: %s".formatted(f.column(), f.what()));
        }
        yield new StationReport("", "", noon, Optional.empty(), OptionalInt.empty(), List.of(), List.of(),
            OptionalInt.empty(), OptionalInt.empty(), OptionalDouble.empty());
      }
    };
  }

  private static int altitude(String text) {
    int ft = Integer.parseInt(text);
    if (ft < -1_500 || ft > MOST_FT) {
      throw new IllegalArgumentException("-1500 to %d is allowed".formatted(MOST_FT));
    }
    return ft;
  }

  private static TowerWind tower(Doc doc) {
    return new TowerWind(whole(doc, "from-magnetic-deg", 0, 360), doc.whole("speed-kt", 0, MOST_KT),
        whole(doc, "gust-kt", 0, MOST_KT));
  }

  private static OptionalInt whole(Doc doc, String field, int least, int most) {
    return doc.has(field) ? OptionalInt.of(doc.whole(field, least, most)) : OptionalInt.empty();
  }

  private static RunwayCondition condition(Doc doc) {
    List<Third> thirds = doc.list("thirds", d -> new Third(whole(d, "code", 0, 6),
        d.one("contaminant", Contaminant.class), whole(d, "depth-mm", 0, 500), whole(d, "coverage-percent", 0, 100)));
    Optional<BrakingAction> braking = doc.has("braking") ? Optional.of(doc.one("braking", BrakingAction.class))
        : Optional.empty();
    try {
      return new RunwayCondition(thirds, braking);
    } catch (IllegalArgumentException e) {
      doc.fault("thirds", e.getMessage() + ".");
      return DRY;
    }
  }

  private static Applied applied(Doc doc) {
    return new Applied(doc.text("fluid"), doc.text("mix"),
        doc.of("last-began", Instant::parse, "2000-01-01T00:00:00Z"));
  }

  private static Choice choice(Doc doc) {
    return new Choice(maybe(doc, "runway", d -> d.of("runway", RunwayName::new, "01")),
        maybe(doc, "intersection", d -> d.text("intersection")), maybe(doc, "flap", d -> d.text("flap")),
        maybe(doc, "thrust", FiguresAskedReader::thrust));
  }

  private static <T> Optional<T> maybe(Doc doc, String field, Function<Doc, T> reader) {
    return doc.has(field) ? Optional.of(reader.apply(doc)) : Optional.empty();
  }

  private static Thrust thrust(Doc doc) {
    return doc.inner("thrust", d -> {
      if (d.has("assumed-c")) {
        return new Thrust.Assumed(d.whole("assumed-c", -50, 100));
      }
      return d.has("step-percent") ? new Thrust.Step(d.whole("step-percent", 1, 100)) : full(d);
    }).orElse(Thrust.FULL);
  }

  private static Thrust full(Doc doc) {
    if (!doc.yes("full", false)) {
      doc.fault("full", "One of 'full: true', 'assumed-c' and 'step-percent' is wanted.");
    }
    return Thrust.FULL;
  }
}
