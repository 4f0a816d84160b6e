package neatlanyard.formats.figures;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.Stream;
import neatlanyard.core.figures.DepartureFigures;
import neatlanyard.core.figures.Limit;
import neatlanyard.core.figures.RunwayState;
import neatlanyard.core.figures.Takeoff;
import neatlanyard.core.figures.TakeoffCase;
import neatlanyard.core.figures.TakeoffFigures;
import neatlanyard.core.figures.TakeoffFigures.Distance;
import neatlanyard.core.figures.TakeoffFigures.LimitedBy;
import neatlanyard.core.figures.TakeoffFigures.LimitingWeight;
import neatlanyard.core.figures.TakeoffOption;
import neatlanyard.core.figures.Thrust;
import neatlanyard.core.figures.TypeFigures;
import neatlanyard.core.figures.Worked;
import neatlanyard.core.fleet.Airfield;
import neatlanyard.core.fleet.Fleet;
import neatlanyard.core.fleet.Runway;
import neatlanyard.core.weather.Air;
import neatlanyard.formats.fleet.FleetReader;
import org.testng.annotations.Test;

/** What must hold of every take-off, over random days with the demo's tables. */
public class TakeoffTest {
  static final Path DEMO = Path.of(System.getProperty("lanyard.root", ".."), "demo");
  private static final int DAYS = 1_600;

  /** TORA, TODA and ASDA of a short strip. */
  private static final int[][] DECLARED = {{600, 600, 600}, {600, 750, 600}, {480, 690, 760}, {600, 620, 750}};

  static Fleet fleet() throws IOException {
    return FleetReader.read(Files.readString(DEMO.resolve("fleet.yaml"))).orThrow("fleet");
  }

  static TypeFigures type(String name) throws IOException {
    Path folder = DEMO.resolve("figures");
    TakeoffTablesReader.Tables tables = TakeoffTablesReader
        .read(Files.readString(folder.resolve(name + "-take-off.yaml"))).orThrow(name);
    return TypeFiguresReader.read(Files.readString(folder.resolve(name + ".yaml")), tables::of).orThrow(name);
  }

  private record Tried(TypeFigures type, TakeoffCase of, Takeoff.Result result) {
    Optional<TakeoffFigures> figures() {
      return result instanceof Takeoff.Result.Figures f ? Optional.of(f.figures()) : Optional.empty();
    }
  }

  private static TakeoffFigures figures(TypeFigures type, TakeoffCase of) {
    return ((Takeoff.Result.Figures) Takeoff.of(type.takeoff(), of, 100_000)).figures();
  }

  private static List<Tried> days(long seed) throws IOException {
    Random random = new Random(seed);
    Fleet fleet = fleet();
    List<Airfield> ashore = fleet.airfields().stream().filter(a -> !a.runways().isEmpty()).toList();
    List<TypeFigures> types =
        List.of(type("dovrin-46"), type("halyard-210"), type("pellow-9"), type("selkie-m3"));
    int[][] weights = {{12_000, 18_150}, {42_000, 74_800}, {2_700, 4_400}, {4_400, 6_300}};
    List<RunwayState> states = List.of(RunwayState.DRY, RunwayState.WET, RunwayState.SNOW, RunwayState.SLUSH);
    List<Tried> days = new ArrayList<>();
    for (int i = 0; i < DAYS; i++) {
      TypeFigures type = types.get(i % types.size());
      Airfield airfield = ashore.get(random.nextInt(ashore.size()));
      List<Runway.End> ends = airfield.ends().toList();
      Runway.End end = ends.get(random.nextInt(ends.size()));
      double celsius = random.nextInt(-25, 38);
      Thrust thrust = random.nextInt(3) > 0 ? Thrust.FULL : type.takeoff().assumes()
          ? new Thrust.Assumed((int) celsius + random.nextInt(1, 30)) : type.takeoff().engines() == 1 ? Thrust.FULL
          : new Thrust.Step(90);
      List<String> flaps = type.takeoff().tables().flaps();
      int[] weight = weights[i % types.size()];
      TakeoffCase of = new TakeoffCase(end, airfield.runway(end.name()).orElseThrow().surface(), Optional.empty(),
          Air.at(airfield.elevationFt(), random.nextInt(970, 1045), celsius), random.nextInt(-12, 45),
          states.get(random.nextInt(states.size())), random.nextInt(weight[0], weight[1]),
          flaps.get(random.nextInt(flaps.size())), thrust, random.nextBoolean(), random.nextBoolean());
      days.add(new Tried(type, of, Takeoff.of(type.takeoff(), of, 100_000)));
    }
    return days;
  }

  /**
   * 14 CFR 25.107, with one engine 23.51 before amendment 64 (from memory), and that speeds and distances are whole
   * and on the safe side.
   */
  @Test
  public void speeds_are_in_their_order_and_all_is_rounded_to_the_safe_side() throws IOException {
    long with = days(1).stream().flatMap(t -> t.figures().stream()).peek(f -> {
      assertThat(f.v1().orElse(f.vr()).value()).isLessThanOrEqualTo(f.vr().value());
      assertThat(f.vr().value()).isLessThan(f.v2().value());
      assertThat(f.limits().stream().filter(l -> l.source().matches("14 CFR 2[35].*[15]0?[71]")))
          .hasSize(f.v1().isPresent() ? 4 : 3).allMatch(Limit::held);
      Stream.concat(Stream.of(f.v1().orElse(f.vr()), f.vr(), f.v2()), f.distances().stream().map(Distance::needed))
          .forEach(w -> assertThat(w.value()).isEqualTo(Math.rint(w.value())));
      assertThat(f.tightest().leftM()).isEqualTo(f.distances().stream().mapToInt(Distance::leftM).min().orElseThrow());
    }).count();
    assertThat(with).as("days with figures").isGreaterThan(DAYS / 2);
  }

  @Test
  public void more_weight_or_less_wind_never_needs_less() throws IOException {
    for (Tried day : days(2)) {
      TakeoffCase c = day.of;
      Takeoff.Result more = Takeoff.of(day.type.takeoff(), c.withWeight(c.weightKg() * 1.02), 100_000);
      if (day.figures().isEmpty() || !(more instanceof Takeoff.Result.Figures heavy)) {
        continue;
      }
      TakeoffFigures f = day.figures().orElseThrow();
      TakeoffFigures heavier = heavy.figures();
      TakeoffFigures calmer = figures(day.type, new TakeoffCase(c.end(), c.surface(), c.from(), c.air(),
          c.headKt() - 3, c.state(), c.weightKg(), c.flap(), c.thrust(), c.antiIce(), c.airConditioning()));
      for (TakeoffFigures worse : List.of(heavier, calmer)) {
        for (Distance d : f.distances()) {
          worse.distance(d.by()).ifPresent(w ->
              assertThat(w.needed().value()).isGreaterThanOrEqualTo(d.needed().value()));
        }
      }
    }
  }

  /** What is shown of many in short is what one has with its arithmetic. */
  @Test
  public void in_short_it_is_the_same() throws IOException {
    for (String[] flight : new String[][] {{"flight-14", "dovrin-46"}, {"flight-31", "halyard-210"}}) {
      DepartureFigures f = ConsequenceTest.flight(flight[0], flight[1], "\"day\"", "\"day\"");
      assertThat(f.options()).hasSizeGreaterThan(7);
      int structureKg = (int) Math.min(f.type().loading().most().takeoffKg(),
          f.type().loading().most().landingKg() + f.asked().sheet().tripFuelKg());
      for (TakeoffOption.Result result : f.options()) {
        TakeoffOption o = ((TakeoffOption.Result.Figures) result).option();
        TakeoffFigures whole = ((Takeoff.Result.Figures) Takeoff.of(f.type().takeoff(), o.of(),
            structureKg)).figures();
        assertThat(List.of(o.v1().orElse(0), o.vr(), o.v2(), o.leftM(), o.tightest(), o.limiting().kg(), o.held()))
            .as(o.of().words()).isEqualTo(List.of(whole.v1().map(Worked::whole).orElse(0), whole.vr().whole(),
            whole.v2().whole(), whole.tightest().leftM(), whole.tightest().what(), whole.limiting().kg(),
            whole.held()));
      }
    }
  }

  private static boolean holds(TypeFigures type, TakeoffCase c, String what, double kg) {
    return figures(type, c.withWeight(kg)).limits().stream()
        .filter(l -> l.what().equals(what)).allMatch(Limit::held);
  }

  /** At a limiting weight its own limit holds, and a little over it does not. */
  @Test
  public void a_limiting_weight_is_where_its_limit_is_met() throws IOException {
    int met = 0;
    for (Tried day : days(3).subList(0, DAYS / 5)) {
      for (LimitingWeight w : day.figures().map(TakeoffFigures::weights).orElse(List.of())) {
        if (w.bound() && w.kg() > 0 && w.by() != LimitedBy.STRUCTURE) {
          String what = w.by().words();
          assertThat(holds(day.type, day.of, what, w.kg())).as("%s at %s: %d kg", day.of.words(), what, w.kg())
              .isTrue();
          assertThat(holds(day.type, day.of, what, w.kg() + 2)).as("%s over %s", day.of.words(), what).isFalse();
          met++;
        }
      }
    }
    assertThat(met).isGreaterThan(150);
  }

  @Test
  public void the_assumed_temperature_is_the_highest_that_holds() throws IOException {
    int found = 0;
    for (Tried day : days(4)) {
      TakeoffCase full = day.of.with(Thrust.FULL);
      OptionalInt most = Takeoff.mostAssumed(day.type.takeoff(), full);
      if (most.isEmpty()) {
        continue;
      }
      assertThat(day.of.state().contaminated()).as("not on a contaminated runway").isFalse();
      TakeoffCase at = full.with(new Thrust.Assumed(most.getAsInt()));
      TakeoffFigures f = figures(day.type, at);
      assertThat(f.limits().stream().filter(l -> !l.held())).as(at.words()).isEmpty();
      Takeoff.Result hotter = Takeoff.of(day.type.takeoff(), full.with(new Thrust.Assumed(most.getAsInt() + 1)),
          100_000);
      assertThat(hotter instanceof Takeoff.Result.Figures h && h.figures().held()).as("a degree more").isFalse();
      found++;
    }
    assertThat(found).isGreaterThan(100);
  }

  /**
   * EU 965/2012, CAT.POL.A.305 (from memory): 1.25 of the distance within the run, or where there is a stopway or a
   * clearway the distance within the run, 1.15 within the distance and 1.3 within the stop; whichever carries more.
   */
  @Test
  public void one_engine_has_its_distance_and_a_quarter_and_promises_no_climb() throws IOException {
    TypeFigures pellow = type("pellow-9");
    Runway.End strip = fleet().airfields().stream().filter(a -> a.id().value().equals("QODY")).findFirst()
        .orElseThrow().ends().findFirst().orElseThrow();
    int ways = 0;
    for (int[] m : DECLARED) {
      Runway.End end = new Runway.End(strip.name(), strip.bearingTrueDeg(),
          new Runway.Declared(m[0], m[1], m[2], 800), strip.slopePercent(), List.of(), strip.obstacles(), "", "");
      TakeoffFigures f = figures(pellow, new TakeoffCase(end, Runway.Surface.GRAVEL, Optional.empty(),
          new Air(8, -2), 5, RunwayState.DRY, 3_900, "20", Thrust.FULL, false, true));
      int heaviest = f.weights().stream().filter(w -> w.by() != LimitedBy.STRUCTURE).mapToInt(LimitingWeight::kg)
          .min().orElseThrow();
      double atMost = figures(pellow, f.of().withWeight(heaviest)).screenM();
      double carries = Math.max(m[0] / 1.25, Math.min(m[0], Math.min(m[1] / 1.15, m[2] / 1.3)));
      assertThat(atMost).as("%d m", m[0]).isLessThanOrEqualTo(carries);
      assertThat(figures(pellow, f.of().withWeight(heaviest + 5)).screenM()).isGreaterThan(carries);
      assertThat(f.v1()).isEmpty();
      assertThat(f.limits()).extracting(Limit::what).doesNotContain(LimitedBy.CLIMB.words(),
          LimitedBy.OBSTACLE.words(), LimitedBy.BRAKE_ENERGY.words());
      ways += f.distances().size();
    }
    assertThat(ways).as("alone twice, in parts twice").isEqualTo(8);
  }

  @Test
  public void beyond_the_tables_there_are_no_figures() throws IOException {
    TypeFigures dovrin = type("dovrin-46");
    Airfield ternholm = fleet().airfields().getFirst();
    Runway.End end = ternholm.ends().findFirst().orElseThrow();
    TakeoffCase good = new TakeoffCase(end, Runway.Surface.PAVED, Optional.empty(), new Air(100, 0), 10,
        RunwayState.DRY, 17_000, "15", Thrust.FULL, false, true);
    assertThat(Takeoff.of(dovrin.takeoff(), good, 18_150)).isInstanceOf(Takeoff.Result.Figures.class);
    assertThat(why(dovrin, new TakeoffCase(end, good.surface(), good.from(), new Air(100, 49), 10, good.state(),
        17_000, "15", Thrust.FULL, false, true))).contains("temperature 51.0 °C is beyond the table");
    assertThat(why(dovrin, new TakeoffCase(end, good.surface(), good.from(), good.air(), -16, good.state(), 17_000,
        "15", Thrust.FULL, false, true))).contains("head wind −16.0 kt is beyond the table");
    assertThat(why(dovrin, new TakeoffCase(end, good.surface(), good.from(), good.air(), 0, RunwayState.ICE, 17_000,
        "15", Thrust.FULL, false, true))).isEqualTo("The type has no tables for a runway that is ice.");
    assertThat(why(dovrin, good.withFlap("27"))).contains("There is no table of");
    assertThat(why(dovrin, good.with(new Thrust.Assumed(30)))).isEqualTo("The type assumes no temperature.");
    assertThat(why(dovrin, good.with(new Thrust.Step(80)))).isEqualTo("The type has no step of 80 per cent.");
    TakeoffCase gale = new TakeoffCase(end, good.surface(), good.from(), good.air(), 70, good.state(), 17_000, "15",
        Thrust.FULL, false, true);
    TakeoffCase forty = new TakeoffCase(end, good.surface(), good.from(), good.air(), 40, good.state(), 17_000, "15",
        Thrust.FULL, false, true);
    assertThat(figures(dovrin, gale).distances()).as("wind beyond the table counts as its most")
        .isEqualTo(figures(dovrin, forty).distances());
  }

  private static String why(TypeFigures type, TakeoffCase of) {
    return Takeoff.of(type.takeoff(), of, 18_150) instanceof Takeoff.Result.None none ? none.why() : "";
  }
}
