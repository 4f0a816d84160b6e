package neatlanyard.core.briefing;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import neatlanyard.core.figures.RunwayCondition;
import neatlanyard.core.figures.RunwayState;
import neatlanyard.core.figures.RunwayWind;
import neatlanyard.core.figures.ShortStrip;
import neatlanyard.core.figures.Thrust;
import neatlanyard.core.figures.WorkedOut.Protection;
import neatlanyard.core.figures.entry.CriticalFigure;
import neatlanyard.core.fleet.CrewId;
import neatlanyard.core.fleet.CrewMember;
import neatlanyard.core.fleet.Equipment;
import neatlanyard.core.fleet.Outbound.LandingLimits;
import neatlanyard.core.fleet.Rostered;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.fleet.Seat;
import neatlanyard.core.log.Facts.ClimbOut;
import neatlanyard.core.log.Facts.Departing;
import neatlanyard.core.log.Facts.Elevation;
import neatlanyard.core.log.Facts.Run;
import neatlanyard.core.sop.BriefingValue;
import neatlanyard.core.sop.Wording.Part;
import neatlanyard.core.state.DepartureState;
import neatlanyard.core.units.Numbers;
import neatlanyard.core.units.Words;
import neatlanyard.core.weather.ColdCorrection;
import neatlanyard.core.weather.LandingWeather;
import neatlanyard.core.weather.StationReport;
import neatlanyard.core.weather.Wind;

/** What today gives a briefing to say. */
final class TodaysWords {
  /** By which the net path clears an obstacle, feet (14 CFR 121.189(d)). */
  private static final int CLEAR_FT = 35;

  private static final String FLEET = "the fleet's airfields";

  private final DepartureState d;

  TodaysWords(DepartureState state) {
    this.d = state;
  }

  /**
   * Words for one place of a line.
   *
   * @param from where they come from, in words
   * @param differs whether this is not so on most days
   * @param known whether it is; else {@code words} say what is missing
   */
  record Said(String words, String from, boolean differs, boolean known) {
    private static Said of(String words, String from) {
      return new Said(words, from, false, true);
    }

    private static Said other(String words, String from) {
      return new Said(words, from, true, true);
    }

    private static Said missing(String words) {
      return new Said(words, "", false, false);
    }
  }

  Said of(Part.Today part) {
    int ft = part.heightFt().orElse(0);
    return switch (part.value()) {
      case FLYING -> pilot(Rostered::flying);
      case MONITORING -> pilot(r -> !r.flying());
      case RUNWAY -> runway();
      case FLAP -> agreed(CriticalFigure.FLAP);
      case THRUST -> thrust();
      case V1 -> agreed(CriticalFigure.V1);
      case VR -> agreed(CriticalFigure.VR);
      case V2 -> agreed(CriticalFigure.V2);
      case TAKEOFF_WEIGHT -> agreed(CriticalFigure.TAKEOFF_WEIGHT);
      case INITIAL_LEVEL -> agreed(CriticalFigure.INITIAL_LEVEL);
      case TRANSPONDER -> agreed(CriticalFigure.TRANSPONDER);
      case PRESSURE_SETTING -> agreed(CriticalFigure.PRESSURE_SETTING);
      case CONDITION -> condition();
      case WIND -> wind();
      case HEIGHT -> elevation().map(e -> Said.of(altitude(ft, e.ft()), e.name() + ", " + Numbers.written(e.ft(), 0)
          + " ft")).orElseGet(() -> Said.missing("the elevation of the airfield"));
      case ACCELERATION -> acceleration(ft);
      case FIRST_TURN -> climbOut("first turn", c -> c.firstTurn().isEmpty()
          ? Said.missing("the first turn from %s".formatted(c.runway())) : Said.of(c.firstTurn(), FLEET));
      case ENGINE_OUT -> climbOut("way with an engine out", c -> c.engineOut().isEmpty()
          ? Said.of("as with both", FLEET) : Said.of(c.engineOut(), FLEET));
      case MINIMUM -> minimum();
      case RETURN -> back();
      case DEFERRED -> deferred();
      case TAIL -> tail();
      case HOLDOVER -> d.entries().worked().protection().map(Protection::words)
          .map(p -> Said.other(Words.within(p), "the operator's holdover times"))
          .orElse(Said.of("not de-iced", "the crew"));
      case HALF_WAY -> halfWay();
    };
  }

  private Said pilot(Predicate<Rostered> which) {
    return d.opened().flight().crew().stream().filter(r -> r.seat() != Seat.ENGINEER).filter(which).findFirst()
        .map(r -> Said.of("%s in the %s seat".formatted(name(r.who()), d.pack().planform().seating().name(r.seat())),
        "the roster")).orElseGet(() -> Said.missing("who it is"));
  }

  private String name(CrewId who) {
    return d.opened().crew().stream().filter(m -> m.id().equals(who))
        .map(CrewMember::family).findFirst().orElse(who.value());
  }

  private Said agreed(CriticalFigure figure) {
    return d.entries().agreed(figure)
        .map(v -> Said.of("%s %s".formatted(figure.shown(v), figure.unit()).strip(), "the figures both entered"))
        .orElseGet(() -> Said.missing(figure.words()));
  }

  private Said runway() {
    Optional<String> runway = d.entries().agreed(CriticalFigure.RUNWAY);
    Optional<String> from = d.entries().agreed(CriticalFigure.INTERSECTION).map(String::strip);
    boolean part = from.filter(f -> !f.equalsIgnoreCase(CriticalFigure.WHOLE_RUNWAY)).isPresent();
    return runway.map(r -> new Said(r.strip() + (part ? " from %s".formatted(from.get()) : ""),
        "the figures both entered", part, true)).orElseGet(() -> Said.missing("runway"));
  }

  /** On the runway both entered, with the speed both entered; no tables are needed for it. */
  private Said halfWay() {
    Optional<Integer> vr = d.entries().agreed(CriticalFigure.VR).map(String::strip)
        .filter(v -> v.matches("\\d{2,3}")).map(Integer::valueOf);
    Optional<Run> run = d.entries().agreed(CriticalFigure.RUNWAY).map(String::strip)
        .flatMap(r -> d.facts().runs().stream().filter(f -> f.runway().value().equals(r)).findFirst());
    String begins = d.entries().agreed(CriticalFigure.INTERSECTION).map(String::strip)
        .orElse(CriticalFigure.WHOLE_RUNWAY);
    Optional<Runway.Intersection> from = run.stream().flatMap(r -> r.begins().stream())
        .filter(i -> i.name().equalsIgnoreCase(begins)).findFirst();
    boolean whole = begins.equalsIgnoreCase(CriticalFigure.WHOLE_RUNWAY);
    return vr.isEmpty() || run.isEmpty() || !whole && from.isEmpty() ? Said.missing("the half-way mark")
        : Said.of(ShortStrip.of(run.get().toraM(), run.get().begins(), from, vr.get()).words(),
        "70 per cent of VR at half of the run; common practice");
  }

  private Said thrust() {
    if (d.entries().agreed(CriticalFigure.ASSUMED_TEMPERATURE).isPresent()) {
      Said agreed = agreed(CriticalFigure.ASSUMED_TEMPERATURE);
      return Said.of("assumed %s".formatted(agreed.words), agreed.from);
    }
    // An assumed temperature is a figure that two enter; until they have, it is in no line.
    return d.entries().worked().thrust().filter(t -> !(t instanceof Thrust.Assumed))
        .map(t -> Said.of(t.words(), "the figures")).orElseGet(() -> Said.missing("thrust"));
  }

  private Said condition() {
    Optional<RunwayCondition> said = d.given().condition();
    if (said.isEmpty()) {
      return Said.missing("runway condition");
    }
    OptionalInt celsius = d.card().map(c -> c.day().report().temperatureC()).orElse(OptionalInt.empty());
    RunwayCondition.Holding holding = said.get().holding(celsius);
    String words = "%s, %s".formatted(holding.state().words(), said.get().codes());
    return holding.state() == RunwayState.DRY ? Said.of("dry", "what was reported of the runway")
        : Said.other(words, "what was reported of the runway");
  }

  private Optional<ClimbOut> used() {
    Optional<String> runway = d.entries().agreed(CriticalFigure.RUNWAY).map(String::strip);
    return d.facts().departing().stream().flatMap(f -> f.climbOuts().stream())
        .filter(c -> runway.filter(c.runway().value()::equals).isPresent()).findFirst();
  }

  private Said climbOut(String what, Function<ClimbOut, Said> of) {
    return used().map(of).orElseGet(() -> Said.missing(what));
  }

  private Optional<StationReport> report() {
    return d.card().map(c -> c.day().report());
  }

  private Said wind() {
    double variation = d.facts().departing().map(Departing::variationDeg).orElse(0.0);
    Optional<Wind> tower = d.given().tower().map(t -> t.toTrue(variation));
    Optional<Wind> wind = tower.or(() -> report().flatMap(StationReport::wind));
    if (wind.isEmpty() || used().isEmpty()) {
      return Said.missing("wind");
    }
    RunwayWind on = RunwayWind.of(used().get().runway(), used().get().bearingTrueDeg(), wind.get());
    String gust = wind.get().gustKt().isPresent() ? ", gusting %d".formatted(wind.get().gustKt().getAsInt()) : "";
    return Said.of("%s, %s%s".formatted(on.alongWords(), on.acrossWords(), gust),
        tower.isPresent() ? "the tower's wind" : "the report of %s".formatted(report().orElseThrow().station()));
  }

  private Optional<Elevation> elevation() {
    return d.facts().elevations().stream().filter(e -> e.airfield().equals(d.opened().flight().from())).findFirst();
  }

  private static String altitude(int heightFt, int elevationFt) {
    return "%s ft, %s on the altimeter".formatted(Numbers.written(heightFt, 0),
        Numbers.written(heightFt + elevationFt, 0));
  }

  /** The higher of the rule and the highest obstacle with what clears it, then what the cold takes. */
  private Said acceleration(int ruleFt) {
    Optional<Elevation> ground = elevation();
    OptionalInt celsius = report().map(StationReport::temperatureC).orElse(OptionalInt.empty());
    if (ground.isEmpty() || celsius.isEmpty() || used().isEmpty()) {
      return Said.missing("acceleration altitude");
    }
    int obstacleFt = used().get().obstacleFt() == 0 ? 0 : used().get().obstacleFt() + CLEAR_FT;
    int heightFt = Math.max(ruleFt, obstacleFt);
    int elevationFt = ground.get().ft();
    int cold = ColdCorrection.roundedFt(heightFt, elevationFt, celsius.getAsInt());
    String from = "%s%s".formatted(obstacleFt > ruleFt
        ? "%s, %s ft and %d ft above it".formatted(used().get().obstacle(), Numbers.written(used().get().obstacleFt(),
        0), CLEAR_FT) : "the operator's %s ft".formatted(Numbers.written(ruleFt, 0)),
        cold > 0 ? ", %s ft for the cold (ICAO Doc 8168)".formatted(Numbers.written(cold, 0)) : "");
    return new Said(altitude(heightFt + cold, elevationFt), from, obstacleFt > ruleFt, true);
  }

  private Said minimum() {
    OptionalInt ft = d.facts().departing().map(f -> f.outbound().minimumFt()).orElse(OptionalInt.empty());
    OptionalInt celsius = report().map(StationReport::temperatureC).orElse(OptionalInt.empty());
    Optional<Elevation> ground = elevation();
    if (ft.isEmpty() || celsius.isEmpty() || ground.isEmpty()) {
      return Said.missing("minimum altitude");
    }
    int cold = ColdCorrection.roundedFt(ft.getAsInt() - ground.get().ft(), ground.get().ft(), celsius.getAsInt());
    String words = "%s ft".formatted(Numbers.written(ft.getAsInt() + cold, 0));
    return Said.of(words, cold > 0 ? "%s ft, %s ft for the cold (ICAO Doc 8168)".formatted(
        Numbers.written(ft.getAsInt(), 0), Numbers.written(cold, 0)) : FLEET);
  }

  /** Where the weather is below landing limits, one does not come back (14 CFR 121.617). */
  private Said back() {
    Optional<Departing> departing = d.facts().departing();
    Optional<LandingLimits> limits = departing.flatMap(f -> f.outbound().landing());
    if (limits.isEmpty() || report().isEmpty()) {
      return Said.missing(limits.isEmpty() ? "landing limits of the airfield" : "the report");
    }
    StationReport report = report().get();
    return switch (LandingWeather.of(report, limits.get())) {
      case LandingWeather.Unknown u -> Said.missing(u.what());
      case LandingWeather.Known k -> back(k.below(), departing.get(), report);
    };
  }

  /** What stands against turning to the take-off alternate, by what is reported of it; empty where nothing does. */
  private String againstAlternate(Departing departing) {
    return departing.outbound().alternate().flatMap(a -> Optional.ofNullable(d.given().elsewhere().get(a)))
        .flatMap(r -> r.landing().map(limits -> LandingWeather.of(r.report(), limits).against()))
        .filter(below -> !below.isEmpty())
        .map(below -> ", but there %s".formatted(String.join(" and ", below))).orElse("");
  }

  private Said back(List<String> below, Departing departing, StationReport report) {
    String from = "the report of %s against %s".formatted(report.station(), FLEET);
    if (below.isEmpty()) {
      return Said.of("back here", from);
    }
    String alternate = departing.alternate();
    String to = alternate.isEmpty() ? "the take-off alternate is to be named"
        : "to " + alternate + againstAlternate(departing);
    return Said.other("not back here, %s; %s".formatted(String.join(" and ", below), to), from);
  }

  private Said deferred() {
    String all = d.tech().deferrals().stream().map(x -> x.operating().isEmpty() ? x.title()
        : "%s: %s".formatted(x.title(), withoutStop(x.operating()))).collect(Collectors.joining("; "));
    return all.isEmpty() ? Said.of("nothing", "the technical log") : Said.other(all, "the technical log");
  }

  private static String withoutStop(String sentence) {
    return sentence.strip().replaceAll("\\.$", "");
  }

  /** What most tails of the pack have and this one has not, or the other way round. */
  private Said tail() {
    List<Set<Equipment>> tails = d.pack().wholeTails().stream().map(t -> t.equipment()).toList();
    Set<Equipment> own = d.opened().tail().equipment();
    Set<Equipment> known = new HashSet<>(own);
    tails.forEach(known::addAll);
    List<String> differs = known.stream().sorted(Comparator.comparing(Equipment::value)).flatMap(e -> {
      long with = tails.stream().filter(t -> t.contains(e)).count();
      boolean usual = 2 * with > tails.size();
      return own.contains(e) == usual ? Stream.<String>empty()
          : Stream.of(own.contains(e) ? "has %s".formatted(e.words()) : "no %s".formatted(e.words()));
    }).toList();
    String from = "the pack's tails";
    return differs.isEmpty() ? Said.of("as the other tails", from)
        : Said.other(String.join(", ", differs), from);
  }

  /** Whether a value is about who sits where, which is said each day. */
  static boolean ofCrew(BriefingValue value) {
    return value == BriefingValue.FLYING || value == BriefingValue.MONITORING;
  }
}
