package neatlanyard.formats.figures;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import neatlanyard.core.figures.FuelPlan;
import neatlanyard.core.figures.FuelPlan.Part;
import neatlanyard.core.figures.LastMinuteChange;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.fleet.TailId;
import neatlanyard.formats.text.Doc;
import neatlanyard.formats.text.Read;

/** Reads what is sent to a flight: its load sheet and the fuel it needs; see docs/formats/load-sheet.md. */
public final class PapersReader {
  public static final String FORMAT = "neat-lanyard/flight-papers/1";
  private static final double MOST_KG = 700_000;
  private static final LoadSheet NOTHING = new LoadSheet("", new TailId("XX"), LocalDate.ofEpochDay(0), 1,
      new LoadSheet.Stated(0, 0, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty()),
      Optional.empty(), Map.of(), 0, 0, LastMinuteChange.NONE);

  private PapersReader() {}

  /** @param aircraftKg gross weight by the aircraft's own system; empty where that does not say */
  public record Papers(LoadSheet sheet, Optional<FuelPlan> fuel, OptionalDouble aircraftKg) {}

  public static Read<Papers> read(String text) {
    return Doc.read(text, PapersReader::papers);
  }

  private static Papers papers(Doc doc) {
    doc.format(FORMAT);
    return new Papers(doc.inner("load-sheet", LoadSheetReader::sheet).orElse(NOTHING),
        doc.has("fuel-plan") ? doc.inner("fuel-plan", PapersReader::fuel) : Optional.empty(), aircraft(doc));
  }

  static OptionalDouble aircraft(Doc doc) {
    return doc.has("aircraft-gross-kg") ? OptionalDouble.of(doc.number("aircraft-gross-kg", 0, MOST_KG))
        : OptionalDouble.empty();
  }

  /** A sheet that is sent by itself, or with the rest. */
  public static Read<Papers> either(String text) {
    if (text.contains(FORMAT)) {
      return read(text);
    }
    return switch (LoadSheetCsv.is(text) ? LoadSheetCsv.read(text) : LoadSheetReader.read(text)) {
      case Read.Good<LoadSheet> good ->
          new Read.Good<>(new Papers(good.value(), Optional.empty(), OptionalDouble.empty()));
      case Read.Bad<LoadSheet> bad -> new Read.Bad<>(bad.faults());
    };
  }

  static FuelPlan fuel(Doc doc) {
    Map<FuelPlan.Part, Double> parts = new EnumMap<>(FuelPlan.Part.class);
    for (FuelPlan.Part part : FuelPlan.Part.values()) {
      String field = Doc.written(part) + "-kg";
      if (part == FuelPlan.Part.TRIP || part == FuelPlan.Part.FINAL_RESERVE || doc.has(field)) {
        parts.put(part, doc.number(field, 0, MOST_KG));
      }
    }
    return new FuelPlan(parts);
  }
}
