package neatlanyard.core.figures;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.RunwayName;
import neatlanyard.core.weather.Air;
import neatlanyard.core.weather.ColdCorrection;
import neatlanyard.core.weather.Wind;

/**
 * The figures of one departure, from the report to the speeds.
 *
 * @param wind that was counted, degrees true, and where it came from
 * @param ends the wind on every end of every runway, within whose limits
 * @param options every runway end and intersection with every flap, each at full thrust and at the least that holds
 * @param proposed the option that is proposed, and why; empty where none holds
 * @param chosen what the crew wants, or else what is proposed; empty where neither is
 * @param holdover how long the fluid protects; empty where none was applied
 * @param cold minimum altitudes corrected for cold
 */
public record DepartureFigures(
    FiguresAsked asked, TypeFigures type, Air air, Icing.Found icing, RunwayCondition.Holding condition, Wind wind,
    String windFrom, List<EndWind> ends, Balance balance, Limit fuel, List<TakeoffOption.Result> options,
    Optional<Proposal> proposed, Optional<Takeoff.Result> chosen, Optional<ShortStrip> shortStrip,
    Optional<Holdover.Result> holdover, List<Cold> cold) {
  public DepartureFigures {
    ends = List.copyOf(ends);
    options = List.copyOf(options);
    cold = List.copyOf(cold);
  }

  /** What came of it. */
  public sealed interface Result {
    record Figures(DepartureFigures figures) implements Result {}

    /** @param why nothing could be worked out, a sentence each */
    record None(List<String> why) implements Result {
      public None {
        why = List.copyOf(why);
      }
    }
  }

  public record EndWind(RunwayWind wind, List<Limit> limits) {
    public EndWind {
      limits = List.copyOf(limits);
    }

    /** @param state of the runway, reported or taken to be */
    public static EndWind of(Runway.End end, Wind wind, TypeFigures type, RunwayState state) {
      RunwayWind on = RunwayWind.of(end, wind);
      return new EndWind(on, type.winds().stream().flatMap(w -> on.limits(w, state).stream()).toList());
    }

    public boolean held() {
      return limits.stream().allMatch(Limit::held);
    }
  }

  /** @param why in one sentence */
  public record Proposal(TakeoffCase of, String why) {}

  /** @param altitudeFt as published @param correctedFt to be flown @param heightFt above the airfield */
  public record Cold(int altitudeFt, int heightFt, int correctedFt) {}

  /** @param table the operator's holdover times; one without rows where it has none */
  public static Result of(TypeFigures type, Holdover table, FiguresAsked asked) {
    List<String> faults = asked.faults(type);
    return faults.isEmpty() ? new Result.Figures(new Working(type, table, asked).figures()) : new Result.None(faults);
  }

  /** All that must hold, of what was chosen: balance and fuel, the wind on its runway, take-off and landing. */
  public List<Limit> limits() {
    Stream<Limit> takeoff = chosen.stream().flatMap(r -> switch (r) {
      case Takeoff.Result.Figures f -> Stream.concat(
          ends.stream().filter(e -> e.wind().runway().equals(f.figures().of().end().name()))
              .flatMap(e -> e.limits().stream()),
          f.figures().limits().stream());
      case Takeoff.Result.None n -> Stream.of(new Limit("take-off", false, n.why(), "Take-off tables of the type"));
    });
    Stream<Limit> none = chosen.isEmpty()
        ? Stream.of(new Limit("take-off", false, "No runway, flap and thrust holds all limits. " + whyNone(),
        "Take-off tables of the type")) : Stream.empty();
    Stream<Limit> gauges = asked.gauged().map(g -> g.agrees(asked.sheet().allFuelKg())).stream();
    Stream<Limit> landing = landing().flatMap(l -> l.limit(balance.landingKg().value())).stream();
    return Stream.of(balance.limits().stream(), Stream.of(fuel), gauges, takeoff, none, landing).flatMap(s -> s)
        .toList();
  }

  /** What may be landed with at the destination; empty where that was not asked for, or the type does not say. */
  public Optional<Landing> landing() {
    return asked.destination().flatMap(d -> Landing.of(type, d.airfield(), d.report()));
  }

  /** What stands against each way to take off, each reason once. */
  private String whyNone() {
    Stream<String> winds = ends.stream().flatMap(e -> e.limits().stream()).filter(l -> !l.held()).map(Limit::words);
    Stream<String> tables = options.stream().filter(r -> r.of().from().isEmpty()).flatMap(r -> switch (r) {
      case TakeoffOption.Result.None n -> Stream.of(n.why());
      case TakeoffOption.Result.Figures t when t.option().held() -> Stream.<String>of();
      case TakeoffOption.Result.Figures t -> Stream.of("%s: at most %s, by %s.".formatted(t.of().words(),
          Worked.kg(t.option().limiting().kg()), t.option().limiting().by().words()));
    });
    return String.join(" ", new LinkedHashSet<>(Stream.concat(winds, tables).toList()));
  }

  public boolean held() {
    return limits().stream().allMatch(Limit::held);
  }

  /** Whether the wind on the runway of an option is within its limits. */
  public boolean windHolds(TakeoffOption option) {
    return ends.stream().filter(e -> e.wind.runway().equals(option.of().end().name())).allMatch(EndWind::held);
  }

  /** One departure being worked out. */
  private static final class Working {
    private final TypeFigures type;
    private final Holdover table;
    private final FiguresAsked asked;
    private final Air air;
    private final RunwayCondition.Holding condition;
    private final Wind wind;
    private final Balance balance;

    Working(TypeFigures type, Holdover table, FiguresAsked asked) {
      this.type = type;
      this.table = table;
      this.asked = asked;
      Airfield from = asked.from();
      int celsius = asked.report().temperatureC().orElseThrow();
      this.air = Air.at(from.elevationFt(), asked.report().qnhHpa().orElseThrow(), celsius);
      this.condition = asked.condition().holding(OptionalInt.of(celsius));
      this.wind = asked.tower().map(t -> t.toTrue(from.variationDeg()))
          .orElseGet(() -> asked.report().wind().orElseThrow());
      this.balance = Balance.of(asked.sheet(), type.loading(), asked.aircraftKg(), type.agreesWithinKg());
    }

    DepartureFigures figures() {
      List<EndWind> ends = asked.from().ends()
          .map(e -> EndWind.of(e, wind, type, condition.state())).toList();
      List<TakeoffOption.Result> options = ends.stream().flatMap(this::options).toList();
      Optional<Proposal> proposed = proposed(ends, options);
      Optional<Takeoff.Result> chosen = chosen(ends, options, proposed);
      Optional<ShortStrip> strip = chosen.flatMap(r -> r instanceof Takeoff.Result.Figures f
          && f.figures().of().left().toraM() <= type.takeoff().shortStripM()
          ? Optional.of(ShortStrip.of(f.figures().of(), f.figures().vr().value())) : Optional.empty());
      String from = asked.tower().map(t -> t.words(asked.from().variationDeg()))
          .orElseGet(() -> "Report, %s true".formatted(wind.words()));
      return new DepartureFigures(asked, type, air, type.icing().in(asked.report()), condition, wind, from, ends,
          balance, asked.fuel().enough(asked.sheet().allFuelKg()), options, proposed, chosen, strip,
          asked.deIced().map(d -> table.of(d, List.of(asked.report()))), cold());
    }

    private Stream<TakeoffOption.Result> options(EndWind on) {
      Runway.End end = asked.from().end(on.wind().runway()).orElseThrow();
      Stream<Optional<Runway.Intersection>> begins = Stream.concat(
          Stream.of(Optional.empty()), end.intersections().stream().map(Optional::of));
      return begins.flatMap(b -> type.takeoff().tables().flaps().stream()
          .flatMap(flap -> thrusts(on, full(on, end, b).withFlap(flap))));
    }

    /** At full thrust, with the first flap there are tables for. */
    private TakeoffCase full(EndWind on, Runway.End end, Optional<Runway.Intersection> begins) {
      return new TakeoffCase(end, surface(end), begins, air, on.wind().headKt(), condition.state(),
          balance.takeoffKg().value(), type.takeoff().tables().flaps().getFirst(), Thrust.FULL, asked.antiIce(),
          asked.airConditioning());
    }

    private Runway.Surface surface(Runway.End end) {
      return asked.from().runway(end.name()).orElseThrow().surface();
    }

    /** Full thrust, and the least with which everything holds. */
    private Stream<TakeoffOption.Result> thrusts(EndWind on, TakeoffCase full) {
      TakeoffOption.Result at = option(full);
      if (at.good().isEmpty() || !on.held()) {
        return Stream.of(at);
      }
      OptionalInt assumed = Takeoff.mostAssumed(type.takeoff(), full);
      Stream<TakeoffOption.Result> reduced = assumed.isPresent()
          ? Stream.of(option(full.with(new Thrust.Assumed(assumed.getAsInt()))))
          : type.takeoff().steps().stream().sorted().map(p -> option(full.with(new Thrust.Step(p))));
      return Stream.concat(Stream.of(at), reduced.filter(r -> r.good().isPresent()).limit(1));
    }

    private TakeoffOption.Result option(TakeoffCase of) {
      return Takeoff.option(type.takeoff(), of, structureKg());
    }

    private Takeoff.Result takeoff(TakeoffCase of) {
      return Takeoff.of(type.takeoff(), of, structureKg());
    }

    /** What the structure allows at take-off: its own limit, and the landing limit with what is burnt before. */
    private int structureKg() {
      Loading.Most most = type.loading().most();
      return (int) Math.min(most.takeoffKg(), most.landingKg() + asked.sheet().tripFuelKg());
    }

    /** The whole runway with the most wind from ahead, then the longest; the flap that carries most; least thrust. */
    private static Optional<Proposal> proposed(List<EndWind> ends, List<TakeoffOption.Result> options) {
      List<TakeoffOption> good = options.stream().flatMap(r -> r.good().stream())
          .filter(o -> o.of().from().isEmpty() && wind(ends, o).held()).toList();
      Optional<TakeoffOption> best = good.stream().max(Comparator
          .comparingDouble((TakeoffOption o) -> o.of().headKt())
          .thenComparingInt(o -> o.of().end().declared().asdaM())
          .thenComparingInt(o -> o.limiting().kg()));
      return best.map(b -> {
        TakeoffOption least = good.stream().filter(o -> o.of().end().equals(b.of().end())
            && o.of().flap().equals(b.of().flap())).reduce(b, (a, o) -> o);
        return new Proposal(least.of(), why(least, good));
      });
    }

    private static EndWind wind(List<EndWind> ends, TakeoffOption o) {
      return ends.stream().filter(e -> e.wind().runway().equals(o.of().end().name())).findFirst().orElseThrow();
    }

    private static String why(TakeoffOption best, List<TakeoffOption> good) {
      List<String> others = good.stream().map(o -> o.of().end().name().value()).distinct()
          .filter(n -> !n.equals(best.of().end().name().value())).toList();
      String along = RunwayWind.along(best.of().headKt());
      return others.isEmpty()
          ? "The only one on which everything holds; %s.".formatted(along)
          : "Most wind along of those on which everything holds, %s; also %s.".formatted(
          along, String.join(", ", others));
    }

    private Optional<Takeoff.Result> chosen(List<EndWind> ends, List<TakeoffOption.Result> options,
        Optional<Proposal> proposed) {
      FiguresAsked.Choice choice = asked.choice();
      if (choice.runway().isEmpty() && choice.flap().isEmpty() && choice.thrust().isEmpty()) {
        return proposed.map(p -> takeoff(p.of()));
      }
      Optional<TakeoffCase> base = choice.runway().map(r -> on(ends, r))
          .or(() -> proposed.map(Proposal::of));
      return base.map(b -> takeoff(wanted(b, options, choice)));
    }

    private TakeoffCase on(List<EndWind> ends, RunwayName runway) {
      Runway.End end = asked.from().end(runway).orElseThrow();
      EndWind on = ends.stream().filter(e -> e.wind().runway().equals(runway)).findFirst().orElseThrow();
      return full(on, end, asked.choice().intersection().flatMap(name ->
          end.intersections().stream().filter(i -> i.name().equals(name)).findFirst()));
    }

    /** What the crew left open is taken from the best option there. */
    private static TakeoffCase wanted(TakeoffCase base, List<TakeoffOption.Result> options,
        FiguresAsked.Choice choice) {
      Optional<TakeoffOption> best = options.stream().flatMap(r -> r.good().stream())
          .filter(o -> o.of().end().equals(base.end()) && o.of().from().equals(base.from()))
          .filter(o -> choice.flap().isEmpty() || choice.flap().get().equals(o.of().flap()))
          .reduce((a, o) -> o.limiting().kg() >= a.limiting().kg() ? o : a);
      String flap = choice.flap().or(() -> best.map(b -> b.of().flap())).orElse(base.flap());
      Thrust thrust = choice.thrust().or(() -> best.map(b -> b.of().thrust())).orElse(Thrust.FULL);
      return base.withFlap(flap).with(thrust);
    }

    private List<Cold> cold() {
      int elevation = asked.from().elevationFt();
      return asked.minimumAltitudesFt().stream().map(ft -> new Cold(ft, ft - elevation,
          ft + ColdCorrection.roundedFt(ft - elevation, elevation, air.temperatureC()))).toList();
    }
  }
}
