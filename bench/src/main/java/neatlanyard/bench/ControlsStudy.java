package neatlanyard.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.UnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import neatlanyard.core.controls.ControlCheck;
import neatlanyard.core.controls.ControlSpec.Spoiler;
import neatlanyard.core.controls.ControlSpec.Surface;
import neatlanyard.core.controls.ControlSpec;
import neatlanyard.core.controls.Judgement.Verdict;
import neatlanyard.core.controls.Judgement;
import neatlanyard.core.controls.Practice;
import neatlanyard.core.controls.simulated.Fault.Kind;
import neatlanyard.core.controls.simulated.Fault;
import neatlanyard.core.controls.simulated.Hand;
import neatlanyard.core.controls.simulated.Recorder;
import neatlanyard.core.controls.simulated.SimulatedCheck;

/**
 * How often the judge of the control check misses a fault and how often it blames a sound aircraft, on made-up checks
 * whose truth is known: over every kind and size of fault and over recorders of every quality. Prints the tables of
 * docs/controls.md and draws its plots. The seeds are fixed, so that it comes out the same each time.
 */
final class ControlsStudy {
  /** Faults of where a surface gets to, and of how it goes there; each with a size. */
  private static final Map<String, List<Kind>> SIZED = Map.of(
      "where", List.of(Kind.SHORT, Kind.SHORT_LAST_TIME, Kind.GEARED, Kind.OFFSET, Kind.STAYS),
      "how", List.of(Kind.PLAY, Kind.COUPLED, Kind.JUMPING, Kind.DEAD_BAND, Kind.LATE, Kind.SILENT));
  private static final List<Kind> OF_SPOILERS = List.of(Kind.SHORT, Kind.STAYS);
  private static final List<Kind> WHOLE = List.of(Kind.REVERSED, Kind.CROSSED, Kind.JAMMED);
  private static final double[] BEYOND = {-0.5, -0.25, 0, 0.25, 0.5, 0.75, 1, 1.25, 1.5};
  private static final double[] NOISE_DEG = {0.05, 0.1, 0.2, 0.3, 0.4, 0.6, 0.8, 1.0, 1.5};
  private static final double[] RATES_HZ = {4, 5, 8, 10, 16, 25, 50, 100};
  private static final double STATED_HZ = 10;
  private static final int SOUND = 20_000;
  private static final int AT_ONE_BEYOND = 4_000;
  private static final int A_POINT = 400;
  private static final int A_QUALITY = 600;

  private final ControlSpec spec = Demo.PACK.flightControls();
  private long made;

  static void run() throws IOException {
    new ControlsStudy().study(Demo.ROOT.resolve("docs/plots"));
  }

  private void study(Path plots) throws IOException {
    int[] sound = sound(SOUND, UnaryOperator.identity());
    System.out.printf("Sound aircraft, stated recorders: of %d, %d blamed and %d left incomplete.%n%n",
        SOUND, sound[0], sound[1]);
    bySize(plots);
    System.out.println();
    byQuality(plots, "noise-deg", NOISE_DEG, v -> r -> new Recorder(
        r.rateHz(), r.noisePct(), v, 0.01, r.jitter(), r.skewS(), r.lost()));
    System.out.println();
    // Below the stated rate one lost sample is a gap by itself.
    byQuality(plots, "rate-hz", RATES_HZ, v -> r -> new Recorder(
        v, r.noisePct(), r.noiseDeg(), r.grainDeg(), r.jitter(), r.skewS(), v < STATED_HZ ? 0 : r.lost()));
    System.out.printf("%n%d checks made and judged.%n", made);
  }

  private void bySize(Path plots) throws IOException {
    System.out.println("Passed, by how many limits the fault is beyond its limit:");
    System.out.print("| fault |");
    DoubleStream.of(BEYOND).forEach(b -> System.out.printf(" %+.2f |", b));
    System.out.println();
    for (String what : List.of("where", "how")) {
      Map<String, double[]> curves = new LinkedHashMap<>();
      for (Kind kind : SIZED.getOrDefault(what, List.of())) {
        double[] passed = DoubleStream.of(BEYOND)
            .map(b -> passed(kind, b, b == 1 ? AT_ONE_BEYOND : A_POINT, UnaryOperator.identity())).toArray();
        curve(curves, name(kind), passed);
      }
      if (what.equals("where")) {
        for (Kind kind : OF_SPOILERS) {
          curve(curves, "spoiler " + name(kind), DoubleStream.of(BEYOND)
              .map(b -> spoilerPassed(kind, b, b == 1 ? AT_ONE_BEYOND : A_POINT)).toArray());
        }
      }
      Plots.curves(plots.resolve("controls-by-size-" + what), "Passed, by size of the fault: " + what + " it goes",
          "beyond the limit, in limits", BEYOND, curves, false);
    }
    for (Kind kind : WHOLE) {
      System.out.printf("| %s, whole | %.4f |%n", name(kind),
          passed(kind, 1, AT_ONE_BEYOND, UnaryOperator.identity()));
    }
  }

  private static void curve(Map<String, double[]> curves, String name, double[] passed) {
    curves.put(name, passed);
    System.out.printf("| %s |", name);
    DoubleStream.of(passed).forEach(p -> System.out.printf(" %.4f |", p));
    System.out.println();
  }

  private static String name(Kind kind) {
    return kind.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private void byQuality(
      Path plots, String what, double[] values, java.util.function.DoubleFunction<UnaryOperator<Recorder>> made)
      throws IOException {
    double[] blamed = new double[values.length];
    double[] incomplete = new double[values.length];
    double[] passed = new double[values.length];
    System.out.printf("| %s | sound, blamed | sound, incomplete | short by one beyond, passed |%n", what);
    for (int i = 0; i < values.length; i++) {
      UnaryOperator<Recorder> recorder = made.apply(values[i]);
      int[] sound = sound(A_QUALITY, recorder);
      blamed[i] = sound[0] / (double) A_QUALITY;
      incomplete[i] = sound[1] / (double) A_QUALITY;
      passed[i] = passed(Kind.SHORT, 1, A_QUALITY, recorder);
      System.out.printf("| %s | %.4f | %.4f | %.4f |%n", values[i], blamed[i], incomplete[i], passed[i]);
    }
    Map<String, double[]> curves = new LinkedHashMap<>();
    curves.put("sound, blamed", blamed);
    curves.put("sound, incomplete", incomplete);
    curves.put("short by one beyond, passed", passed);
    Plots.curves(plots.resolve("controls-by-" + what), "By " + what.replace('-', ' '), what.replace('-', ' '), values,
        curves, true);
  }

  /** How many sound aircraft were blamed, and how many left incomplete. */
  private int[] sound(int checks, UnaryOperator<Recorder> recorder) {
    made += checks;
    List<Verdict> verdicts = IntStream.range(0, checks).parallel()
        .mapToObj(seed -> judge(seed, List.of(), recorder).verdict()).toList();
    return new int[] {
      Collections.frequency(verdicts, Verdict.NOT_PASSED), Collections.frequency(verdicts, Verdict.INCOMPLETE)};
  }

  /** The share of aircraft with a fault so many limits beyond its limit that passed. */
  private double passed(Kind kind, double beyond, int checks, UnaryOperator<Recorder> recorder) {
    made += checks;
    return IntStream.range(0, checks).parallel().filter(i -> {
      long seed = i * 31L + kind.ordinal() * 1_000_003L;
      Surface surface = spec.surfaces().get((int) Math.floorMod(seed, (long) spec.surfaces().size()));
      double limit = Fault.limit(kind, spec, surface);
      Fault fault = new Fault(kind, surface.id(), limit == 0 ? 1 : limit * (1 + beyond));
      return judge(seed, List.of(fault), recorder).passed();
    }).count() / (double) checks;
  }

  /** A spoiler's line is the least it must come out, and the most it may stay out; so far beyond in its tolerance. */
  private double spoilerPassed(Kind kind, double beyond, int checks) {
    made += checks;
    return IntStream.range(0, checks).parallel().filter(i -> {
      long seed = i * 31L + kind.ordinal() * 1_000_003L + 7;
      Spoiler spoiler = spec.spoilers().get((int) Math.floorMod(seed, (long) spec.spoilers().size()));
      double size = kind == Kind.SHORT ? spoiler.toleranceDeg() * beyond : spoiler.inDeg() * (1 + beyond);
      return judge(seed, List.of(new Fault(kind, spoiler.id(), size)), UnaryOperator.identity()).passed();
    }).count() / (double) checks;
  }

  private Judgement judge(long seed, List<Fault> faults, UnaryOperator<Recorder> recorder) {
    SplittableRandom chance = new SplittableRandom(seed);
    Hand hand = Hand.somebody(spec, chance);
    Recorder used = recorder.apply(Recorder.stated(chance));
    return ControlCheck.judge(spec, Practice.ANY, SimulatedCheck.built(spec, hand, faults, used, chance));
  }
}
