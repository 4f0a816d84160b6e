package neatlanyard.device.browser;

import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import neatlanyard.core.figures.BrakingAction;
import neatlanyard.core.figures.Contaminant;
import neatlanyard.core.figures.FiguresAsked;
import neatlanyard.core.figures.FuelPlan;
import neatlanyard.core.figures.Holdover;
import neatlanyard.core.figures.LastMinuteChange;
import neatlanyard.core.figures.LoadSheet;
import neatlanyard.core.figures.RunwayCondition;
import neatlanyard.core.figures.Thrust;
import neatlanyard.core.figures.TowerWind;
import neatlanyard.core.fleet.Code;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.fleet.TailId;
import neatlanyard.core.log.Event;
import neatlanyard.core.state.FiguresGiven;
import neatlanyard.core.state.Recorded;
import neatlanyard.formats.figures.PapersReader;
import neatlanyard.formats.text.Doc;

/**
 * Events on which figures rest, in the form in which a device sends them and a record keeps them
 * (docs/formats/record.md), nothing where that has a null. The server checks what is sent to it; here bounds are wide.
 */
final class Said {
  private static final double MOST = 1e6;
  private static final CrewId SOMEBODY = new CrewId("crew");

  private Said() {}

  /** What an event changes in what is given. */
  static UnaryOperator<FiguresGiven> event(String kind, Doc body) {
    return switch (kind) {
      case "runway-reported" -> changes(body.inner("condition", Said::condition).map(Event.RunwayReported::new),
          FiguresGiven::with);
      case "tower-wind-said" -> changes(Optional.of(new Event.TowerWindSaid(maybe(body, "wind", Said::wind))),
          FiguresGiven::with);
      case "load-sheet-taken" -> changes(body.has("text") ? Optional.of(typed(body.text("text"))) : body.inner("sheet",
          Said::sheet).map(s -> new Event.LoadSheetTaken(s, maybe(body, "fuel", Said::fuel),
          weight(body, "aircraft-kg"), body.text("source"))), FiguresGiven::with);
      case "load-sheet-changed" -> changes(body.inner("change", Said::change).map(Event.LoadSheetChanged::new),
          FiguresGiven::with);
      case "takeoff-chosen" -> changes(body.inner("choice", Said::choice).map(c -> new Event.TakeoffChosen(c,
          yes(body, "anti-ice"), yes(body, "air-conditioning"))), FiguresGiven::with);
      case "de-iced" -> deIced(maybe(body, "applied", Said::applied));
      default -> {
        body.fault("", "'%s' is nothing that figures rest on.".formatted(kind));
        yield UnaryOperator.identity();
      }
    };
  }

  private static <E extends Event> UnaryOperator<FiguresGiven> changes(
      Optional<E> event, BiFunction<FiguresGiven, E, FiguresGiven> by) {
    return given -> event.map(e -> by.apply(given, e)).orElse(given);
  }

  /** As a device sends one: the server reads it too. */
  private static Event.LoadSheetTaken typed(String text) {
    PapersReader.Papers papers = PapersReader.either(text).orThrow("the load sheet");
    return new Event.LoadSheetTaken(papers.sheet(), papers.fuel(), papers.aircraftKg(), "brought in by the crew");
  }

  /** Who said it and when is not asked here. */
  private static UnaryOperator<FiguresGiven> deIced(Optional<Holdover.Applied> applied) {
    Event.DeIced event = new Event.DeIced(applied);
    return given -> given.with(new Recorded<>(event, SOMEBODY, Instant.EPOCH, 0));
  }

  private static RunwayCondition condition(Doc doc) {
    return new RunwayCondition(doc.list("thirds", d -> new RunwayCondition.Third(whole(d, "code"),
        constant(d, "contaminant", Contaminant.class), whole(d, "depth-mm"), whole(d, "coverage-percent"))),
        doc.has("braking") ? Optional.of(constant(doc, "braking", BrakingAction.class)) : Optional.empty());
  }

  private static TowerWind wind(Doc doc) {
    return new TowerWind(whole(doc, "from-magnetic-deg"), (int) doc.number("speed-kt", 0, MOST),
        whole(doc, "gust-kt"));
  }

  private static LoadSheet sheet(Doc doc) {
    return new LoadSheet(doc.text("flight"), doc.of("tail", TailId::new, "XX"),
        doc.of("day", LocalDate::parse, "2000-01-01"), (int) doc.number("edition", 0, MOST),
        doc.inner("stated", d -> new LoadSheet.Stated(kg(d, "zero-fuel-kg"), kg(d, "zero-fuel-percent"),
        weight(d, "gross-kg"), weight(d, "takeoff-kg"), weight(d, "landing-kg"))).orElseThrow(),
        maybe(doc, "load", d -> new LoadSheet.Load(heads(d), weights(d, "holds-kg"))), weights(doc, "fuel-kg"),
        kg(doc, "taxi-fuel-kg"), kg(doc, "trip-fuel-kg"),
        maybe(doc, "change", Said::change).orElse(LastMinuteChange.NONE));
  }

  private static LastMinuteChange change(Doc doc) {
    return new LastMinuteChange(heads(doc), weights(doc, "holds-kg"));
  }

  private static Map<String, Integer> heads(Doc doc) {
    return named(doc, "passengers", (d, n) -> (int) d.number(n, -MOST, MOST));
  }

  private static Map<String, Double> weights(Doc doc, String field) {
    return named(doc, field, Said::kg);
  }

  private static <T> Map<String, T> named(Doc doc, String field, BiFunction<Doc, String, T> value) {
    Map<String, T> all = new HashMap<>();
    maybe(doc, field, d -> {
      d.names().forEach(n -> all.put(n, value.apply(d, n)));
      return all;
    });
    return all;
  }

  private static FuelPlan fuel(Doc doc) {
    Map<FuelPlan.Part, Double> parts = new EnumMap<>(FuelPlan.Part.class);
    weights(doc, "parts").forEach((n, kg) -> parts.put(Doc.named(FuelPlan.Part.class, Code.written(n)), kg));
    return new FuelPlan(parts);
  }

  private static FiguresAsked.Choice choice(Doc doc) {
    return new FiguresAsked.Choice(text(doc, "runway").map(RunwayName::new), text(doc, "intersection"),
        text(doc, "flap"), text(doc, "thrust").map(Thrust::of));
  }

  private static Holdover.Applied applied(Doc doc) {
    return new Holdover.Applied(doc.text("fluid"), doc.text("mix"),
        doc.of("last-began", Instant::parse, "2000-01-01T00:00:00Z"));
  }

  private static <E extends Enum<E>> E constant(Doc doc, String field, Class<E> of) {
    return doc.of(field, t -> Doc.named(of, Code.written(t)), of.getEnumConstants()[0].name());
  }

  private static Optional<String> text(Doc doc, String field) {
    return doc.has(field) ? Optional.of(doc.text(field)) : Optional.empty();
  }

  private static Optional<Boolean> yes(Doc doc, String field) {
    return doc.has(field) ? Optional.of(doc.yes(field, false)) : Optional.empty();
  }

  private static OptionalInt whole(Doc doc, String field) {
    return doc.has(field) ? OptionalInt.of((int) doc.number(field, -MOST, MOST)) : OptionalInt.empty();
  }

  private static OptionalDouble weight(Doc doc, String field) {
    return doc.has(field) ? OptionalDouble.of(kg(doc, field)) : OptionalDouble.empty();
  }

  private static double kg(Doc doc, String field) {
    return doc.number(field, -MOST, MOST);
  }

  private static <T> Optional<T> maybe(Doc doc, String field, Function<Doc, T> reader) {
    return doc.has(field) ? doc.inner(field, reader) : Optional.empty();
  }
}
