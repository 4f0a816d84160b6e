package neatlanyard.formats.figures;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import neatlanyard.core.figures.Grid.Of;
import neatlanyard.core.figures.RunwayState;
import neatlanyard.core.figures.TakeoffTables.Gives;

/**
 * Where the demo's take-off tables come from: a point mass on a runway, with invented numbers for invented aircraft.
 *
 * <p>Thrust is flat up to 15 °C above standard and loses one per cent a degree from there; a propeller gives its
 * power over its speed. On the ground drag, lift, rolling friction and slope work; a stop has two seconds at V1 and
 * then brakes without reverse. V1 is where going and stopping take the same distance, not below the least V1 and not
 * above VR. With one engine there is no V1: V2 is 1.2 times the stall speed and the screen 50 ft. A landing comes
 * down 3.5° from 50 ft at 1.23 times the stall speed (14 CFR 25.125(b)), has a second on the ground and then brakes,
 * propellers or engines in reverse. Half of a head wind counts and one and a half of a tail wind (14 CFR 25.105(d)).
 * Metres, seconds, kilograms.
 */
final class DemoTakeoffModel {
  private static final double G = 9.806_65;
  private static final double SEA_LEVEL_DENSITY = 1.225;
  private static final double MPS_PER_KT = 1_852.0 / 3_600.0;
  private static final double SCREEN_M = 10.668;
  private static final double THRESHOLD_M = 15.24;
  private static final double APPROACH_DEG = 3.5;
  /** What reverse adds to the brakes, of the weight. */
  private static final double REVERSE = 0.1;
  private static final double ROLLING = 0.02;
  private static final int SPEED_STEPS = 80;
  private static final int HALVINGS = 14;

  /** How a flap setting flies. @param drag without lift, gear up */
  record Flap(String name, double mostLift, double drag) {}

  /** @param staticN thrust of one engine standing still @param watts of one propeller; 0 for a jet */
  record Engine(double staticN, double watts, double lossPerMps) {}

  /**
   * @param engines how many
   * @param inducedDrag of the square of lift
   * @param asymmetryDrag with an engine out
   * @param brakeJ of one full stop
   */
  record Aircraft(
      String type, double wingM2, double inducedDrag, double gearDrag, double asymmetryDrag, double groundLift,
      List<Flap> flaps, Flap landing, int engines, Engine engine, double vmcKt, double leastV1Kt, double brakeJ,
      double[] weightsKg, double[] temperaturesC) {}

  static final Aircraft DOVRIN = new Aircraft("dovrin-46", 54, 0.036, 0.02, 0.018, 0.7,
      List.of(new Flap("15", 2.5, 0.045)), new Flap("30", 3.2, 0.12), 2,
      new Engine(33_000, 1_650_000, 0), 88, 84, 43e6,
      new double[] {12_000, 14_000, 16_000, 18_200}, new double[] {-30, 0, 20, 30, 40, 50});
  static final Aircraft HALYARD = new Aircraft("halyard-210", 122, 0.0406, 0.02, 0.012, 0.5,
      List.of(new Flap("1", 2.2, 0.05), new Flap("2", 2.45, 0.062)), new Flap("3", 2.8, 0.14), 2,
      new Engine(116_000, 0, 0.001_2), 110, 107, 245e6,
      new double[] {42_000, 50_000, 58_000, 66_000, 75_000}, new double[] {-30, 0, 20, 30, 40, 50, 60});

  static final Aircraft BURDOCK = new Aircraft("burdock-four", 110, 0.043_7, 0.025, 0.008, 0.8,
      List.of(new Flap("half", 1.9, 0.05)), new Flap("full", 2.4, 0.11), 4,
      new Engine(15_000, 800_000, 0), 82, 78, 50e6,
      new double[] {20_000, 24_000, 28_000}, new double[] {-30, 0, 20, 40});

  static final Aircraft PELLOW = new Aircraft("pellow-9", 25.7, 0.045, 0.02, 0, 0.5,
      List.of(new Flap("20", 2.2, 0.065)), new Flap("20", 2.2, 0.065), 1,
      new Engine(11_500, 500_000, 0), 0, 0, 8e6,
      new double[] {2_700, 3_300, 3_900, 4_400}, new double[] {-30, 0, 20, 40});
  static final Aircraft SELKIE = new Aircraft("selkie-m3", 17, 0.06, 0.025, 0, 0.4,
      List.of(new Flap("half", 1.75, 0.05)), new Flap("full", 2.05, 0.12), 1,
      new Engine(25_000, 0, 0.001), 0, 0, 30e6,
      new double[] {4_400, 5_000, 5_600, 6_300}, new double[] {-30, 0, 20, 40});

  private static final double[] ALTITUDES_FT = {-1_000, 2_000, 5_000};
  private static final double[] WINDS_KT = {-15, 0, 20, 40};
  private static final double[] SLOPES = {-2, 0, 2};

  private final Aircraft a;
  private final Flap flap;

  private DemoTakeoffModel(Aircraft aircraft, Flap flap) {
    this.a = aircraft;
    this.flap = flap;
  }

  /** The tables of an aircraft as the file of the demo. */
  static String tables(Aircraft aircraft) {
    StringBuilder out = new StringBuilder("""
        # Made by DemoTakeoffModel from invented numbers; not for use with any aircraft there is.
        # The format is described in docs/formats/take-off-tables.md.
        format: neat-lanyard/take-off-tables/1
        type: %s
        edition: 2026-11
        note: Invented, by a small model of a point mass; see docs/figures.md.
        tables:
        """.formatted(aircraft.type));
    aircraft.flaps.forEach(f -> new DemoTakeoffModel(aircraft, f).write(out));
    new DemoTakeoffModel(aircraft, aircraft.landing).writeLanding(out);
    return out.toString();
  }

  private void write(StringBuilder out) {
    for (RunwayState state : List.of(RunwayState.DRY, RunwayState.WET, RunwayState.SNOW, RunwayState.SLUSH)) {
      List<Of> all = List.of(Of.WEIGHT, Of.PRESSURE_ALTITUDE, Of.TEMPERATURE, Of.WIND, Of.SLOPE);
      if (a.engines == 1) {
        table(out, Gives.ALL_ENGINES, Optional.of(state), all, values(points(all), p -> allEngines(p, state), 0));
        continue;
      }
      List<Run> runs = points(all).stream().map(p -> run(p, state)).toList();
      table(out, Gives.ACCELERATE_GO, Optional.of(state), all, values(runs, Run::go, 0));
      table(out, Gives.ACCELERATE_STOP, Optional.of(state), all, values(runs, Run::stop, 0));
      table(out, Gives.ALL_ENGINES, Optional.of(state), all, values(runs, Run::allEngines, 0));
      table(out, Gives.TAKEOFF_RUN, Optional.of(state), all, values(runs, Run::takeoffRun, 0));
      table(out, Gives.V1, Optional.of(state), all, values(runs, r -> r.v1 / MPS_PER_KT, 1));
    }
    List<Of> weight = List.of(Of.WEIGHT);
    table(out, Gives.STALL, Optional.empty(), weight, values(points(weight), p -> stall(p[0]) / MPS_PER_KT, 1));
    table(out, Gives.VR, Optional.empty(), weight, values(points(weight), p -> vr(p[0]) / MPS_PER_KT, 1));
    table(out, Gives.V2, Optional.empty(), weight, values(points(weight), p -> v2(p[0]) / MPS_PER_KT, 1));
    table(out, Gives.FLAP_RETRACT, Optional.empty(), weight,
        values(points(weight), p -> 1.3 * stall(p[0]) / MPS_PER_KT, 1));
    List<Of> air = List.of(Of.WEIGHT, Of.PRESSURE_ALTITUDE, Of.TEMPERATURE);
    if (a.engines > 1) {
      table(out, Gives.CLIMB, Optional.empty(), air, values(points(air), p -> 100 * oneOutGradient(p[0], air(p)), 2));
      table(out, Gives.BRAKE_ENERGY, Optional.empty(), air, values(points(air),
          p -> StrictMath.sqrt(2 * a.brakeJ / p[0]) * StrictMath.sqrt(air(p).densityRatio()) / MPS_PER_KT, 1));
    }
    List<Of> thin = List.of(Of.PRESSURE_ALTITUDE, Of.TEMPERATURE);
    table(out, Gives.POWER, Optional.empty(), thin, values(points(thin), p -> 100 * new Air(p[0], p[1]).rating(), 1));
  }

  private void writeLanding(StringBuilder out) {
    List<Of> all = List.of(Of.WEIGHT, Of.PRESSURE_ALTITUDE, Of.TEMPERATURE, Of.WIND, Of.SLOPE);
    for (RunwayState state : List.of(RunwayState.DRY, RunwayState.WET)) {
      table(out, Gives.LANDING, Optional.of(state), all, values(points(all), p -> landing(p, state), 0));
    }
  }

  private double landing(double[] p, RunwayState state) {
    Roll roll = roll(p, state);
    double speed = 1.23 * stall(p[0]);
    double descent = THRESHOLD_M / StrictMath.tan(StrictMath.toRadians(APPROACH_DEG));
    return descent * roll.over(speed) / (speed / roll.root) + roll.over(speed) + roll.stopping(speed, REVERSE);
  }

  private static <T> String values(List<T> all, ToDoubleFunction<T> of, int decimals) {
    return all.stream().map(t -> String.format(Locale.ROOT, "%." + decimals + "f", of.applyAsDouble(t)))
        .collect(Collectors.joining(" "));
  }

  private void table(StringBuilder out, Gives gives, Optional<RunwayState> state, List<Of> axes, String values) {
    out.append("  - gives: ").append(written(gives.name())).append("\n    flap: \"").append(flap.name).append("\"\n");
    state.ifPresent(s -> out.append("    state: ").append(written(s.name())).append('\n'));
    out.append("    axes:\n");
    axes.forEach(x -> out.append("      - {of: ").append(written(x.name())).append(", points: [").append(
        DoubleStream.of(points(x)).mapToObj(v -> Integer.toString((int) v)).collect(Collectors.joining(", ")))
        .append("]}\n"));
    out.append("    values: |\n");
    List<String> words = Arrays.asList(values.split(" "));
    int across = points(axes.getLast()).length * (axes.size() > 3 ? points(axes.get(axes.size() - 2)).length : 1);
    for (int i = 0; i < words.size(); i += across) {
      out.append("      ").append(String.join(" ", words.subList(i, Math.min(i + across, words.size())))).append('\n');
    }
  }

  private static String written(String constant) {
    return constant.toLowerCase(Locale.ROOT).replace('_', '-');
  }

  private double[] points(Of axis) {
    return switch (axis) {
      case WEIGHT -> a.weightsKg;
      case PRESSURE_ALTITUDE -> ALTITUDES_FT;
      case TEMPERATURE -> a.temperaturesC;
      case WIND -> WINDS_KT;
      case SLOPE -> SLOPES;
    };
  }

  /** Every point of some axes, the last running fastest. */
  private List<double[]> points(List<Of> axes) {
    List<double[]> all = List.of(new double[0]);
    for (Of axis : axes) {
      List<double[]> more = new ArrayList<>();
      for (double[] before : all) {
        for (double p : points(axis)) {
          double[] next = Arrays.copyOf(before, before.length + 1);
          next[before.length] = p;
          more.add(next);
        }
      }
      all = more;
    }
    return all;
  }

  private static Air air(double[] point) {
    return new Air(point[1], point[2]);
  }

  /** @param altitudeFt pressure altitude */
  private record Air(double altitudeFt, double celsius) {
    double pressureRatio() {
      return StrictMath.pow(1 - 6.875_59e-6 * altitudeFt, 5.255_88);
    }

    double densityRatio() {
      return pressureRatio() * 288.15 / (celsius + 273.15);
    }

    /** Of the most thrust at sea level. */
    double rating() {
      double flatTo = 30 - 1.981_2 * altitudeFt / 1_000;
      return StrictMath.min(1, pressureRatio() * (1 - 0.01 * StrictMath.max(0, celsius - flatTo)));
    }
  }

  /** Of one engine at a true speed. */
  private double thrust(double mps, Air air) {
    Engine e = a.engine;
    double jet = e.staticN * (1 - e.lossPerMps * StrictMath.max(0, mps));
    double given = e.watts == 0 ? jet : StrictMath.min(e.staticN, 0.8 * e.watts / StrictMath.max(1, mps));
    return given * air.rating();
  }

  private double stall(double kg) {
    return StrictMath.sqrt(2 * kg * G / (SEA_LEVEL_DENSITY * a.wingM2 * flap.mostLift));
  }

  private double v2(double kg) {
    return StrictMath.max((a.engines == 1 ? 1.2 : 1.13) * stall(kg), 1.10 * a.vmcKt * MPS_PER_KT) + MPS_PER_KT;
  }

  private double vr(double kg) {
    return StrictMath.max(1.05 * a.vmcKt * MPS_PER_KT, v2(kg) - 5 * MPS_PER_KT);
  }

  /** Climb at V2, in metres a metre. */
  private double gradient(double kg, Air air, int engines, boolean gear) {
    double v = v2(kg);
    double q = SEA_LEVEL_DENSITY / 2 * v * v;
    double lift = kg * G / (q * a.wingM2);
    double drag = q * a.wingM2 * (flap.drag + a.inducedDrag * lift * lift + (gear ? a.gearDrag : 0)
        + (oneOut(engines) ? a.asymmetryDrag : 0));
    return (engines * thrust(v / StrictMath.sqrt(air.densityRatio()), air) - drag) / (kg * G);
  }

  private double oneOutGradient(double kg, Air air) {
    return gradient(kg, air, a.engines - 1, false);
  }

  private boolean oneOut(int engines) {
    return engines == a.engines - 1;
  }

  private static double braking(RunwayState state) {
    return switch (state) {
      case DRY -> 0.36;
      case WET -> 0.22;
      case SNOW -> 0.16;
      default -> 0.10;
    };
  }

  private static double rolling(RunwayState state) {
    return switch (state) {
      case SNOW -> ROLLING + 0.015;
      case SLUSH -> ROLLING + 0.04;
      default -> ROLLING;
    };
  }

  /** @param v1 as indicated, in metres a second */
  private record Run(double go, double stop, double allEngines, double takeoffRun, double v1) {}

  private Roll roll(double[] p, RunwayState state) {
    return new Roll(p[0], air(p), p[3] * MPS_PER_KT, p[4] / 100, state);
  }

  private double allEngines(double[] p, RunwayState state) {
    return roll(p, state).allEngines(vr(p[0]));
  }

  private Run run(double[] p, RunwayState state) {
    Roll roll = roll(p, state);
    double vr = vr(p[0]);
    double low = StrictMath.min(vr, a.leastV1Kt * MPS_PER_KT);
    double high = vr;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      if (roll.go(middle) > roll.stop(middle)) {
        low = middle;
      } else {
        high = middle;
      }
    }
    double v1 = (low + high) / 2;
    double all = roll.allEngines(vr);
    double run = StrictMath.max(roll.go(v1) - roll.inTheAir(a.engines - 1) / 2,
        1.15 * (all - roll.inTheAir(a.engines) / 2));
    return new Run(roll.go(v1), roll.stop(v1), all, run, v1);
  }

  /** One take-off on the ground. */
  private final class Roll {
    private final double kg;
    private final Air air;
    private final double windMps;
    private final double slope;
    private final RunwayState state;
    private final double root;

    Roll(double kg, Air air, double windMps, double slope, RunwayState state) {
      this.kg = kg;
      this.air = air;
      this.windMps = windMps > 0 ? windMps / 2 : windMps * 1.5;
      this.slope = slope;
      this.state = state;
      this.root = StrictMath.sqrt(air.densityRatio());
    }

    double go(double v1) {
      return along(0, v1, a.engines) + along(v1, vr(kg), a.engines - 1) + air(a.engines - 1);
    }

    double allEngines(double vr) {
      return along(0, vr, a.engines) + air(a.engines);
    }

    double stop(double v1) {
      return along(0, v1, a.engines) + 2 * over(v1) + along(v1, 0, 0);
    }

    /** Way from a speed to a stop, with so much of the weight pushing against it besides the brakes. */
    double stopping(double from, double reverse) {
      double end = StrictMath.max(0, windMps) * root;
      double step = (end - from) / SPEED_STEPS;
      double way = 0;
      for (int i = 0; i < SPEED_STEPS; i++) {
        double v = from + (i + 0.5) * step;
        way += StrictMath.max(0, over(v)) * (step / root) / (acceleration(v, 0) - reverse * G);
      }
      return way;
    }

    private double over(double indicated) {
      return indicated / root - windMps;
    }

    /** Way from one indicated speed to another, on some engines; on none the brakes work. */
    double along(double from, double to, int engines) {
      double start = from == 0 ? StrictMath.max(0, windMps) * root : from;
      double end = to == 0 ? StrictMath.max(0, windMps) * root : to;
      double way = 0;
      double step = (end - start) / SPEED_STEPS;
      for (int i = 0; i < SPEED_STEPS; i++) {
        double v = start + (i + 0.5) * step;
        way += StrictMath.max(0, over(v)) * (step / root) / acceleration(v, engines);
      }
      return way;
    }

    private double acceleration(double indicated, int engines) {
      double q = SEA_LEVEL_DENSITY / 2 * indicated * indicated;
      double lift = q * a.wingM2 * (engines == 0 ? a.groundLift / 4 : a.groundLift);
      double drag = q * a.wingM2 * (flap.drag + a.gearDrag + (oneOut(engines) ? a.asymmetryDrag : 0)
          + (engines == 0 ? 0.05 : 0));
      double friction = (engines == 0 ? braking(state) : rolling(state)) * StrictMath.max(0, kg * G - lift);
      double push = engines * thrust(indicated / root, air);
      double net = push - drag - friction - kg * G * slope;
      // Where nothing is left to accelerate with, the way is as good as endless.
      return engines == 0 ? net / kg : StrictMath.max(net / kg, 0.05);
    }

    /** Two seconds to rotate, and the climb to the screen. */
    double air(int engines) {
      return 2 * over(vr(kg)) + inTheAir(engines);
    }

    double inTheAir(int engines) {
      double gradient = StrictMath.max(0.012, gradient(kg, air, engines, true) * (oneOut(engines) ? 0.9 : 0.6));
      double screen = a.engines == 1 ? THRESHOLD_M : SCREEN_M;
      return screen / gradient * StrictMath.max(0.2, over(v2(kg)) / (v2(kg) / root));
    }
  }
}
