package neatlanyard.core.flow;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.AirfieldId;
import neatlanyard.core.fleet.Flight;
import neatlanyard.core.gauge.Gauge;
import neatlanyard.core.log.Facts.LastUse;
import neatlanyard.core.sop.Alternation;
import neatlanyard.core.sop.Card.Item;
import neatlanyard.core.sop.DayFigure;
import neatlanyard.core.sop.DayValue.Source;
import neatlanyard.core.sop.DayValue;
import neatlanyard.core.sop.Matter;
import neatlanyard.core.sop.Point;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.state.Status;
import neatlanyard.core.units.Units;

/** What today's flight gives the steps that want a value, and whether what somebody says agrees with it. */
public final class DayValues {
  private DayValues() {}

  /**
   * A value of today.
   *
   * @param accepted all that can be said for it, the usual way first: an altimeter setting in inches too
   * @param shown with its unit
   * @param from where it comes from, in words
   */
  public record TodaysValue(List<String> accepted, String shown, String from) {
    public TodaysValue {
      accepted = List.copyOf(accepted);
    }

    /** The usual way to say it. */
    public String plain() {
      return accepted.getFirst();
    }

    /** Whether what somebody says is this: one of what is accepted, as a word or as the same number. */
    public boolean agrees(String said) {
      Optional<Double> number = number(said);
      return accepted.stream().anyMatch(a -> a.equals(said.strip()) || number.isPresent() && number.equals(number(a)));
    }
  }

  /** A number as people write it; empty when it is none. */
  public static Optional<Double> number(String said) {
    String plain = said.strip().replace(',', '.').replace('\u2212', '-');
    return plain.matches("-?\\d{1,6}(\\.\\d{1,4})?") ? Optional.of(Double.parseDouble(plain)) : Optional.empty();
  }

  /** What today gives a step; empty where it wants no value, and where it is not known. */
  public static Optional<TodaysValue> of(DepartureState d, Item item) {
    return item.step().value().flatMap(v -> switch (v.source()) {
      case Source.Figure f -> figure(d, f);
      case Source.Agreed a -> agreed(d, a.figures());
      case Source.Turn t -> turn(d, item);
      case Source.Position p -> item.step().wanted(p.point()).map(s -> new TodaysValue(
          List.of(ByFigure.position(d, s).value()), ByFigure.position(d, s).value(),
          !s.byFigure() ? "procedures of the type" : ByFigure.open(d, s.point())
              .map(f -> "procedures of the type, the %s is not agreed yet".formatted(f.words()))
              .orElse("the figures both entered")));
    });
  }

  private static Optional<TodaysValue> agreed(DepartureState d, List<CriticalFigure> figures) {
    List<String> values = figures.stream().flatMap(f -> d.entries().agreed(f).stream()).toList();
    if (values.size() < figures.size()) {
      return Optional.empty();
    }
    List<String> shown = IntStream.range(0, values.size()).mapToObj(i -> figures.size() == 1
        ? withUnit(figures.get(i), values.get(i)) : "%s %s".formatted(figures.get(i).words(),
        withUnit(figures.get(i), values.get(i)))).toList();
    return Optional.of(new TodaysValue(List.of(String.join(", ", values)), String.join(", ", shown),
        "the figures both entered"));
  }

  private static String withUnit(CriticalFigure figure, String value) {
    return "%s %s".formatted(figure.shown(value), figure.unit()).strip();
  }

  /** What can be said: one of these, or where there are none any number. */
  public static List<String> choices(DepartureState d, Item item) {
    return item.step().value().map(DayValue::source).map(s -> switch (s) {
      case Source.Figure f -> List.<String>of();
      case Source.Agreed a -> List.<String>of();
      case Source.Turn t -> item.step().alternates().map(Alternation::choices).orElse(List.of());
      case Source.Position p -> d.pack().point(p.point()).map(Point::states).orElse(List.of());
    }).orElse(List.of());
  }

  private static Optional<TodaysValue> figure(DepartureState d, Source.Figure f) {
    return switch (f.figure()) {
      case PRESSURE_SETTING -> d.card().flatMap(c -> c.day().report().qnhHpa().stream().boxed().findFirst()
          .map(hpa -> pressure(Math.floor(hpa), c.day().report().station())));
      case DEPARTURE_ELEVATION -> elevation(d, d.opened().flight().from(), f);
      case LANDING_ELEVATION -> elevation(d, d.opened().flight().to(), f);
      case CRUISING_LEVEL -> d.opened().flight().level()
          .map(l -> known(l + f.plus(), "level %d".formatted(l + f.plus()), "the flight's plan"));
    };
  }

  private static TodaysValue pressure(double hpa, String station) {
    String inches = String.format(Locale.ROOT, "%.2f", Units.inHgFromHpa(hpa));
    String whole = Long.toString(Math.round(hpa));
    return new TodaysValue(
        List.of(whole, inches), "%s hPa, %s inches".formatted(whole, inches), "the report of " + station);
  }

  private static Optional<TodaysValue> elevation(DepartureState d, AirfieldId where, Source.Figure f) {
    return d.facts().elevations().stream().filter(e -> e.airfield().equals(where)).findFirst().map(e -> known(
        e.ft() + f.plus(), Gauge.words(e.ft() + f.plus(), f.figure().unit()),
        f.plus() == 0 ? e.name() : "%s, %s, %s %s".formatted(
            e.name(), Gauge.words(e.ft(), "ft"), f.plus() < 0 ? "less" : "and",
            Gauge.words(Math.abs(f.plus()), "ft"))));
  }

  private static TodaysValue known(long value, String shown, String from) {
    return new TodaysValue(List.of(Long.toString(value)), shown, from);
  }

  /** The one whose turn it is, by the fleet's school and by what this tail used last. */
  public static Optional<TodaysValue> turn(DepartureState d, Item item) {
    return item.step().alternates().map(a -> {
      Turned turned = turned(d, a);
      String turn = a.choices().get(Math.floorMod(turned.index(), a.choices().size()));
      return new TodaysValue(List.of(turn), turn, turned.from());
    });
  }

  private record Turned(long index, String from) {}

  private static Turned turned(DepartureState d, Alternation a) {
    Flight flight = d.opened().flight();
    return switch (d.pack().policy().of(Matter.ALTERNATION)) {
      case BY_DATE -> new Turned(flight.day().toEpochDay(),
          "in turn by date");
      case BY_FLIGHT -> new Turned(number(flight.number().replaceAll("\\D", "")).orElse(0.0).longValue(),
          "in turn by flight, " + flight.number().toLowerCase(Locale.ROOT));
      default -> d.facts().lastUses().stream().filter(u -> u.memory().equals(a.memory())).findFirst()
          .map(u -> new Turned(a.choices().indexOf(u.choice()) + 1,
          "last used: %s, on %s".formatted(u.choice(), LocalDate.ofInstant(u.at(), ZoneOffset.UTC))))
          .orElse(new Turned(0, "no use of this tail is on record"));
    };
  }

  /** What was used in this departure of what is used in turn. */
  public static List<LastUse> uses(DepartureState d) {
    return d.items().stream()
        .filter(i -> i.step().alternates().filter(a -> !a.memory().isEmpty()).isPresent())
        .filter(i -> d.marked(i) == Status.DONE)
        .flatMap(i -> used(d, i)).toList();
  }

  private static Stream<LastUse> used(DepartureState d, Item item) {
    Optional<String> said = d.notes(item.step().id()).value().map(v -> v.event().value());
    return said.or(() -> turn(d, item).map(TodaysValue::plain)).stream()
        .flatMap(choice -> d.marks(item.step().id()).stream().findFirst().stream()
        .map(m -> new LastUse(item.step().alternates().orElseThrow().memory(), choice, m.at())));
  }

  /** Whether a step wants its value said. */
  public static boolean askedBack(Item item) {
    return item.step().value().filter(DayValue::back).isPresent();
  }

  /** What was said of a step that is not what today gives; empty while it agrees. */
  public static Optional<String> differing(DepartureState d, Item item) {
    Predicate<String> other = said -> of(d, item).filter(k -> !k.agrees(said)).isPresent();
    return d.notes(item.step().id()).value().map(v -> v.event().value()).filter(other);
  }

  /** Such as "1030 was said; it is 1003 hPa by the report of QTRN". */
  public static String against(String said, TodaysValue known) {
    return "%s was said; it is %s by %s".formatted(said, known.shown(), known.from());
  }
}
