package neatlanyard.device.browser;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.Function;
import neatlanyard.core.figures.FuelPlan;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.fleet.Code;
import neatlanyard.core.weather.StationReport;
import neatlanyard.device.drawn.ReportDrawn;
import neatlanyard.formats.figures.PapersReader;
import neatlanyard.formats.text.Fault;
import neatlanyard.formats.text.Read;
import neatlanyard.formats.weather.StationReportReader;

/** What a crew types over from paper or hears, read on its device. Each gives what was read, or its faults. */
final class Papers {
  private Papers() {}

  /** A station report in words, as {@code facts}; else {@code faults}. */
  static Map<String, Object> report(String text, Instant now) {
    return read(StationReportReader.read(text, now), (StationReport r) -> Map.of("facts", ReportDrawn.facts(r, now)));
  }

  /** The {@code body} of the event by which a load sheet is taken; else {@code faults}. */
  static Map<String, Object> sheet(String text) {
    return read(PapersReader.either(text), p -> fields("body", fields("sheet", sheet(p.sheet()), "fuel",
        p.fuel().map(Papers::fuel), "aircraft-kg", boxed(p.aircraftKg()), "source", "brought in by the crew")));
  }

  private static <T> Map<String, Object> read(Read<T> read, Function<T, Map<String, Object>> good) {
    return switch (read) {
      case Read.Good<T> g -> good.apply(g.value());
      case Read.Bad<T> bad -> Map.of("faults", bad.faults().stream().map(Fault::words).toList());
    };
  }

  private static Map<String, Object> sheet(LoadSheet s) {
    LoadSheet.Stated stated = s.stated();
    return fields("flight", s.flight(), "tail", s.tail().value(), "day", s.day().toString(), "edition", s.edition(),
        "stated", fields("zero-fuel-kg", stated.zeroFuelKg(), "zero-fuel-percent", stated.zeroFuelPercent(),
        "gross-kg", boxed(stated.grossKg()), "takeoff-kg", boxed(stated.takeoffKg()), "landing-kg",
        boxed(stated.landingKg())),
        "load", s.load().map(l -> fields("passengers", l.passengers(), "holds-kg", l.holdsKg())),
        "fuel-kg", s.fuelKg(), "taxi-fuel-kg", s.taxiFuelKg(), "trip-fuel-kg", s.tripFuelKg(), "change",
        fields("passengers", s.change().passengers(), "holds-kg", s.change().holdsKg()));
  }

  private static Map<String, Object> fuel(FuelPlan plan) {
    Map<String, Double> parts = new TreeMap<>();
    plan.parts().forEach((part, kg) -> parts.put(Code.written(part.name()).replace('-', '_'), kg));
    return Map.of("parts", parts);
  }

  private static Optional<Double> boxed(OptionalDouble value) {
    return value.isPresent() ? Optional.of(value.getAsDouble()) : Optional.empty();
  }

  /** An event says also what is not there. @param all names and values by turns */
  private static Map<String, Object> fields(Object... all) {
    Map<String, Object> said = new LinkedHashMap<>();
    for (int i = 0; i < all.length; i += 2) {
      said.put((String) all[i], Tree.of(all[i + 1] instanceof Optional<?> maybe ? maybe.orElse(null) : all[i + 1]));
    }
    return said;
  }
}
